import { z } from 'zod';
import { CalendarDate, Id, name, PartId, text } from '../primitives.ts';
import { Introduction, QueenFate } from '../status.ts';
import { inColony, ofAttempt } from './where.ts';

/** What is known of her; left out is unknown, and stays so. */
const facts = {
  name: name(60).optional(),
  /** By id where she is in the record, by name where she is not. */
  mother: z.union([z.strictObject({ queen: Id }), z.strictObject({ name: name(60) })]).optional(),
  round: Id.optional(),
  bornOn: CalendarDate.optional(),
  birthYear: z.number().int().min(1990).max(2199).optional(),
  matedAt: name(80).optional(),
};
export const QueenColour = z.enum(['white', 'yellow', 'red', 'green', 'blue', 'other']);
export type QueenColour = z.infer<typeof QueenColour>;

/** Queens as persons. One of an attempt bears the attempt's id. */
export const queenEvents = {
  /** A virgin makes an attempt of this id; a mated queen is an introduction. */
  queenGiven: z.strictObject({
    ...inColony,
    queen: Id,
    what: z.enum(['virgin', 'mated']),
    caged: z.boolean(),
    /** In a bank: her place among the cages. */
    cage: text(20).optional(),
    /** Where she was, if she stood in the record. */
    from: z.strictObject({ box: Id, colony: Id }).optional(),
    ...facts,
  }),
  /** What is known of a queen that lives here, or becomes known. */
  queenRecorded: z.strictObject({ ...inColony, queen: Id, ...facts }),
  /** Looked for: seen, or not seen, which is not the same as absent. */
  queenSeen: z.strictObject({
    ...inColony,
    queen: Id.optional(),
    seen: z.boolean(),
    /** The slot of the frame she was on. */
    slot: PartId.optional(),
  }),
  /** How it goes with one that was given in a cage. */
  introductionSeen: z.strictObject({ ...inColony, queen: Id.optional(), what: Introduction }),
  queenMarked: z.strictObject({
    ...inColony,
    queen: Id,
    colour: QueenColour.nullable(),
    number: text(10).optional(),
    clipped: z.boolean(),
  }),
  queenTaken: z.strictObject({
    ...ofAttempt,
    queen: Id.optional(),
    to: QueenFate,
    beesRemain: z.boolean(),
    /** Put aside only: by when she goes back. */
    backBy: CalendarDate.optional(),
    /** To the bank only: the bees that keep her, and her place among their cages. */
    bank: z.strictObject({ box: Id, colony: Id }).optional(),
    cage: text(20).optional(),
    /** Sold, or to the breeder’s own colonies: the lot that she was wanted for. */
    lot: Id.optional(),
  }),
} as const;
