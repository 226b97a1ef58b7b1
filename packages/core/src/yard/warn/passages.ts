import type {
  BoardPlace,
  BoxState,
  Colony,
  DesignContent,
  EntranceState,
  Hole,
  Occupant,
  ReachQuestion,
  ReachWarning,
  Status,
} from '@yellow-cell/contract';
import { designProblems } from '../../box/designProblems.ts';
import { bayPartedBy } from '../../box/handPlace.ts';
import { joinedWith } from '../../box/joinedRooms.ts';
import { deriveBox, reachQuestionOf } from '../../box/model.ts';
import { reach } from '../../reach/reach.ts';
import { compartmentsOf, designOf, drawnDesign, livingIn } from '../compartments.ts';
import { partsKept } from '../regroup.ts';
import { mainRoom, meets, withBay } from '../roomsOf.ts';
import type { Designs, YardState } from '../state.ts';
import { statusWords } from '../statusWords.ts';

/** A change to a box that is thought about before it is logged. */
export type BoxChange =
  | { kind: 'divider'; board: string; stands: boolean }
  | { kind: 'entrance'; entrance: string; state: EntranceState }
  | { kind: 'board'; board: string; groove: string }
  | { kind: 'place'; place: BoardPlace }
  | { kind: 'hole'; hole: string; closedBy: Hole['closedBy'] }
  | { kind: 'cell'; colony: string; bay?: string | undefined }
  | { kind: 'queen'; colony: string; what: 'virgin' | 'mated'; bay?: string | undefined };

/** The box as it would stand after a change. */
function changed(box: BoxState, change: BoxChange): BoxState {
  if (change.kind === 'cell' || change.kind === 'queen') return box;
  if (change.kind === 'board') return { ...box, grooves: { ...box.grooves, [change.board]: change.groove } };
  if (change.kind === 'place') {
    const { place } = change;
    return {
      ...box,
      places: [...(box.places ?? []), place],
      grooves: { ...box.grooves, [place.board]: place.groove },
      pulled: (box.pulled ?? []).filter((id) => id !== place.board),
    };
  }
  if (change.kind === 'hole') return { ...box, holes: { ...box.holes, [change.hole]: change.closedBy } };
  if (change.kind === 'entrance')
    return { ...box, entranceStates: { ...box.entranceStates, [change.entrance]: change.state } };
  const others = (box.pulled ?? []).filter((id) => id !== change.board);
  return { ...box, pulled: change.stands ? others : [...others, change.board].sort() };
}

/** What lives in a compartment, as the passages see it. */
const OCCUPANT: Readonly<Partial<Record<Status, Occupant>>> = {
  laying: 'queen',
  proven: 'queen',
  queenright: 'queen',
  virgin: 'virgin',
  cellGiven: 'ripeCell',
  caged: 'queen',
};

/**
 * What a change to the live box would bring about that is not so already: two queens in one territory, a queen
 * that meets a cell, bees without a way out (handbook 2, passages), and colonies that become one.
 */
export function changeWarnings(
  before: YardState,
  designs: Designs,
  box: BoxState,
  change: BoxChange,
): ReachWarning[] {
  const after = changed(box, change);
  const state = change.kind === 'place' ? parted(before, designs, box, change.place) : before;
  const [drawn, next] = [designOf(designs, box), designOf(designs, after)];
  // What cannot stand at all is refused when it is told.
  if (!drawn || !next || designProblems(next).length > 0) return [];
  const now = passageWarnings(drawn, occupants(before, drawn, box));
  const given = givenBy(change);
  const fresh = beyond(passageWarnings(next, occupants(state, next, box, given)), now);
  const named = namesAfter(state, designs, after, next);
  return [...joining(state, next, box, drawn), ...shutting(state, next, box, drawn), ...fresh].map(
    (warning) => ({
      ...warning,
      sentence: named(warning.sentence),
    }),
  );
}

/** Whom a change brings in. */
interface Given {
  colony: string;
  what: Occupant;
  /** In a room of it other than its queen’s. */
  bay?: string | undefined;
}
function givenBy(change: BoxChange): Given[] {
  if (change.kind !== 'cell' && change.kind !== 'queen') return [];
  const what = change.kind === 'cell' ? 'ripeCell' : change.what === 'virgin' ? 'virgin' : 'queen';
  return [{ colony: change.colony, what, bay: change.bay }];
}

/** Spaces are called as the yard calls their compartment, not by their ids. */
export function namesAfter(
  state: YardState,
  designs: Designs,
  box: BoxState,
  design: DesignContent,
): (sentence: string) => string {
  const standing = compartmentsOf(state, designs, box);
  const names = deriveBox(design).spaces.map(({ id, name, bays }) => {
    const home = standing.find((each) => bays.some((bay) => each.bays.includes(bay.id)));
    return [id, home?.name ?? name] as const;
  });
  return (sentence) =>
    names.reduce(
      (said, [id, name]) => said.replaceAll(new RegExp(`(?<![\\w-])${id}(?![\\w-])`, 'g'), name),
      sentence,
    );
}

export const passageWarnings = (design: DesignContent, living: ReachQuestion['occupants']): ReachWarning[] =>
  reach(reachQuestionOf(deriveBox(design), living)).warnings;

/** Warnings that are not so already: groups are named by their spaces, which a divider changes, so they are counted by kind. */
export function beyond(after: readonly ReachWarning[], before: readonly ReachWarning[]): ReachWarning[] {
  const same = (a: ReachWarning, b: ReachWarning): boolean =>
    a.kind === b.kind && a.spaces.join() === b.spaces.join();
  const left = after.filter((warning) => !before.some((each) => same(each, warning)));
  return left.filter(({ kind }, index) => {
    const gone = before.filter(
      (each) => each.kind === kind && !after.some((other) => same(other, each)),
    ).length;
    return left.slice(0, index + 1).filter((each) => each.kind === kind).length > gone;
  });
}

export function occupants(
  { colonies }: YardState,
  design: DesignContent,
  box: BoxState,
  added: readonly Given[] = [],
): ReachQuestion['occupants'] {
  const model = deriveBox(design);
  return livingIn(colonies, box).flatMap((colony) => {
    const [space] = model.compartments[mainRoom(model, colony)]?.spaces ?? [];
    const what = OCCUPANT[colony.status];
    const own = space !== undefined && what ? [{ in: space, what }] : [];
    const given = added
      .filter((each) => each.colony === colony.id)
      .flatMap((each) => {
        const room = model.spaces.find(({ bays }) => bays.some(({ id }) => id === each.bay))?.id ?? space;
        return room === undefined ? [] : [{ in: room, what: each.what }];
      });
    return [...own, ...given];
  });
}

/** Colonies that stand apart now and would share a compartment. */
function joining(
  { colonies }: YardState,
  next: DesignContent,
  box: BoxState,
  now: DesignContent,
): ReachWarning[] {
  const living = livingIn(colonies, box);
  const { compartments } = deriveBox(next);
  const kept = partsKept(compartments, living, box);
  const homesNow = deriveBox(now).compartments;
  const homeOf = (colony: Colony) => homesNow.findIndex(({ bays }) => meets(colony.home, bays));
  return compartments.flatMap(({ bays, spaces }): ReachWarning[] => {
    const together = living.filter((colony) => meets(kept.get(colony.id) ?? colony.home, bays));
    if (new Set(together.map(homeOf)).size < 2) return [];
    const who = together.map(({ status }) => statusWords[status]).join(' and ');
    return [
      {
        kind: 'twoQueens',
        spaces: [...spaces],
        sentence: `${together.length} colonies (${who}) become one in ${spaces[0]}; strangers fight, and one queen may be lost.`,
      },
    ];
  });
}

/** A place set by hand parts a bay: whoever lived in it lives in both. */
function parted(state: YardState, designs: Designs, box: BoxState, place: BoardPlace): YardState {
  const drawn = drawnDesign(designs, box);
  const found = drawn && bayPartedBy(drawn, place);
  if (!found || 'problem' in found) return state;
  const colonies = [...state.colonies].map(([id, colony]): [string, Colony] =>
    colony.box === box.id && colony.bays.includes(found.bay)
      ? [id, withBay(colony, found.bay, place.bay)]
      : [id, colony],
  );
  return { ...state, colonies: new Map(colonies) };
}

/** Colonies that have a way out now and would have none. */
function shutting(
  { colonies }: YardState,
  next: DesignContent,
  box: BoxState,
  now: DesignContent,
): ReachWarning[] {
  const living = livingIn(colonies, box);
  const waysOut = (design: DesignContent, colony: Colony) => {
    const model = deriveBox(design);
    const room = mainRoom(model, colony);
    return { spaces: model.compartments[room]?.spaces ?? [], hasExit: joinedWith(model, room).hasExit };
  };
  return living.flatMap((colony): ReachWarning[] => {
    const after = waysOut(next, colony);
    const before = waysOut(now, colony);
    if (after.hasExit || !before.hasExit) return [];
    return [
      {
        kind: 'noFlight',
        spaces: [...after.spaces],
        sentence: `The bees of ${after.spaces[0]} have no way out then: they want feed, water and air, and to be let out within three days.`,
      },
    ];
  });
}
