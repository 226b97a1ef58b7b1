import { z } from 'zod';
import { CalendarDate, name, OwnFigures } from './primitives.ts';

/** The odds of a plan: rounds played many times with what is not known of rates, acceptance and weather. */

const whole = (what: string, least: number, most: number) =>
  z
    .number()
    .int(`${what} are counted in whole numbers.`)
    .min(least, `${what} cannot be fewer than ${least}.`)
    .max(most, `${what} cannot be more than ${most}.`);
const record = (takes: string, tried: string) =>
  z.strictObject({ takes: whole(takes, 0, 1_000_000), tried: whole(tried, 0, 1_000_000) });

export const OddsQuestion = z.strictObject({
  today: CalendarDate,
  lots: z
    .array(z.strictObject({ name: name(60), queens: whole('Queens', 1, 10_000), by: CalendarDate }))
    .max(100, 'At most 100 lots can be asked about.'),
  rounds: z
    .array(
      z.strictObject({
        graft: CalendarDate,
        /** Larvae that are not counted yet, or not grafted. */
        grafts: whole('Grafts', 0, 1_000),
        /** Cells that are counted, and of which nothing is decided. */
        cells: whole('Cells', 0, 1_000),
        /** So many cells find a room, at most. */
        rooms: whole('Rooms', 0, 10_000),
        /** Queens that it has already. */
        queens: whole('Queens', 0, 10_000),
      }),
    )
    .max(200, 'At most 200 rounds can be asked about.'),
  /** Cells that became laying queens, of those that were decided. */
  record: record('Takes', 'Attempts'),
  /** Grafts that were taken on, of those that were counted. */
  accepted: record('Accepted grafts', 'Grafts'),
  /** The share of days that fly, of each month, January first. */
  flying: z
    .array(z.number().min(0, 'A share cannot be below 0.').max(1, 'A share cannot be above 1.'))
    .length(12, 'A year has twelve months.'),
  /** Days of which it is known. */
  known: z
    .array(z.strictObject({ on: CalendarDate, flies: z.boolean() }))
    .max(400, 'At most 400 known days can be given.'),
  /** Days of laying after which queens are taken. */
  laying_d: whole('Days of laying', 0, 120),
  plays: whole('Plays', 100, 20_000),
  seed: z.number().int('A seed is a whole number.').min(0).max(4_294_967_295),
  constants: OwnFigures.optional(),
});
export type OddsQuestion = z.infer<typeof OddsQuestion>;

export const OddsAnswer = z.strictObject({
  /** In the order of their days. */
  lots: z.array(
    z.strictObject({
      name: z.string(),
      /** That all queens wanted up to its day are ready by then. */
      chance: z.number(),
      /** More ripe cells, with rooms, that make it as sure as wanted; null where no number of them comes in time. */
      more: z.number().int().nullable(),
      /** The graft that those cells would be of; null likewise, and where none are needed. */
      graft: CalendarDate.nullable(),
    }),
  ),
  /** Queens ready by a day, those that are there among them: 5, 50 and 95 of a hundred plays have no more. */
  fan: z.array(z.strictObject({ on: CalendarDate, low: z.number(), middle: z.number(), high: z.number() })),
});
export type OddsAnswer = z.infer<typeof OddsAnswer>;
