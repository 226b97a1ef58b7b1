import type { BoxState, Colony, Queen, Status } from '@yellow-cell/contract';
import { joinedWith } from '../box/joinedRooms.ts';
import { type BoxModel, type Compartment, deriveBox } from '../box/model.ts';
import type { Day } from '../calendar/days.ts';
import { combPlaces, designOf, livingIn } from './compartments.ts';
import { baysLivedIn, mainRoom, meets, withBay } from './roomsOf.ts';
import type { Known } from './state.ts';
import { queensIn } from './tell/queensIn.ts';

interface Colonies {
  known: Known;
  boxes: ReadonlyMap<string, BoxState>;
  colonies: Map<string, Colony>;
  queens: Map<string, Queen>;
}
/** Of two colonies that become one, the one whose queen is surer keeps its name and its attempt. */
const SURER: readonly Status[] = [
  'proven',
  'laying',
  'queenright',
  'caged',
  'virgin',
  'cellGiven',
  'stocked',
  'unknown',
  'failed',
];

const modelNow = ({ known }: Colonies, box: BoxState): BoxModel | undefined => {
  const design = designOf(known.designs, box);
  return design && deriveBox(design);
};
export const compartmentsNow = (told: Colonies, box: BoxState): readonly Compartment[] =>
  modelNow(told, box)?.compartments ?? [];

/**
 * What a changed divider makes of the colonies: one that is parted keeps its larger part, or that of its queen, and
 * those that are in one compartment then are one.
 */
export function regroup(told: Colonies, box: BoxState, on: Day): void {
  const compartments = compartmentsNow(told, box);
  for (const [id, home] of partsKept(compartments, livingIn(told.colonies, box), box)) {
    const colony = told.colonies.get(id);
    if (colony) told.colonies.set(id, { ...colony, home, bays: home });
  }
  for (const { bays } of compartments) {
    const here = livingIn(told.colonies, box)
      .filter((colony) => meets(colony.home, bays))
      .sort(
        (a, b) =>
          SURER.indexOf(a.status) - SURER.indexOf(b.status) ||
          a.stockedOn.localeCompare(b.stockedOn) ||
          a.id.localeCompare(b.id),
      );
    const [stays, ...joins] = here;
    if (!stays || joins.length === 0) continue;
    for (const colony of joins)
      told.colonies.set(colony.id, { ...colony, status: 'empty', since: on, ended: { on, how: 'combined' } });
    for (const queen of joins.flatMap(({ id }) => queensIn(told.queens, id)))
      told.queens.set(queen.id, { ...queen, colony: stays.id, since: on });
    const home = [...new Set([...stays.home, ...joins.flatMap((colony) => colony.home)])];
    told.colonies.set(stays.id, { ...withCareOf(stays, joins), home, bays: home, combinedOn: on });
  }
}

/**
 * Where a bay becomes two, its bees have both, also those that have gone and left something behind. A queen who was seen
 * in it is in the part of the frame that she was seen on last, else where more of its combs hang.
 */
export function partBay(told: Colonies, box: BoxState, parted: string, fresh: string): void {
  const compartments = compartmentsNow(told, box);
  const placesBeside = (bay: string) =>
    combPlaces(compartments.find(({ bays }) => bays.includes(bay))?.frames ?? []).map(({ id }) => id);
  const combsBeside = (bay: string) =>
    placesBeside(bay).filter((place) => !box.emptySlots?.includes(place)).length;
  const larger = combsBeside(fresh) > combsBeside(parted) ? fresh : parted;
  for (const colony of told.colonies.values()) {
    if (colony.box !== box.id || !colony.bays.includes(parted)) continue;
    const seenOn = queensIn(told.queens, colony.id).flatMap(({ sightings }) => sightings.at(-1)?.slot ?? []);
    const hers = [parted, fresh].find((bay) => placesBeside(bay).some((place) => seenOn.includes(place)));
    told.colonies.set(colony.id, {
      ...withBay(colony, parted, fresh),
      ...(colony.queenIn === parted ? { queenIn: hers ?? larger } : {}),
    });
  }
}

/** What bees carry with them into another colony: strips are in the comb until they are taken out. */
export const withCareOf = (colony: Colony, joins: readonly Colony[]): Colony => {
  const strips = [colony, ...joins].flatMap((each) => each.strips ?? []);
  return strips.length > 0 ? { ...colony, strips } : colony;
};

/**
 * The bays of its home that each parted colony keeps: where its queen is known to be, else where most of its frames
 * hang; of parts alike, the one that no other bees are in. Bees stay on combs: places without a frame hold none.
 */
export function partsKept(
  compartments: readonly Compartment[],
  living: readonly Colony[],
  { emptySlots = [] }: Pick<BoxState, 'emptySlots'>,
): Map<string, string[]> {
  return new Map(
    living.flatMap((colony): [string, string[]][] => {
      const parts = compartments.filter(({ bays }) => meets(colony.home, bays));
      if (parts.length < 2) return [];
      const framesOf = ({ frames }: Compartment) =>
        frames.filter(({ id, bay }) => colony.home.includes(bay) && !emptySlots.includes(id)).length;
      const isFree = ({ bays }: Compartment) =>
        !living.some((other) => other.id !== colony.id && meets(other.home, bays));
      const queens = parts.find(
        (part) => colony.queenIn !== undefined && part.bays.includes(colony.queenIn) && framesOf(part) > 0,
      );
      const kept =
        queens ??
        parts.reduce((best, part) => {
          const more = framesOf(part) - framesOf(best);
          return more > 0 || (more === 0 && isFree(part) && !isFree(best)) ? part : best;
        });
      return [[colony.id, colony.home.filter((bay) => kept.bays.includes(bay))]];
    }),
  );
}

/** Which rooms each colony lives in, and which have no way out, and since when: told anew whenever a disc, a board or the bees change. */
export function settleRooms(told: Colonies, box: BoxState, on: Day): void {
  const model = modelNow(told, box);
  if (!model) return;
  const living = livingIn(told.colonies, box);
  for (const colony of living) {
    const others = living.filter(({ id }) => id !== colony.id);
    const bays = baysLivedIn(model, colony, others);
    const { shutOn, ...rest } = { ...colony, bays };
    const out = joinedWith(model, mainRoom(model, rest)).hasExit;
    told.colonies.set(colony.id, out ? rest : { ...rest, shutOn: shutOn ?? on });
  }
}

/** Frames of the room that a colony is reckoned in now. */
export function framesFor(told: Colonies, colony: Colony): number {
  const box = told.boxes.get(colony.box);
  const model = box && modelNow(told, box);
  return combPlaces(model?.compartments[mainRoom(model, colony)]?.frames ?? []).length;
}
