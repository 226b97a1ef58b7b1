import type { Day } from '../../calendar/days.ts';
import type { Expectation } from './expectation.ts';

/** `before`: seen from a day ahead, work that comes due between today and then. */
export type Urgency = 'overdue' | 'due' | 'ahead' | 'before';

/** The day asked about, today, and for what runs by the hour, the instant. */
export interface Asked {
  on: Day;
  today?: Day;
  now?: string;
}

/** Where an expectation stands on a day, which may lie ahead of today: then only what is overdue today is overdue. */
export function urgencyOn(
  { from, to, by }: Pick<Expectation, 'from' | 'to' | 'by'>,
  { on, today = on, now }: Asked,
): Urgency {
  if (by !== undefined && now !== undefined && on === today && now > by) return 'overdue';
  if (to < on) return on > today && to >= today ? 'before' : 'overdue';
  return from <= on ? 'due' : 'ahead';
}

const LATE_FIRST: readonly Urgency[] = ['overdue', 'due'];

/**
 * All that is due on a day, most pressing first: what hurts within hours or days, then an attempt that has failed,
 * then what is overdue, then by the end of its window. What lapsed is not asked for any more.
 */
export function dueOn(expectations: readonly Expectation[], asked: Asked): Expectation[] {
  const key = (work: Expectation): string =>
    [
      work.pressing ? 0 : work.kind === 'declareFailed' ? 1 : 2,
      LATE_FIRST.indexOf(urgencyOn(work, asked)),
      work.by ?? work.to,
    ].join(' ');
  return expectations
    .filter(({ lapses, to }) => !lapses || to >= asked.on)
    .filter((work) => LATE_FIRST.includes(urgencyOn(work, asked)))
    .sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0));
}

/** The one thing to name first: the most pressing that is due, else what comes next; on a day ahead, what falls on it. */
export function firstExpectation(
  expectations: readonly Expectation[],
  asked: Asked,
): Expectation | undefined {
  const { on, today = on } = asked;
  const due = dueOn(expectations, asked);
  const next = expectations.find(({ from, quiet }) => from > on && !quiet);
  if (on <= today) return due[0] ?? next;
  const falls = due.find((work) => urgencyOn(work, asked) === 'due');
  return (
    falls ??
    due[0] ??
    next ??
    expectations.filter(({ lapses, to, quiet }) => (!lapses || to >= on) && !quiet).at(-1)
  );
}
