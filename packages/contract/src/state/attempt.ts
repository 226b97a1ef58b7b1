import { z } from 'zod';
import { CalendarDate } from '../primitives.ts';
import { FailReason, QueenFate } from '../status.ts';
import { list, may } from './shapes.ts';

export const Attempt = z.strictObject({
  id: z.string(),
  colony: z.string(),
  box: z.string(),
  bays: list(z.string()),
  /** Of its compartment when the cell was given: dividers may move later, the record does not. */
  frames: z.number(),
  what: z.enum(['cell', 'virgin']),
  round: may(z.string()),
  /** Of a virgin: when she emerged, told or reckoned from her graft. */
  bornOn: may(CalendarDate),
  /** What it was given into, as that was on the day. */
  into: may(
    z.strictObject({
      design: z.string(),
      version: z.number(),
      yard: may(z.string()),
      /** What the compartment was called as the box stood. */
      compartment: z.string(),
      donor: may(z.string()),
      /** Through which she flies, and the bearing that it looked to. */
      entrance: may(
        z.strictObject({
          id: z.string(),
          bearing_deg: may(z.number()),
        }),
      ),
    }),
  ),
  givenOn: CalendarDate,
  openedOn: may(CalendarDate),
  /** First eggs or worker brood seen: the day it became a take. */
  layingOn: may(CalendarDate),
  patterns: list(
    z.strictObject({
      on: CalendarDate,
      pattern_pct: z.number(),
    }),
  ),
  failed: may(
    z.strictObject({
      on: CalendarDate,
      reason: FailReason,
    }),
  ),
  taken: may(
    z.strictObject({
      on: CalendarDate,
      to: QueenFate,
    }),
  ),
});
export type Attempt = z.infer<typeof Attempt>;
