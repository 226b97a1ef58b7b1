import { z } from 'zod';
import { OwnFigures, PartId } from './primitives.ts';

const share = z.number().min(0, 'A share cannot be below 0.').max(1, 'A share cannot be above 1.');

/** Shares of a whole side of comb; what is drawn and holds none of them is empty. */
export const ReduceSide = z.strictObject({ stores: share, pollen: share, brood: share, drawn: share });
export const ReduceSlot = z.strictObject({
  slot: z
    .number()
    .int('Places are counted in whole numbers.')
    .min(1, 'The first place is 1.')
    .max(60, 'No row has more than 60 places.'),
  /** Nearer the left wall first; without sides it is foundation. */
  sides: z.tuple([ReduceSide, ReduceSide]).optional(),
});
export type ReduceSlot = z.infer<typeof ReduceSlot>;

/** A colony's combs before winter, by which its cavity is fitted to it. */
export const ReduceQuestion = z.strictObject({
  format: PartId,
  slots: z
    .array(ReduceSlot)
    .min(1, 'At least one frame is needed.')
    .max(60, 'At most 60 frames can be asked about.'),
  seams: z.number().min(0, 'Seams cannot be below 0.').max(60, 'More than 60 seams are in no box.'),
  need_kg: z
    .number()
    .min(0, 'Stores needed cannot be below 0 kg.')
    .max(100, 'No colony needs more than 100 kg.'),
  school: z.enum(['sun', 'both', 'behind']),
  sunSide: z.enum(['left', 'right']),
  constants: OwnFigures.optional(),
});
export type ReduceQuestion = z.infer<typeof ReduceQuestion>;
export const ReduceAnswer = z.strictObject({
  frames: z.array(
    z.strictObject({
      slot: z.number().int(),
      verdict: z.enum(['keep', 'turn', 'out']),
      why: z.string(),
      /** Its new place, 1 from the left, of those kept; null where it comes out. */
      to: z.number().int().nullable(),
      turned: z.boolean(),
    }),
  ),
  stores_kg: z.number(),
  carry_kg: z.number(),
  short_kg: z.number(),
  sugar_kg: z.number(),
  syrup_l: z.number(),
  notes: z.array(z.string()),
});
export type ReduceAnswer = z.infer<typeof ReduceAnswer>;
