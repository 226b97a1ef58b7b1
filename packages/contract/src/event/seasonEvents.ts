import { z } from 'zod';
import { CalendarDate, Id, name, text, wholeNumber } from '../primitives.ts';
import { CellsTo } from '../status.ts';
import { count } from './where.ts';

/** What is known of a day's weather; null is not known. */
export const WeatherDay = z.strictObject({
  date: CalendarDate,
  min_C: z.number().min(-60).max(60).nullable(),
  max_C: z.number().min(-60).max(60).nullable(),
  wind_ms: z.number().min(0).max(80).nullable(),
  rain_mm: z.number().min(0).max(1_000).nullable(),
  /** Hours of flying weather between 12 and 17 h by the sun. */
  flying_h: z.number().min(0).max(5).nullable(),
});
export type WeatherDay = z.infer<typeof WeatherDay>;

/** What concerns a yard or a season, not one box. */
export const seasonEvents = {
  /** A round that is thought of: told again by the same id, the plan is moved; told as grafted, it is a fact. */
  roundPlanned: z.strictObject({
    round: Id,
    number: wholeNumber(1),
    donor: name(60),
    donorQueen: Id.optional(),
    graftOn: CalendarDate,
    grafts: count('Grafts', 1_000).min(1, 'At least one larva is grafted.'),
  }),
  /** A plan that is not kept. */
  roundDropped: z.strictObject({ round: Id }),
  /** Queens wanted by a day: for an order, or for one's own boxes. Told again by the same id, it is changed. */
  lotWanted: z.strictObject({
    lot: Id,
    name: name(60),
    queens: count('Queens', 10_000).min(1, 'At least one queen is wanted.'),
    by: CalendarDate,
    /** What one of them is worth, where it is another than usual. */
    worth: z
      .number()
      .min(0, 'A worth cannot be below 0.')
      .max(100_000, 'A worth cannot be above 100,000.')
      .optional(),
  }),
  lotDropped: z.strictObject({ lot: Id }),
  grafted: z.strictObject({
    round: Id,
    number: wholeNumber(1),
    donor: name(60),
    /** The donor, where she stands in the record. */
    donorQueen: Id.optional(),
    grafts: count('Grafts', 1_000),
    /** Of entries that told the graft and the count in one. */
    countedAtOnce: count('Accepted grafts', 1_000).optional(),
  }),
  /** Counted a day or two after the graft: how many the bees have taken on. Told again, the later count holds. */
  cellsAccepted: z.strictObject({ round: Id, accepted: count('Accepted grafts', 1_000) }),
  /** Cells of a round carried on, or away with. */
  cellsMoved: z.strictObject({
    round: Id,
    cells: count('Cells', 1_000).min(1, 'At least one cell is moved.'),
    to: CellsTo,
    where: name(80).optional(),
  }),
  /** A drawn comb goes to the donor of a round: its hour says when larvae are of the right age. */
  combToDonor: z.strictObject({ round: Id }),
  /** What the incubator that a round's cells lie in shows, read by a person. */
  incubatorRead: z.strictObject({
    round: Id,
    temperature_C: z
      .number()
      .min(0, 'An incubator is not below 0 °C.')
      .max(60, 'An incubator is not above 60 °C.'),
    humidity_pct: z.number().min(0, 'Air is not below 0 %.').max(100, 'Air is not above 100 %.').optional(),
  }),
  weatherRecorded: z.strictObject({ yard: Id, days: z.array(WeatherDay).min(1).max(400) }),
  /** A plant in bloom, or mown. */
  bloomSeen: z.strictObject({ yard: Id, plant: name(60), what: z.enum(['begins', 'full', 'over', 'mown']) }),
  /** A question put to the boxes: which are in, and which they are held against. */
  trialBegun: z.strictObject({
    trial: Id,
    yard: Id,
    question: name(200),
    measured: name(200),
    boxesIn: z.array(Id).min(1).max(500),
    boxesAgainst: z.array(Id).min(1).max(500),
  }),
  trialEnded: z.strictObject({ trial: Id, yard: Id, answer: text(1_000) }),
  withdrawn: z.strictObject({}),
} as const;
