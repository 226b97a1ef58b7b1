import { z } from 'zod';
import { CalendarDate } from '../primitives.ts';
import { CellsTo } from '../status.ts';
import { list, may } from './shapes.ts';

export const Round = z.strictObject({
  id: z.string(),
  number: z.number(),
  donor: z.string(),
  donorQueen: may(z.string()),
  /** The day of the graft; while it is planned, the day it is meant for. */
  graftedOn: CalendarDate,
  grafts: z.number(),
  /** True until it is grafted. */
  planned: may(z.literal(true)),
  /** As it was planned last, where it was. */
  plan: may(
    z.strictObject({
      graftOn: CalendarDate,
      grafts: z.number(),
    }),
  ),
  /** When its donor was given the drawn comb, last. */
  comb: may(z.strictObject({ at: z.string() })),
  /** What its incubator showed when somebody looked last. */
  incubated: may(
    z.strictObject({ at: z.string(), temperature_C: z.number(), humidity_pct: may(z.number()) }),
  ),
  /** As counted last; undefined until they are counted. */
  accepted: may(
    z.strictObject({
      on: CalendarDate,
      cells: z.number(),
    }),
  ),
  /** Cells carried on, in the order in which that happened. */
  moved: may(
    list(
      z.strictObject({
        on: CalendarDate,
        cells: z.number(),
        to: CellsTo,
        where: may(z.string()),
      }),
    ),
  ),
});
export type Round = z.infer<typeof Round>;
