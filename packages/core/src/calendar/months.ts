import type { Day } from './days.ts';

export const monthNames = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** The first day of each month from the month of a day on, up to another day. */
export function monthFirsts(from: Day, to: Day): Day[] {
  const firsts: Day[] = [];
  const at = new Date(`${from.slice(0, 7)}-01T00:00:00Z`);
  for (; at.toISOString().slice(0, 10) <= to; at.setUTCMonth(at.getUTCMonth() + 1))
    firsts.push(at.toISOString().slice(0, 10));
  return firsts.filter((first) => first >= from);
}

/** Their names in three letters. */
export const shortMonths: readonly string[] = monthNames.map((name) => name.slice(0, 3));

/** The month of a day in three letters. */
export const monthShort = (day: Day): string => shortMonths[Number(day.slice(5, 7)) - 1] ?? '';
