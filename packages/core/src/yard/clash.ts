import type { LogEvent } from '@yellow-cell/contract';
import { effective } from './order.ts';
import { transitions } from './transitions.ts';

/** Entries after which a compartment is something else; a feed or a count stands in nobody's way. */
const CHANGES_STATUS: ReadonlySet<string> = new Set([
  ...Object.keys(transitions),
  'queenGiven',
  'colonyMoved',
]);

/** Subjects from the smallest to the largest: what two entries say of the smaller one clashes first. */
const SMALLER_FIRST = ['frame', 'queen', 'attempt', 'colony', 'round', 'box'] as const;

/**
 * What stands in the way of an entry that cannot be: the last standing entry before it about the same thing, the
 * smallest thing first; what is of the same kind, or changed a status, before mere observations. Undefined where nothing is told of it before.
 */
export function clashesWith(entry: LogEvent, others: readonly LogEvent[]): LogEvent | undefined {
  // A correction is also about what it corrects, so that none is left behind here.
  const own = new Set(entry.subjects.map(({ id }) => id));
  const near = others.filter(({ subjects }) => subjects.some(({ id }) => own.has(id)));
  const before = effective([...near, entry])
    .map(({ event }) => event)
    .filter(({ id }) => id !== entry.id)
    .filter(({ occurredAt }) => Date.parse(occurredAt) <= Date.parse(entry.occurredAt));
  for (const kind of SMALLER_FIRST) {
    const ids = entry.subjects.filter((subject) => subject.kind === kind).map(({ id }) => id);
    const about = before.filter(({ subjects }) => subjects.some(({ id }) => ids.includes(id)));
    const telling = about.filter((event) => event.kind === entry.kind || CHANGES_STATUS.has(event.kind));
    const found = telling.at(-1) ?? about.at(-1);
    if (found) return found;
  }
  return undefined;
}
