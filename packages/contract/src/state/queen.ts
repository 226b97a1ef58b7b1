import { z } from 'zod';
import { QueenColour } from '../event/queenEvents.ts';
import { CalendarDate } from '../primitives.ts';
import { QueenFate } from '../status.ts';
import { list, may } from './shapes.ts';

export const Queen = z.strictObject({
  id: z.string(),
  name: may(z.string()),
  mother: may(
    z.union([
      z.strictObject({
        queen: z.string(),
      }),
      z.strictObject({
        name: z.string(),
      }),
    ]),
  ),
  round: may(z.string()),
  bornOn: may(CalendarDate),
  birthYear: may(z.number()),
  matedAt: may(z.string()),
  mark: may(
    z.strictObject({
      on: CalendarDate,
      colour: QueenColour.nullable(),
      number: may(z.string()),
      clipped: z.boolean(),
    }),
  ),
  /** The colony she is with, or was with last. */
  colony: z.string(),
  box: z.string(),
  since: CalendarDate,
  caged: may(z.boolean()),
  /** In a bank: her place among the cages, and the box that she came from. */
  cage: may(z.string()),
  from: may(z.string()),
  /** Where she was on a frame, it is the frame’s place now: where it is moved, the sighting goes along; `box` where that is another than hers. */
  sightings: list(
    z.strictObject({
      on: CalendarDate,
      slot: may(z.string()),
      box: may(z.string()),
    }),
  ),
  /** What became of her, where she is no longer there. */
  gone: may(
    z.strictObject({
      on: CalendarDate,
      to: z.union([QueenFate, z.literal('lost')]),
      backBy: may(CalendarDate),
    }),
  ),
});
export type Queen = z.infer<typeof Queen>;
