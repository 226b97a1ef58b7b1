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

const money = (what: string) =>
  z.number().min(0, `${what} cannot be below 0.`).max(1e6, `${what} cannot be above 1,000,000.`);
const wholeDays = (what: string, least: number, most: number) =>
  z
    .number()
    .int('Days are counted in whole numbers.')
    .min(least, `${what} cannot be below ${least} days.`)
    .max(most, `${what} cannot be above ${most} days.`);
const wholeCount = (what: string, least: number, most: number) =>
  z
    .number()
    .int(`${what} are counted in whole numbers.`)
    .min(least, `${what} cannot be fewer than ${least}.`)
    .max(most, `${what} cannot be more than ${most}.`);

const takeRate = z
  .number()
  .gt(0, 'The take rate must be above 0.')
  .lte(1, 'The take rate must be at most 1.');
const hours = (what: string, most: number) =>
  z.number().min(0, `${what} cannot be below 0 h.`).max(most, `${what} cannot be above ${most} h.`);
const within = (what: string) =>
  z.strictObject({ count: wholeCount(what, 0, 100), days: wholeDays('Their time', 1, 60) });
const SeasonSpell = z.strictObject({
  from: CalendarDate,
  /** 0 where no queen flies in time. */
  rate: z.number().min(0, 'The take rate cannot be below 0.').max(1, 'The take rate must be at most 1.'),
  take_d: wholeDays('The time to the take', 11, 120),
});

/** Lots of queens by their days, and what there is to raise them with. */
export const SeasonQuestion = z.strictObject({
  from: CalendarDate,
  to: CalendarDate,
  lots: z
    .array(
      z.strictObject({
        name: name(60),
        queens: wholeCount('Queens', 1, 2_000),
        by: CalendarDate,
        value: money('The worth of a queen'),
      }),
    )
    .min(1, 'At least one lot is needed.')
    .max(40, 'At most 40 lots can be asked about.'),
  compartments: z
    .array(
      z.strictObject({ count: wholeCount('Compartments', 0, 2_000), from: CalendarDate, to: CalendarDate }),
    )
    .max(40, 'At most 40 groups of compartments can be asked about.'),
  /** On which a graft may be made, 1 is Monday; left out, on any. */
  weekdays: z
    .array(
      z.number().int('Weekdays are 1 to 7.').min(1, 'Weekdays are 1 to 7.').max(7, 'Weekdays are 1 to 7.'),
    )
    .max(7, 'There are seven weekdays.')
    .optional(),
  /** On which nothing is grafted, ripe or taken. */
  closed: z.array(CalendarDate).max(400, 'At most 400 closed days can be asked about.').optional(),
  cells: z.strictObject({ least: wholeCount('Cells', 1, 500), most: wholeCount('Cells', 1, 500) }),
  rate: takeRate,
  /** From the graft to the day on which its queens are taken. */
  take_d: wholeDays('The time to the take', 11, 120),
  bank: z
    .strictObject({ days: wholeDays('Time in the bank', 0, 120), places: wholeCount('Places', 0, 5_000) })
    .optional(),
  /** From these grafts on, in their order, queens fare otherwise than `rate` and `take_d` say: late in a year fewer fly in time, and later. */
  spells: z.array(SeasonSpell).max(60, 'At most 60 spells can be asked about.').optional(),
  /** So many grafts at most within so many days: a donor fills a comb, a starter is made up anew. */
  donors: within('Donors').optional(),
  starters: within('Starters').optional(),
  /** So many cells at most in finishers, where those of a graft stand for so many days. */
  finishers: z
    .strictObject({ cells: wholeCount('Cells', 1, 5_000), days: wholeDays('Time in a finisher', 1, 20) })
    .optional(),
  /** Once they are sealed, cells leave the finishers for so many places. */
  incubator: z.strictObject({ places: wholeCount('Places', 0, 5_000) }).optional(),
  /** Who helps, with the hours of a week, and when they are away; what work takes stands in `work`. */
  helpers: z
    .array(
      z.strictObject({
        name: name(60),
        hours: hours('Hours of a week', 168),
        away: z
          .array(z.strictObject({ from: CalendarDate, to: CalendarDate }))
          .max(60, 'At most 60 absences can be asked about.'),
      }),
    )
    .max(40, 'At most 40 helpers can be asked about.')
    .optional(),
  /** Hours on the day of the graft; for each cell, in the week in which it is ripe; for each queen, in that of her take. */
  work: z
    .strictObject({
      round_h: hours('A graft', 100),
      cell_h: hours('A cell', 24),
      queen_h: hours('A queen', 24),
    })
    .optional(),
  /** Rounds that there are already, and stay: none other is grafted on their days, and they take up what they take up. */
  standing: z
    .array(z.strictObject({ graft: CalendarDate, cells: wholeCount('Cells', 0, 1_000) }))
    .max(200, 'At most 200 rounds can stand.')
    .optional(),
  /** Rounds that people know already: each cell that is more or less on one of their days costs so much. */
  stay: z
    .strictObject({
      rounds: z
        .array(z.strictObject({ graft: CalendarDate, cells: wholeCount('Cells', 1, 500) }))
        .max(200, 'At most 200 rounds can be known.'),
      cost: money('A changed cell'),
    })
    .optional(),
  /** Queens may stay so many days in their rooms after they can be taken, and hold them until then. */
  roomWait_d: wholeDays('Time in the room', 0, 60).optional(),
  cost: z.strictObject({
    round: money('A round'),
    cell: money('A cell'),
    bankDay: money('A day in the bank'),
  }),
});
export type SeasonQuestion = z.infer<typeof SeasonQuestion>;
export const SeasonAnswer = z.strictObject({
  rounds: z.array(
    z.strictObject({
      graft: CalendarDate,
      cells: z.number().int(),
      /** Of them so many go to the incubator once they are sealed; only where there is one. */
      incubator: z.number().optional(),
    }),
  ),
  deliveries: z.array(z.strictObject({ lot: z.string(), graft: CalendarDate, queens: z.number() })),
  lots: z.array(z.strictObject({ name: z.string(), queens: z.number(), short: z.number() })),
  objective: z.number(),
  /** What no plan can exceed. */
  bound: z.number(),
});
export type SeasonAnswer = z.infer<typeof SeasonAnswer>;
