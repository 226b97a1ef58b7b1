import { ProblemsError } from '@yellow-cell/core';
import { createDemo, demoDays } from '@yellow-cell/demo';
import { findBreeder, moveAnchor } from '../store/breeders.ts';
import type { Database } from '../store/database.ts';
import { breederClock } from './clock.ts';
import { type Context, contextOf } from './context.ts';
import { logEntries } from './logEntries.ts';

/** The demo is looked at in the forenoon. */
const HOUR = 'T08:00:00.000Z';
const BATCH = 1_000;

/** Days of the demo's story that still lie ahead of its clock; none where no demo is shown. */
export const daysAhead = ({ clock }: Context, anchor: string | null): string[] =>
  anchor === null ? [] : demoDays(anchor).filter((day) => day > clock.now().slice(0, 10));

/**
 * Moves the demo's clock on to one of the days of its story: what its people did until then is entered as theirs. What
 * clashes with what was entered here since waits to be settled. The clock is never turned back: the log only grows.
 */
export async function moveDemoClock(
  database: Database,
  context: Context,
  real: () => Date,
  day: string,
): Promise<Context> {
  const anchor = (await context.reading(findBreeder))?.demo_anchor ?? null;
  if (!daysAhead(context, anchor).includes(day) || anchor === null)
    throw new ProblemsError([
      {
        path: 'day',
        value: day,
        sentence: 'The demo’s clock can be moved on to the days of its story alone.',
      },
    ]);
  const next = day + HOUR;
  const loadedAt = real().toISOString();
  const moved = contextOf(database, context.breeder, breederClock(real, { anchor: next, loadedAt }));
  const entries = createDemo(next).entries.filter(
    ({ occurredAt }) => Date.parse(occurredAt) > Date.parse(anchor),
  );
  for (let at = 0; at < entries.length; at += BATCH)
    await logEntries(moved, entries.slice(at, at + BATCH), true);
  await moved.writing((store) => moveAnchor(store, next, loadedAt));
  return moved;
}
