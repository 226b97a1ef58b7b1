import type { Problem } from '@yellow-cell/contract';
import { monthNames } from '../calendar/months.ts';
import { countOf } from '../say/words.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import type { WinterMonth } from './forecast.ts';

/** A climate from a table of a breeder's own, daily or monthly: a date and a mean, or a minimum and a maximum, in °C. */
export interface Climate {
  months: WinterMonth[];
  /** What was left out or looks odd; the rest still works. */
  remarks: string[];
}
export type ReadClimate = { ok: true; climate: Climate } | { ok: false; problems: Problem[] };

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
/** The six months about the coldest, in order: October to March, or south of the equator April to September. */
const winterOf = (latitude_deg: number): readonly number[] =>
  latitude_deg < 0 ? [4, 5, 6, 7, 8, 9] : [10, 11, 12, 1, 2, 3];
/** The winter of a yard: of the breeder's own climate where that was read for its half of the earth, else one estimated from the latitude. */
export const winterMonths = (climate: Climate | undefined, latitude_deg: number): WinterMonth[] =>
  climate && climate.months[0]?.name === monthNames[(winterOf(latitude_deg)[0] ?? 1) - 1]
    ? climate.months
    : estimatedWinter(latitude_deg);

/** Rows of text as a table reader gives them, the first with the names of the columns. */
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
  const seen = new Map<string, number>();
  const remarks: string[] = [];
  const counts = { unread: 0, twice: 0, odd: 0 };
  for (const row of body) {
    const date = dateIn(row[at.date] ?? '');
    const celsius = temperatureIn(row, at, unit);
    if (!date || celsius === undefined) counts.unread += 1;
    else if (unit !== 'unsaid' && (celsius < COLDEST_C || celsius > HOTTEST_C)) counts.odd += 1;
    else if (seen.has(date)) counts.twice += 1;
    else seen.set(date, celsius);
  }
  if (seen.size === 0)
    return failed(
      '',
      'No row could be read: a date is written 2026-01-31 or 2026-01, a temperature like -3.5.',
    );
  const means = monthlyMeans(seen);
  if (unit === 'unsaid' && Math.max(...means.values()) > FAHRENHEIT_MEAN)
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
  return {
    ok: true,
    climate: {
      remarks,
      months: winter.map((month) => ({
        name: monthNames[month - 1] ?? '',
        days: DAYS[month - 1] ?? 30,
        outside_C: means.get(month) ?? 0,
      })),
    },
  };
}

const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
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

function temperatureIn(
  row: readonly string[],
  at: Partial<Record<Column, number>>,
  unit: 'C' | 'F' | 'unsaid',
): number | undefined {
  const read = (index: number | undefined): number | undefined => {
    const text = index === undefined ? '' : (row[index] ?? '').trim().replace('−', '-');
    const number = /^-?\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : Number.NaN;
    return Number.isFinite(number) ? number : undefined;
  };
  const [min, max] = [read(at.min), read(at.max)];
  const value = read(at.mean) ?? (min !== undefined && max !== undefined ? (min + max) / 2 : undefined);
  if (value === undefined) return undefined;
  return unit === 'F' ? ((value - 32) * 5) / 9 : value;
}

function monthlyMeans(days: ReadonlyMap<string, number>): Map<number, number> {
  const sums = new Map<number, { sum: number; count: number }>();
  for (const [date, celsius] of days) {
    const month = Number(date.slice(5, 7));
    const before = sums.get(month) ?? { sum: 0, count: 0 };
    sums.set(month, { sum: before.sum + celsius, count: before.count + 1 });
  }
  return new Map([...sums].map(([month, { sum, count }]) => [month, sum / count]));
}

/** Months of a daily table that lack days. */
function gaps(days: ReadonlyMap<string, number>, winter: readonly number[]): string[] {
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
