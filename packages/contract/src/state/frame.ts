import { z } from 'zod';
import { CombSide, FramePlace, FramePurpose } from '../event/frameEvents.ts';
import { CalendarDate } from '../primitives.ts';
import { may, pair } from './shapes.ts';

export const Frame = z.strictObject({
  id: z.string(),
  /** Null: out of any box. */
  at: FramePlace.nullable(),
  since: CalendarDate,
  /** The other way round than it first stood. */
  turned: z.boolean(),
  audit: may(
    z.strictObject({
      on: CalendarDate,
      sides: pair(CombSide),
      bees: may(pair(z.number())),
    }),
  ),
  out: may(
    z.strictObject({
      from: FramePlace,
      on: CalendarDate,
      purpose: FramePurpose,
      turned: z.boolean(),
      backBy: may(CalendarDate),
      where: may(z.string()),
    }),
  ),
});
export type Frame = z.infer<typeof Frame>;
