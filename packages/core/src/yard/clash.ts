import type { LogEvent } from '@yellow-cell/contract';
import { effective } from './order.ts';

/** Subjects from the smallest to the largest: what two entries say of the smaller one clashes first. */
const SMALLER_FIRST = ['frame', 'queen', 'attempt', 'colony', 'round', 'box'] as const;

/**
 * What stands in the way of an entry that cannot be: the last standing entry before it about the same thing, the
 * smallest thing first; of the same kind before others. Undefined where nothing is told of it before.
 */
export function clashesWith(entry: LogEvent, others: readonly LogEvent[]): LogEvent | undefined {
  const before = effective([...others, entry])
    .map(({ event }) => event)
    .filter(({ id }) => id !== entry.id)
    .filter(({ occurredAt }) => Date.parse(occurredAt) <= Date.parse(entry.occurredAt));
  for (const kind of SMALLER_FIRST) {
    const ids = entry.subjects.filter((subject) => subject.kind === kind).map(({ id }) => id);
    const about = before.filter(({ subjects }) => subjects.some(({ id }) => ids.includes(id)));
    const found = about.filter((event) => event.kind === entry.kind).at(-1) ?? about.at(-1);
    if (found) return found;
  }
  return undefined;
}
