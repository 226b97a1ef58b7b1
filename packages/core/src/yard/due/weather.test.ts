import type { WeatherDay } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { lastRecord } from './weather.ts';

const UNKNOWN = { min_C: null, max_C: null, wind_ms: null, rain_mm: null, flying_h: null };
const weather = (...days: readonly (Partial<WeatherDay> & { date: string })[]) =>
  new Map(days.map((day) => [day.date, { ...UNKNOWN, ...day }]));

it('the last day of which something is known is by its date, however the days came, and by what tells of flight', () => {
  expect(lastRecord(weather())).toBeUndefined();
  expect(lastRecord(weather({ date: '2026-05-03', max_C: 20 }, { date: '2026-05-01', max_C: 18 }))).toBe(
    '2026-05-03',
  );
  expect(lastRecord(weather({ date: '2026-05-01', flying_h: 0 }, { date: '2026-05-02', flying_h: 3 }))).toBe(
    '2026-05-02',
  );
  // Rain alone does not tell whether bees flew.
  expect(lastRecord(weather({ date: '2026-05-01', max_C: 18 }, { date: '2026-05-02', rain_mm: 1 }))).toBe(
    '2026-05-01',
  );
});
