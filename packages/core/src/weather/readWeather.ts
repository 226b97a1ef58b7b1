import type { WeatherDay } from '@yellow-cell/contract';

type Field = Exclude<keyof WeatherDay, 'date'>;

/** What each column may be called, in small letters; its unit is that of the field. */
const NAMES: Readonly<Record<Field | 'date', readonly string[]>> = {
  date: ['date', 'day'],
  min_C: ['min_c', 'min', 'tmin'],
  max_C: ['max_c', 'max', 'tmax'],
  wind_ms: ['wind_ms', 'wind'],
  rain_mm: ['rain_mm', 'rain', 'precipitation'],
  flying_h: ['flying_h', 'flying'],
};
const RANGE: Readonly<Record<Field, readonly [number, number]>> = {
  min_C: [-60, 60],
  max_C: [-60, 60],
  wind_ms: [0, 80],
  rain_mm: [0, 1_000],
  flying_h: [0, 5],
};
const FIELDS = Object.keys(RANGE) as Field[];

export interface ReadWeather {
  days: WeatherDay[];
  problems: string[];
}

/**
 * Days of weather from the rows of a table with a heading (°C, m/s, mm, hours); what stands empty is not known. A row
 * that is no day is left out, and said.
 */
export function readWeather(rows: readonly Readonly<Record<string, string>>[]): ReadWeather {
  const days = new Map<string, WeatherDay>();
  const problems: string[] = [];
  rows.forEach((row, index) => {
    const cells = new Map(
      Object.entries(row).map(([name, value]) => [name.trim().toLowerCase(), value.trim()]),
    );
    const cell = (field: Field | 'date') =>
      NAMES[field].map((name) => cells.get(name)).find((each) => each) ?? '';
    const date = cell('date');
    const line = index + 2;
    if (!isDay(date)) {
      problems.push(`Line ${line}: “${date}” is no day; it is written 2026-05-31.`);
      return;
    }
    const bad = FIELDS.find((field) => !isIn(cell(field), RANGE[field]));
    if (bad) {
      problems.push(`Line ${line}: “${cell(bad)}” cannot be ${bad}.`);
      return;
    }
    const value = (field: Field) => (cell(field) === '' ? null : Number(cell(field).replace(',', '.')));
    days.set(date, {
      date,
      min_C: value('min_C'),
      max_C: value('max_C'),
      wind_ms: value('wind_ms'),
      rain_mm: value('rain_mm'),
      flying_h: value('flying_h'),
    });
  });
  return { days: [...days.values()].sort((a, b) => (a.date < b.date ? -1 : 1)), problems };
}

/** 31 February is no day, though a parser may take it for one of March. */
function isDay(date: string): boolean {
  const at = /^\d{4}-\d{2}-\d{2}$/.test(date) ? Date.parse(date) : Number.NaN;
  return !Number.isNaN(at) && new Date(at).toISOString().startsWith(date);
}

function isIn(typed: string, [least, most]: readonly [number, number]): boolean {
  const value = Number(typed.replace(',', '.'));
  return typed === '' || (value >= least && value <= most);
}
