import { z } from 'zod';
import { CalendarDate, name } from './primitives.ts';

/** Questions of a season: the days of a round, and what records of takes say. */
export const CalendarQuestion = z.strictObject({
  /** The day of the graft, or the day by which the last queen is to be taken: one of them. */
  graft: CalendarDate.optional(),
  takeBy: CalendarDate.optional(),
  give: z.enum(['cell', 'virgin']),
  laying_d: z
    .number()
    .int('Days are counted in whole numbers.')
    .min(0, 'Days of laying cannot be below 0.')
    .max(120, 'Days of laying cannot be above 120.'),
});
export type CalendarQuestion = z.infer<typeof CalendarQuestion>;
const window = z.tuple([CalendarDate, CalendarDate]);
export const CalendarAnswer = z.strictObject({
  graft: CalendarDate,
  donorComb: CalendarDate,
  droneEggsBy: CalendarDate,
  stock: CalendarDate,
  sealed: window,
  ripe: CalendarDate,
  given: window,
  emergence: window,
  flights: window,
  eggs: window,
  failedBy: CalendarDate,
  sealedBrood: window,
  take: window,
  ownWorkers: window,
});
export type CalendarAnswer = z.infer<typeof CalendarAnswer>;

const attempts = (what: string) =>
  z
    .number()
    .int(`${what} are counted in whole numbers.`)
    .min(0, `${what} cannot be below 0.`)
    .max(10_000, `${what} cannot be above 10,000.`);
export const RatesQuestion = z.strictObject({
  groups: z
    .array(z.strictObject({ name: name(80), takes: attempts('Takes'), tried: attempts('Attempts') }))
    .min(1, 'At least one group is needed.')
    .max(24, 'At most 24 groups can be asked about.'),
  /** Of the central interval. */
  share: z
    .number()
    .gt(0, 'The share must be above 0.')
    .lt(1, 'The share must be below 1; no interval is certain.'),
});
export type RatesQuestion = z.infer<typeof RatesQuestion>;
export const RatesAnswer = z.strictObject({
  /** Of the rate that the groups have in common. */
  mean: z.number(),
  low: z.number(),
  high: z.number(),
  groups: z.array(
    z.strictObject({
      name: z.string(),
      mean: z.number(),
      median: z.number(),
      low: z.number(),
      high: z.number(),
      /** Probability that it is the highest of the groups. */
      best: z.number(),
    }),
  ),
});
export type RatesAnswer = z.infer<typeof RatesAnswer>;
