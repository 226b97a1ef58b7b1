import { z } from 'zod';
import { CalendarDate } from '../primitives.ts';
import { PlaybookName } from '../status.ts';
import { list, may } from './shapes.ts';

/** An instant, told in the time of `zone`, by an entry. */
export const Moment = z.strictObject({
  at: z.string(),
  zone: z.string(),
  on: CalendarDate,
  entry: z.string(),
});
export type Moment = z.infer<typeof Moment>;

/** A playbook in one room: what was done of it, each by the entry that said so. */
export const Run = z.strictObject({
  id: z.string(),
  playbook: PlaybookName,
  bays: list(z.string()),
  cells: may(z.number()),
  round: may(z.string()),
  /** The day on which its last step is wanted. */
  by: may(CalendarDate),
  begun: Moment,
  /** By step; a step that was skipped bears its reason. */
  steps: z
    .record(
      z.string(),
      Moment.extend({
        skipped: may(z.string()),
        facts: may(list(z.string())),
      }),
    )
    .readonly(),
  /** Counted aloud within a step, in the order in which it was said. */
  marks: may(
    list(
      z.strictObject({
        step: z.string(),
        mark: z.string(),
        entry: z.string(),
      }),
    ),
  ),
  ended: may(
    Moment.extend({
      done: z.boolean(),
      reason: may(z.string()),
    }),
  ),
});
export type Run = z.infer<typeof Run>;
