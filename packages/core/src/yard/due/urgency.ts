import type { Day } from '../../calendar/days.ts';
import type { Expectation } from './expectation.ts';

/** `before`: seen from a day ahead, work that comes due between today and then. */
export type Urgency = 'overdue' | 'due' | 'ahead' | 'before';

/** Where an expectation stands on a day, which may lie ahead of today: then only what is overdue today is overdue. */
export function urgencyOn({ from, to }: Pick<Expectation, 'from' | 'to'>, on: Day, today = on): Urgency {
  if (to < on) return on > today && to >= today ? 'before' : 'overdue';
  return from <= on ? 'due' : 'ahead';
}

/**
 * The one thing to name first. Up to today: a deadline that has come, else what is due longest, else what
 * comes next. On a day ahead: what falls on it, else what is overdue already, else what comes next.
 */
export function firstExpectation(
  expectations: readonly Expectation[],
  on: Day,
  today = on,
): Expectation | undefined {
  const open = expectations.filter(
    ({ lapses, quiet, from, to }) => (!lapses || to >= on) && (!quiet || from <= on),
  );
  if (on <= today) return open.find(({ kind, from }) => kind === 'declareFailed' && from <= on) ?? open[0];
  const by = (...wanted: Urgency[]) => open.find((each) => wanted.includes(urgencyOn(each, on, today)));
  return by('due') ?? by('overdue') ?? by('ahead') ?? open.at(-1);
}
