import type {
  Attempt,
  BoxState,
  Colony,
  DesignContent,
  Frame,
  Queen,
  RoomRole,
  Slot,
  Status,
} from '@yellow-cell/contract';
import { withHandPlaces } from '../box/handPlace.ts';
import { seamBees } from '../box/measures.ts';
import { deriveBox } from '../box/model.ts';
import { compartmentNames } from '../box/names.ts';
import { type PartPatch, withoutPart, withPart } from '../box/parts.ts';
import { bodiesOf } from '../box/stack.ts';
import type { Day } from '../calendar/days.ts';
import { holesAfterPulling } from '../layout/becomes.ts';
import { LETS_OUT } from '../reach/reach.ts';
import { roleOf } from './roles/roleOf.ts';
import { mainRoom } from './roomsOf.ts';
import type { Designs, YardState } from './state.ts';
import { queensIn } from './tell/queensIn.ts';
import { inOrder, only } from './things.ts';

/** A compartment of a box as it stands: its bays, what it is called there, and what lives in it. */
export interface StandingCompartment {
  position: number;
  name: string;
  bays: readonly string[];
  frames: number;
  /** Weight of the bees of a seam, a comb covered on both sides. */
  seam_kg: number;
  role: RoomRole;
  status: Status;
  since: Day | null;
  /** What it is called where its colony is reckoned, if that is another room: these bees have their queen there. */
  shares?: string;
  colony?: Colony;
  /** Bees that were here last, and left strips behind, or a queen put aside. */
  left?: Colony;
  attempt?: Attempt;
  /** Queens that are known to live in it; two at once are possible. */
  queens: readonly Queen[];
  /** Queens put aside that go back, and frames out of it. */
  away: readonly Queen[];
  framesOut: readonly Frame[];
  /** Entrances of parts that were joined to this room by pulling a board, and still let bees in. */
  openHoles: readonly string[];
  /** True where bees, or a queen back from mating, easily take its entrance for another’s. */
  takenForAnother: boolean;
}

/** What a box was built from. */
export const versionOf = (designs: Designs, box: BoxState): DesignContent | undefined =>
  designs.get(box.design)?.versions.find(({ number }) => number === box.version)?.content;

/** The box as it was drawn, or its stack as it was changed since, with the places for boards that were added by hand since. */
export function drawnDesign(designs: Designs, box: BoxState): DesignContent | undefined {
  const drawn = box.changed ?? versionOf(designs, box);
  const { places = [] } = box;
  return drawn && places.length > 0
    ? keptFor(drawn, JSON.stringify(places), () => withHandPlaces(drawn, places))
    : drawn;
}

/** The box as it stands: its boards, entrances, vents and holes as they were pulled, moved, turned and closed. */
export function designOf(designs: Designs, box: BoxState): DesignContent | undefined {
  const drawn = drawnDesign(designs, box);
  return drawn && standing(drawn, box);
}

function standing(drawn: DesignContent, box: BoxState): DesignContent {
  const { pulled = [], grooves = {}, entranceStates = {}, ventsShut = [], holes = {}, slots = {} } = box;
  const set: [string, PartPatch][] = [
    ...Object.entries(grooves).map(([id, groove]): [string, PartPatch] => [id, { groove }]),
    ...Object.entries(entranceStates).map(([id, state]): [string, PartPatch] => [id, { state }]),
    ...Object.entries(holes).map(([id, closedBy]): [string, PartPatch] => [id, { closedBy }]),
    ...Object.entries(slots).map(([id, content]): [string, PartPatch] => [id, { holds: content }]),
  ];
  const out = [...pulled, ...ventsShut];
  if (out.length === 0 && set.length === 0) return drawn;
  return keptFor(drawn, JSON.stringify([out, set.sort()]), () =>
    set.reduce((design, [id, patch]) => withPart(design, id, patch), out.reduce(withoutPart, drawn)),
  );
}

/** Changed designs are kept by what was changed: the drawing of a box is derived once, however often it is folded. */
const kept = new WeakMap<DesignContent, Map<string, DesignContent>>();
function keptFor(drawn: DesignContent, change: string, make: () => DesignContent): DesignContent {
  const known = kept.get(drawn) ?? new Map<string, DesignContent>();
  kept.set(drawn, known);
  const found = known.get(change) ?? make();
  known.set(change, found);
  return found;
}

/** Places for combs; a feeder takes the place of one. */
export const combPlaces = <P extends { holds: Slot['holds'] }>(places: readonly P[]): P[] =>
  places.filter(({ holds }) => holds !== 'feeder');

/** Colonies that live in a box now, in an order of their own: however the story was told, the first of them is the same. */
export const livingIn = (colonies: YardState['colonies'], box: BoxState): Colony[] =>
  inOrder(
    only(colonies, (colony) => colony.box === box.id && !colony.ended).values(),
    ({ stockedOn }) => stockedOn,
  );

/** What pulling boards asks to be closed, by the drawing. */
function holesJoined(drawn: DesignContent | undefined, { pulled = [] }: BoxState): string[] {
  if (!drawn || pulled.length === 0) return [];
  return bodiesOf(drawn).flatMap((body) => {
    const standing = body.boards.filter(({ id }) => !pulled.includes(id)).map(({ groove }) => groove);
    return standing.length === body.boards.length ? [] : holesAfterPulling(body, new Set(standing));
  });
}

/** Queens put aside that go back to these bees; where theirs are gone or joined to others, to whoever lives in their room now. */
function awayFrom({ queens }: YardState, living: Colony | undefined, of: readonly Colony[]): Queen[] {
  const ended = of.filter((each) => each.ended).map(({ id }) => id);
  return [...queens.values()].filter(
    ({ colony, gone }) => gone?.backBy !== undefined && (colony === living?.id || ended.includes(colony)),
  );
}

/** The compartments of a box in order from x = 0, named by its bearing where it has been placed. */
export function compartmentsOf(state: YardState, designs: Designs, box: BoxState): StandingCompartment[] {
  const design = designOf(designs, box);
  if (!design) return [];
  const model = deriveBox(design);
  const { compartments, drifts } = model;
  const alike = new Set(drifts.flatMap(({ risk, between }) => (risk === 'high' ? between : [])));
  const oneLevel = compartments.every(({ block }) => block.z[0] === compartments[0]?.block.z[0]);
  const names = oneLevel
    ? compartmentNames(compartments.length, box.place?.bearing_deg)
    : compartments.map(({ name }) => name);
  const joinedHoles = holesJoined(drawnDesign(designs, box), box);
  const here = [...state.colonies.values()].filter((colony) => colony.box === box.id);
  return compartments.map(({ bays: ids, frames, entrances }, position) => {
    const slots = new Set(frames.map(({ id }) => id));
    const of = here.filter((colony) => colony.bays.some((bay) => ids.includes(bay)));
    const alive = of.filter(({ ended }) => !ended);
    const living = alive.find(({ home }) => home.some((bay) => ids.includes(bay))) ?? alive[0];
    const last = of.reduce<Colony | undefined>(
      (latest, each) => ((each.ended?.on ?? '') >= (latest?.ended?.on ?? '') ? each : latest),
      undefined,
    );
    const main = living ? mainRoom(model, living) : position;
    const attempt =
      living?.attempt === undefined || main !== position ? undefined : state.attempts.get(living.attempt);
    const left = living ? undefined : last;
    const away = main === position ? awayFrom(state, living, of) : [];
    return {
      position,
      name: names[position] ?? '',
      bays: ids,
      frames: combPlaces(frames).length,
      seam_kg: seamBees(frames[0]?.format),
      role: roleOf({ design, box, bays: ids, colony: living, main: main === position }),
      status: living?.status ?? 'empty',
      since: living?.since ?? last?.ended?.on ?? null,
      ...(main === position ? {} : { shares: names[main] ?? '' }),
      ...(living ? { colony: living } : {}),
      ...(left && (left.strips || away.length > 0) ? { left } : {}),
      ...(attempt ? { attempt } : {}),
      openHoles: joinedHoles.filter((id) =>
        entrances.some((each) => each.id === id && LETS_OUT[each.opening.state].includes('worker')),
      ),
      takenForAnother: entrances.some(({ id }) => alike.has(id)),
      queens: living && main === position ? queensIn(state.queens, living.id) : [],
      away,
      framesOut: [...state.frames.values()].filter(
        ({ out }) => out?.from.box === box.id && slots.has(out.from.slot),
      ),
    };
  });
}
