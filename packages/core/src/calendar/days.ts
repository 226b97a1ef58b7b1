import { TZDate, tzOffset } from '@date-fns/tz';

/** Calendar days are `YYYY-MM-DD` strings, which sort as they follow each other; instants are ISO 8601. */
export type Day = string;

/** A day alone is read as midnight UTC, where every day has 24 hours; folds do this thousands of times a frame. */
const DAY_MS = 86_400_000;

export const plusDays = (day: Day, days: number): Day => dayNumbered(numberOf(day) + days);

/** A log names the same few thousand days over and over: each is read and written once. */
const DAYS_KEPT = 40_000;
const numbers = new Map<Day, number>();
const named = new Map<number, Day>();

function numberOf(day: Day): number {
  const known = numbers.get(day);
  if (known !== undefined) return known;
  if (numbers.size > DAYS_KEPT) numbers.clear();
  const number = Date.parse(day) / DAY_MS;
  numbers.set(day, number);
  return number;
}

function dayNumbered(number: number): Day {
  const known = named.get(number);
  if (known !== undefined) return known;
  if (named.size > DAYS_KEPT) named.clear();
  const day = new Date(number * DAY_MS).toISOString().slice(0, 10);
  named.set(number, day);
  return day;
}

/** Days from `from` to `to`; below 0 where `to` comes first. */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
}

/** The calendar day on which an instant falls in an IANA zone. */
export const dayOf = (instant: string, zone: string): Day => dayAt(Date.parse(instant), zone);

/** The same for an instant in milliseconds since 1970. */
export function dayAt(at: number, zone: string): Day {
  return dayNumbered(Math.floor((at + offsetMs(at, zone)) / DAY_MS));
}

/** What clocks in a zone show at an instant in milliseconds since 1970: `HH:MM`. */
export const timeAt = (at: number, zone: string): string =>
  new Date(at + offsetMs(at, zone)).toISOString().slice(11, 16);

/** The instant of a wall-clock time in a zone. */
export function instantOf(day: Day, hour: number, minute: number, zone: string): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(new TZDate(year, month - 1, date, hour, minute, 0, zone).getTime()).toISOString();
}

/**
 * When what is told of a day without its hour is taken to have happened: at its end, so that all else that is known
 * of the day, bees stocked in its afternoon, is known by then.
 */
export const endOfDay = (day: Day, zone: string): string => instantOf(day, 23, 59, zone);

export const earlier = (a: Day, b: Day): Day => (a < b ? a : b);
export const later = (a: Day, b: Day): Day => (a > b ? a : b);

/**
 * How far a zone's clocks are ahead of UTC, remembered for each UTC day on which they do not change: asking
 * costs microseconds, and a log has thousands of instants on few days.
 */
function offsetMs(at: number, zone: string): number {
  const days = offsets.get(zone) ?? new Map<number, number | null>();
  offsets.set(zone, days);
  const day = Math.floor(at / DAY_MS);
  let known = days.get(day);
  if (known === undefined) {
    const atStart = tzOffset(zone, new Date(day * DAY_MS));
    known = atStart === tzOffset(zone, new Date((day + 1) * DAY_MS)) ? atStart * MINUTE_MS : null;
    days.set(day, known);
  }
  return known ?? tzOffset(zone, new Date(at)) * MINUTE_MS;
}
const MINUTE_MS = 60_000;
const offsets = new Map<string, Map<number, number | null>>();
