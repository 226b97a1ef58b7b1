import type { BoxState, Colony, Queen, Status } from '@yellow-cell/contract';
import { type Compartment, deriveBox, hasExit } from '../box/model.ts';
import type { Day } from '../calendar/days.ts';
import { combPlaces, designOf, livingIn } from './compartments.ts';
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

export const compartmentsNow = ({ known }: Colonies, box: BoxState): readonly Compartment[] => {
  const design = designOf(known.designs, box);
  return design ? deriveBox(design).compartments : [];
};

/**
 * What a changed divider makes of the colonies: one that is parted keeps its larger part, and those that are in one
 * compartment then are one.
 */
export function regroup(told: Colonies, box: BoxState, on: Day): void {
  const compartments = compartmentsNow(told, box);
  for (const [id, bays] of partsKept(compartments, livingIn(told.colonies, box))) {
    const colony = told.colonies.get(id);
    if (colony) told.colonies.set(id, { ...colony, bays });
  }
  for (const { bays } of compartments) {
    const here = livingIn(told.colonies, box)
      .filter((colony) => colony.bays.some((bay) => bays.includes(bay)))
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
    const all = new Set([...stays.bays, ...joins.flatMap((colony) => colony.bays)]);
    told.colonies.set(stays.id, { ...stays, bays: [...all], combinedOn: on });
  }
}

/** The bays that each parted colony keeps: where it has most frames; of parts alike, the one that no other bees are in. */
export function partsKept(
  compartments: readonly Compartment[],
  living: readonly Colony[],
): Map<string, string[]> {
  const meets = (bays: readonly string[], wanted: readonly string[]) =>
    bays.some((bay) => wanted.includes(bay));
  return new Map(
    living.flatMap((colony): [string, string[]][] => {
      const parts = compartments.filter(({ bays }) => meets(colony.bays, bays));
      if (parts.length < 2) return [];
      const framesOf = ({ frames }: Compartment) =>
        frames.filter(({ bay }) => colony.bays.includes(bay)).length;
      const isFree = ({ bays }: Compartment) =>
        !living.some((other) => other.id !== colony.id && meets(other.bays, bays));
      const kept = parts.reduce((best, part) => {
        const more = framesOf(part) - framesOf(best);
        return more > 0 || (more === 0 && isFree(part) && !isFree(best)) ? part : best;
      });
      return [[colony.id, colony.bays.filter((bay) => kept.bays.includes(bay))]];
    }),
  );
}

/** Which colonies have no way out, and since when: told anew whenever a disc, a divider or the bees change. */
export function reckonShut(told: Colonies, box: BoxState, on: Day): void {
  const compartments = compartmentsNow(told, box);
  for (const colony of livingIn(told.colonies, box)) {
    const home = compartments.find(({ bays }) => colony.bays.some((bay) => bays.includes(bay)));
    const out = home !== undefined && hasExit(home);
    if (out === (colony.shutOn === undefined)) continue;
    const { shutOn: _, ...rest } = colony;
    told.colonies.set(colony.id, out ? rest : { ...rest, shutOn: on });
  }
}

/** Frames of the compartment that a colony lives in now. */
export function framesFor(told: Colonies, colony: Colony): number {
  const box = told.boxes.get(colony.box);
  const home =
    box && compartmentsNow(told, box).find(({ bays }) => colony.bays.some((bay) => bays.includes(bay)));
  return combPlaces(home?.frames ?? []).length;
}
