import type { Climate, Problem } from '@yellow-cell/contract';
import { monthNames } from '../calendar/months.ts';
import { countOf } from '../say/words.ts';
import { DAY_OVER_MEAN_K, DAYS, winterOf } from './ownClimate.ts';

/** What a breeder's own table was read as; `remarks` say what was left out or looks odd, the rest still works. */
export type ReadClimate =
  | { ok: true; climate: Climate; remarks: string[] }
  | { ok: false; problems: Problem[] };

const MOST_ROWS = 20_000;
const COLUMNS = {
  date: ['date', 'day', 'month', 'datum', 'time'],
  mean: ['mean', 'avg', 'average', 'tmean', 'tavg', 'temp', 'temperature', 'mean_c'],
  min: ['min', 'tmin', 'low', 'min_c'],
  max: ['max', 'tmax', 'high', 'max_c'],
} as const;
type Column = keyof typeof COLUMNS;

const COLDEST_C = -60;
const HOTTEST_C = 55;
/** A year whose warmest month means over this was not measured in °C. */
const FAHRENHEIT_MEAN = 45;
/** Rows of text as a table reader gives them, the first with the names of the columns: a date, and a mean or a minimum and a maximum, daily or monthly. */
export function readClimate(
  rows: readonly (readonly string[])[],
  unit: 'C' | 'F' | 'unsaid' = 'unsaid',
  latitude_deg = 48,
): ReadClimate {
  const [head = [], ...body] = rows;
  if (body.length === 0) return failed('', 'The table has no rows.');
  if (body.length > MOST_ROWS)
    return failed(
      '',
      `The table has ${body.length.toLocaleString('en')} rows; at most ${MOST_ROWS.toLocaleString('en')} are read.`,
    );
  const at = columnsIn(head);
  if (at.date === undefined)
    return failed('date', `There is no column for the date; it may be called ${COLUMNS.date.join(', ')}.`);
  if (at.mean === undefined && (at.min === undefined || at.max === undefined)) {
    return failed(
      'mean',
      `There is no column for the mean temperature, or for minimum and maximum: ${[...COLUMNS.mean, ...COLUMNS.min, ...COLUMNS.max].join(', ')}.`,
    );
  }
  const seen = new Map<string, MinMax>();
  const remarks: string[] = [];
  const counts = { unread: 0, twice: 0, odd: 0 };
  for (const row of body) {
    const date = dateIn(row[at.date] ?? '');
    const celsius = temperaturesIn(row, at, unit);
    if (!date || celsius === undefined) counts.unread += 1;
    else if (unit !== 'unsaid' && isOdd(celsius)) counts.odd += 1;
    else if (seen.has(date)) counts.twice += 1;
    else seen.set(date, celsius);
  }
  if (seen.size === 0)
    return failed(
      '',
      'No row could be read: a date is written 2026-01-31 or 2026-01, a temperature like -3.5.',
    );
  const means = monthlyMeans(seen);
  if (unit === 'unsaid' && Math.max(...[...means.values()].map(meanOf)) > FAHRENHEIT_MEAN)
    return failed('mean', 'The temperatures look like °F; say so, or give them in °C.');
  if (counts.unread > 0)
    remarks.push(
      `${rowsOf(counts.unread)} could not be read and ${counts.unread === 1 ? 'was' : 'were'} left out.`,
    );
  if (counts.odd > 0)
    remarks.push(
      `${rowsOf(counts.odd)} with a temperature that no place has ${counts.odd === 1 ? 'was' : 'were'} left out.`,
    );
  if (counts.twice > 0)
    remarks.push(`${rowsOf(counts.twice)} had a date that came before; the first counts.`);
  const winter = winterOf(latitude_deg);
  const missing = winter.filter((month) => !means.has(month));
  if (missing.length > 0)
    return failed(
      'date',
      `There is nothing for ${missing.map((month) => monthNames[month - 1]).join(', ')}: a winter wants ${monthNames[(winter[0] ?? 1) - 1]} to ${monthNames[(winter[5] ?? 1) - 1]}.`,
    );
  remarks.push(...gaps(seen, winter));
  const months = DAYS.map((_, index) => means.get(index + 1) ?? null);
  const unknown = months.filter((month) => month === null).length;
  if (unknown > 0)
    remarks.push(
      `Nothing is known of ${countOf(unknown, 'month')} of the summer: estimated from the latitude.`,
    );
  if (months.some((month) => month && isOdd(month)))
    return failed('', 'A month of this table is colder or warmer than any place.');
  return { ok: true, climate: { months }, remarks };
}

type MinMax = NonNullable<Climate['months'][number]>;
const meanOf = ({ min_C, max_C }: MinMax): number => (min_C + max_C) / 2;
const isOdd = ({ min_C, max_C }: MinMax): boolean => min_C > max_C || min_C < COLDEST_C || max_C > HOTTEST_C;

const failed = (path: string, sentence: string): ReadClimate => ({
  ok: false,
  problems: [{ path, sentence }],
});
const rowsOf = (count: number): string => `${count.toLocaleString('en')} row${count === 1 ? '' : 's'}`;

function columnsIn(head: readonly string[]): Partial<Record<Column, number>> {
  const names = head.map((name) =>
    name
      .trim()
      .toLowerCase()
      .replace(/[\s(].*$/, '')
      .replace(/^﻿/, ''),
  );
  const found: Partial<Record<Column, number>> = {};
  for (const column of Object.keys(COLUMNS) as Column[]) {
    const index = names.findIndex((name) => (COLUMNS[column] as readonly string[]).includes(name));
    if (index !== -1) found[column] = index;
  }
  return found;
}

/** `YYYY-MM-DD` or `YYYY-MM`, real ones only. */
function dateIn(text: string): string | undefined {
  const match = /^(\d{4})-(\d{2})(?:-(\d{2}))?/.exec(text.trim());
  if (!match) return undefined;
  const [, , month = '', day] = match;
  if (Number(month) < 1 || Number(month) > 12 || (day !== undefined && (Number(day) < 1 || Number(day) > 31)))
    return undefined;
  return day === undefined ? match[0].slice(0, 7) : match[0].slice(0, 10);
}

/** A mean alone is taken for that of days which are as much warmer as their nights are colder. */
function temperaturesIn(
  row: readonly string[],
  at: Partial<Record<Column, number>>,
  unit: 'C' | 'F' | 'unsaid',
): MinMax | undefined {
  const read = (index: number | undefined): number | undefined => {
    const text = index === undefined ? '' : (row[index] ?? '').trim().replace('−', '-');
    const number = /^-?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : Number.NaN;
    return Number.isFinite(number) ? number : undefined;
  };
  const [min, max] = [read(at.min), read(at.max)];
  const celsius = (value: number): number => (unit === 'F' ? ((value - 32) * 5) / 9 : value);
  if (min !== undefined && max !== undefined) return { min_C: celsius(min), max_C: celsius(max) };
  const mean = read(at.mean);
  return mean === undefined
    ? undefined
    : { min_C: celsius(mean) - DAY_OVER_MEAN_K, max_C: celsius(mean) + DAY_OVER_MEAN_K };
}

function monthlyMeans(days: ReadonlyMap<string, MinMax>): Map<number, MinMax> {
  const sums = new Map<number, MinMax & { count: number }>();
  for (const [date, { min_C, max_C }] of days) {
    const month = Number(date.slice(5, 7));
    const before = sums.get(month) ?? { min_C: 0, max_C: 0, count: 0 };
    sums.set(month, {
      min_C: before.min_C + min_C,
      max_C: before.max_C + max_C,
      count: before.count + 1,
    });
  }
  return new Map(
    [...sums].map(([month, { min_C, max_C, count }]) => [
      month,
      { min_C: min_C / count, max_C: max_C / count },
    ]),
  );
}

/** Months of a daily table that lack days. */
function gaps(days: ReadonlyMap<string, MinMax>, winter: readonly number[]): string[] {
  const daily = [...days.keys()].filter((date) => date.length === 10);
  if (daily.length < days.size / 2) return [];
  const months = new Map<string, number>();
  for (const date of daily) months.set(date.slice(0, 7), (months.get(date.slice(0, 7)) ?? 0) + 1);
  const short = [...months].filter(
    ([month, count]) =>
      winter.includes(Number(month.slice(5))) && count < (DAYS[Number(month.slice(5)) - 1] ?? 30) - 2,
  );
  return short.length === 0
    ? []
    : [
        `${short.map(([month, count]) => `${month} has only ${countOf(count, 'day')}`).join(', ')}; its mean is of those.`,
      ];
}
