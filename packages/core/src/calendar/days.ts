import { TZDate } from '@date-fns/tz';

/** Calendar days are `YYYY-MM-DD` strings, which sort as they follow each other; instants are ISO 8601. */
export type Day = string;

/** A day alone is read as midnight UTC, where every day has 24 hours; folds do this thousands of times a frame. */
const DAY_MS = 86_400_000;

export function plusDays(day: Day, days: number): Day {
  return new Date(Date.parse(day) + days * DAY_MS).toISOString().slice(0, 10);
}

/** Days from `from` to `to`; below 0 where `to` comes first. */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
}

/** The calendar day on which an instant falls in an IANA zone. */
export function dayOf(instant: string, zone: string): Day {
  const cached = formatterOf(zone);
  return cached.format(new Date(instant));
}

/** The instant of a wall-clock time in a zone. */
export function instantOf(day: Day, hour: number, minute: number, zone: string): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(new TZDate(year, month - 1, date, hour, minute, 0, zone).getTime()).toISOString();
}

export const earlier = (a: Day, b: Day): Day => (a < b ? a : b);
export const later = (a: Day, b: Day): Day => (a > b ? a : b);

/** Making a formatter costs far more than using it, and a log has thousands of instants in a few zones. */
const formatters = new Map<string, Intl.DateTimeFormat>();
function formatterOf(zone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(zone);
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-CA', {
      timeZone: zone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
    formatters.set(zone, formatter);
  }
  return formatter;
}
