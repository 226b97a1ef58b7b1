import { describe, expect, it } from 'vitest';
import { readWeather } from './readWeather.ts';

describe('weather from a table', () => {
  it('is read by the names of its columns; what stands empty is not known', () => {
    const { days, problems } = readWeather([
      { Date: '2026-05-02', max: '21,5', min: '8', flying: '3' },
      { Date: '2026-05-01', max: '', min: '', flying: '0' },
    ]);
    expect(problems).toEqual([]);
    expect(days).toEqual([
      { date: '2026-05-01', min_C: null, max_C: null, wind_ms: null, rain_mm: null, flying_h: 0 },
      { date: '2026-05-02', min_C: 8, max_C: 21.5, wind_ms: null, rain_mm: null, flying_h: 3 },
    ]);
  });
  it('leaves out what is no day, and says which line', () => {
    const { days, problems } = readWeather([
      { date: '1.5.2026' },
      { date: '2026-05-01', flying_h: '6' },
      { date: '2026-05-02', max_C: 'warm' },
      { date: '2026-05-03' },
      { date: '2026-02-31', max_C: '9' },
      { date: '2028-02-29', max_C: '9' },
    ]);
    expect(days.map(({ date }) => date)).toEqual(['2026-05-03', '2028-02-29']);
    expect(problems).toEqual([
      'Line 2: “1.5.2026” is no day; it is written 2026-05-31.',
      'Line 3: “6” cannot be flying_h.',
      'Line 4: “warm” cannot be max_C.',
      'Line 6: “2026-02-31” is no day; it is written 2026-05-31.',
    ]);
  });
});
