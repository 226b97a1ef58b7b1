import { z } from 'zod';
import { CalendarDate, OwnFigures, PartId } from './primitives.ts';

const cells = (what: string) =>
  z
    .number()
    .min(0, `${what} cannot be below 0.`)
    .max(1_000_000, `${what} of more than 1,000,000 cells is in no hive.`);
const weight = (what: string, most: number) =>
  z
    .number()
    .min(0, `${what} cannot weigh less than 0 kg.`)
    .max(most, `${what} of more than ${most} kg is in no hive.`);

/** A small colony, to be followed day by day. */
export const PopulationQuestion = z.strictObject({
  from: CalendarDate,
  days: z
    .number()
    .int('Days are counted in whole numbers.')
    .min(1, 'At least one day is needed.')
    .max(400, 'At most 400 days can be asked about.'),
  format: PartId,
  frames: z
    .number()
    .int('Frames are counted in whole numbers.')
    .min(1, 'At least one frame is needed.')
    .max(60, 'At most 60 frames can be asked about.'),
  bees_kg: weight('Bees', 20),
  sealedCells: cells('Sealed brood'),
  openCells: cells('Open brood'),
  stores_kg: weight('Stores', 100),
  /** The day of the first egg of a queen that lays on; null: there is none. */
  laysFrom: CalendarDate.nullable(),
  feed: z
    .array(
      z.strictObject({
        on: CalendarDate,
        kg: weight('Feed', 30),
        /** Syrup of which no more is said is taken for 1:1. */
        kind: z.enum(['sugar', 'syrup', 'syrup11', 'syrup21', 'fondant', 'patty', 'storesFrame']).optional(),
      }),
    )
    .max(400, 'At most 400 feeds can be asked about.')
    .optional(),
  /** What a flier brings home on a day beyond what she uses, in grams; left out, nothing is to be had. */
  forage_gFlier: z
    .number()
    .min(0, 'Forage cannot be below 0 g.')
    .max(1, 'No flier brings more than 1 g a day.')
    .optional(),
  constants: OwnFigures.optional(),
});
export type PopulationQuestion = z.infer<typeof PopulationQuestion>;
export const PopulationDay = z.strictObject({
  on: CalendarDate,
  bees: z.number(),
  eggs: z.number(),
  open: z.number(),
  sealed: z.number(),
  stores_kg: z.number(),
  /** Of this day; none of the first, which is as it was given. */
  emerged: z.number(),
  died: z.number(),
});
export type PopulationDay = z.infer<typeof PopulationDay>;
export const PopulationAnswer = z.strictObject({ days: z.array(PopulationDay) });
export type PopulationAnswer = z.infer<typeof PopulationAnswer>;
