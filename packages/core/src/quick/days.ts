import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import { capital } from '../say/words.ts';
import type { Token } from './tokens.ts';

/** A day that a line names, before it is known which year is meant, or which of two it is. */
export type DayNamed =
  | { is: 'day'; day: Day }
  /** Of no year: the last one, or the next one, as the sense wants. */
  | { is: 'yearless'; month: number; date: number }
  /** `order`: by which of the two numbers is the month. */
  | { is: 'either'; by: 'order' | 'weekday'; days: readonly { month: number; date: number }[] };

export interface DayRead {
  next: number;
  named: DayNamed;
}
export type DateOrder = 'dayFirst' | 'monthFirst';

const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];
const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
const SHORT_WEEKDAYS = ['mon', 'tue', 'tues', 'wed', 'thu', 'thur', 'thurs', 'fri', 'sat', 'sun'];
const YESTERDAY = ['yesterday', "y'day", 'yday', 'yest'];
const TODAY = ['today', 'now'];
export const dayWords: readonly string[] = [
  ...MONTHS,
  ...MONTHS.map((name) => name.slice(0, 3)),
  'sept',
  ...WEEKDAYS,
  ...SHORT_WEEKDAYS,
  ...YESTERDAY,
  ...TODAY,
  'last',
  'days',
  'day',
  'd',
  'ago',
  'th',
  'st',
  'nd',
  'rd',
];

/** The day that begins at a token, as seen from `on`; `order` says how 5/6 is meant, where the breeder has said so. */
export function dayAtToken(
  tokens: readonly Token[],
  at: number,
  on: Day,
  order: DateOrder | undefined,
): DayRead | undefined {
  const token = tokens[at];
  if (!token) return undefined;
  const { is, text } = token;
  if (is === 'iso') return { next: at + 1, named: { is: 'day', day: text } };
  if (is === 'ago') return { next: at + 1, named: back(on, Number.parseInt(text.slice(1), 10)) };
  if (is === 'slash') return slashed(text, at, order);
  if (YESTERDAY.includes(text)) return { next: at + 1, named: back(on, 1) };
  if (TODAY.includes(text)) return { next: at + 1, named: back(on, 0) };
  const weekday = weekdayIn(tokens[text === 'last' ? at + 1 : at]);
  if (weekday !== undefined) {
    const since = (weekdayOf(on) - weekday + 7) % 7;
    if (since === 0 && text !== 'last') return { next: at + 1, named: either(on, plusDays(on, -7)) };
    return {
      next: at + (text === 'last' ? 2 : 1),
      named: back(on, since === 0 && text === 'last' ? 7 : since),
    };
  }
  if (is === 'number') return counted(tokens, at, on);
  const month = monthIn(token);
  const date = tokens[at + 1];
  if (month === undefined || date?.is !== 'number' || !/^\d{1,2}$/.test(date.text)) return undefined;
  return withYear(tokens, ordinal(tokens, at + 2), month, Number(date.text));
}

/** A weekday typed on such a day may be today, or a week ago. */
const either = (...days: readonly Day[]): DayNamed => ({
  is: 'either',
  by: 'weekday',
  days: days.map((day) => ({ month: Number(day.slice(5, 7)), date: Number(day.slice(8)) })),
});
const back = (on: Day, days: number): DayNamed => ({ is: 'day', day: plusDays(on, -days) });
const weekdayOf = (day: Day): number => (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
const weekdayIn = (token: Token | undefined): number | undefined => {
  if (token?.is !== 'word' || !(WEEKDAYS.includes(token.text) || SHORT_WEEKDAYS.includes(token.text)))
    return undefined;
  return WEEKDAYS.findIndex((name) => name.startsWith(token.text.slice(0, 3)));
};
const monthIn = (token: Token | undefined): number | undefined => {
  if (token?.is !== 'word') return undefined;
  const { text } = token;
  const month = MONTHS.findIndex(
    (name) => name === text || name.slice(0, 3) === text || (text === 'sept' && name === 'september'),
  );
  return month < 0 ? undefined : month + 1;
};

/** “28 may”, “28th of may 2026”, “2 days ago”, “2d ago”. */
function counted(tokens: readonly Token[], at: number, on: Day): DayRead | undefined {
  const figure = tokens[at]?.text ?? '';
  if (!/^\d{1,3}$/.test(figure)) return undefined;
  const count = Number(figure);
  const [first, second] = [tokens[at + 1]?.text ?? '', tokens[at + 2]?.text ?? ''];
  if (['d', 'day', 'days'].includes(first) && second === 'ago')
    return { next: at + 3, named: back(on, count) };
  const after = ordinal(tokens, at + 1);
  const of = tokens[after]?.text === 'of' ? after + 1 : after;
  const month = monthIn(tokens[of]);
  return month === undefined ? undefined : withYear(tokens, of + 1, month, count);
}
const ordinal = (tokens: readonly Token[], at: number): number =>
  tokens[at]?.glued && ['th', 'st', 'nd', 'rd'].includes(tokens[at]?.text ?? '') ? at + 1 : at;

function withYear(tokens: readonly Token[], at: number, month: number, date: number): DayRead {
  const year = tokens[at];
  if (year?.is === 'number' && /^20\d\d$/.test(year.text))
    return { next: at + 1, named: { is: 'day', day: iso(Number(year.text), month, date) } };
  return { next: at, named: { is: 'yearless', month, date } };
}

/** 28/5 and 5/28 can be read in one way, 5/6 in two; a year may follow. */
function slashed(text: string, at: number, order: DateOrder | undefined): DayRead | undefined {
  const [a = 0, b = 0, year] = text.split('/').map(Number);
  const ways = [
    { date: a, month: b, order: 'dayFirst' },
    { date: b, month: a, order: 'monthFirst' },
  ].filter(({ date, month }) => date >= 1 && date <= 31 && month >= 1 && month <= 12);
  const meant = ways.length > 1 ? ways.filter((way) => way.order === order || a === b) : ways;
  const [only] = meant;
  if (only && (meant.length === 1 || a === b)) {
    const { month, date } = only;
    if (year === undefined) return { next: at + 1, named: { is: 'yearless', month, date } };
    return { next: at + 1, named: { is: 'day', day: iso(year < 100 ? 2000 + year : year, month, date) } };
  }
  if (ways.length < 2 || year !== undefined) return undefined;
  return {
    next: at + 1,
    named: { is: 'either', by: 'order', days: ways.map(({ month, date }) => ({ month, date })) },
  };
}

export const iso = (year: number, month: number, date: number): Day =>
  `${year}-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}`;
export const isDay = (day: Day): boolean => {
  const at = Date.parse(`${day}T00:00:00Z`);
  return !Number.isNaN(at) && new Date(at).toISOString().slice(0, 10) === day;
};

/** How far back a day without a year is still taken for the last one of its name: a season's notes are written up within it. */
const MOST_DAYS_BACK = 120;

/** When it happened: the last day of that name, or why there is none. */
export function dayPast(named: Exclude<DayNamed, { is: 'either' }>, on: Day): Day | { question: string } {
  const year = Number(on.slice(0, 4));
  const days =
    named.is === 'day' ? [named.day] : [0, -1].map((back) => iso(year + back, named.month, named.date));
  const [first = on, last] = days;
  if (!isDay(first) && (last === undefined || !isDay(last)))
    return { question: `${showsAs(named)} is no day.` };
  const past = days.filter((day) => isDay(day) && day <= on);
  const [nearest] = past;
  if (nearest !== undefined && (named.is === 'day' || daysBetween(nearest, on) <= MOST_DAYS_BACK))
    return nearest;
  return { question: `${showsAs(named)} is still to come: on which day was it?` };
}

/** How far ahead a day without a year is still the next of its name: no strip stays in for longer. */
const MOST_DAYS_AHEAD = 200;

/** A day to come: the next of that name, or why there is none. */
export function dayAhead(named: Exclude<DayNamed, { is: 'either' }>, on: Day): Day | { question: string } {
  const year = Number(on.slice(0, 4));
  const days =
    named.is === 'day' ? [named.day] : [0, 1].map((ahead) => iso(year + ahead, named.month, named.date));
  if (!days.some(isDay)) return { question: `${showsAs(named)} is no day.` };
  const next = days.find((day) => isDay(day) && day > on);
  const near = next !== undefined && (named.is === 'day' || daysBetween(on, next) <= MOST_DAYS_AHEAD);
  return near ? next : { question: `${showsAs(named)} is past: on which day to come?` };
}

const showsAs = (named: Exclude<DayNamed, { is: 'either' }>): string =>
  named.is === 'day' && isDay(named.day)
    ? showDay(named.day)
    : named.is === 'day'
      ? named.day
      : `${named.date} ${monthName(named.month)}`;
export const monthName = (month: number): string => {
  const name = MONTHS[month - 1] ?? '';
  return capital(name);
};
