import type { Attempt, Queen } from '@yellow-cell/contract';
import { inOrder, only } from '../things.ts';

/** Queens that live with a colony now; two at once are possible (supersedure). */
export const queensIn = (queens: ReadonlyMap<string, Queen>, colony: string): Queen[] =>
  inOrder(only(queens, (queen) => queen.colony === colony && !queen.gone).values(), ({ since }) => since);

/** Whether a queen goes where her bees go: she lives with them, or is put aside until she comes back to them. */
export const isTheirs = ({ gone }: Queen): boolean => !gone || gone.backBy !== undefined;

/** Of them, those that are free among the bees and of whom no attempt has failed: with one of these they have a queen. */
export const reigning = (
  { queens, attempts }: { queens: ReadonlyMap<string, Queen>; attempts: ReadonlyMap<string, Attempt> },
  colony: string,
): Queen[] => queensIn(queens, colony).filter(({ id, caged }) => !caged && !attempts.get(id)?.failed);
