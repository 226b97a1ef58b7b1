import type { Attempt, Queen } from '@yellow-cell/contract';

/** Queens that live with a colony now; two at once are possible (supersedure). */
export const queensIn = (queens: ReadonlyMap<string, Queen>, colony: string): Queen[] =>
  [...queens.values()].filter((queen) => queen.colony === colony && !queen.gone);

/** Of them, those that are free among the bees and of whom no attempt has failed: with one of these they have a queen. */
export const reigning = (
  { queens, attempts }: { queens: ReadonlyMap<string, Queen>; attempts: ReadonlyMap<string, Attempt> },
  colony: string,
): Queen[] => queensIn(queens, colony).filter(({ id, caged }) => !caged && !attempts.get(id)?.failed);
