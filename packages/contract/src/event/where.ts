import { z } from 'zod';
import { Id, PartId } from '../primitives.ts';

export const count = (what: string, max: number) =>
  z
    .number()
    .int(`${what} is counted in whole numbers.`)
    .min(0, `${what} cannot be below 0.`)
    .max(max, `${what} cannot be above ${max}.`);

/** Where a colony stands: the box and the colony's own id; and of one that lives in several rooms, a bay of the one that is meant. */
export const inColony = { box: Id, colony: Id, bay: PartId.optional() };
/** The attempt is the one the person had before them; it may be left out where the colony is no attempt. */
export const ofAttempt = { ...inColony, attempt: Id.optional() };
