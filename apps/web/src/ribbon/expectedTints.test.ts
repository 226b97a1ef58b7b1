import { constantsWith, defaultConstants } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { expectedTints, tintOf } from './expectedTints.ts';

const north = { from: '2026-01-01', days: 365 };
const south = { from: '2026-07-01', days: 365 };
type Asked = [...Parameters<typeof expectedTints>];
const runsOf = (year: Asked[0], climate: Asked[1], latitude_deg: number, constants = defaultConstants) =>
  expectedTints(year, climate, latitude_deg, constants);
const tints = (...asked: Parameters<typeof runsOf>) =>
  runsOf(...asked).map(({ from, tint }) => `${from} ${tint}`);

describe('what the climate leads to expect', () => {
  it('is told in runs that follow one another, cold about January in the north and July in the south', () => {
    const runs = runsOf(north, undefined, 48);
    expect(runs.map(({ tint }) => tint)).toEqual(['cold', 'plain', 'warm', 'plain', 'cold']);
    expect(runs[0]?.from).toBe('2026-01-01');
    expect(runs.at(-1)?.to).toBe('2026-12-31');
    const inJuly = runsOf(south, undefined, -41.3)[0];
    expect(inJuly).toMatchObject({ from: '2026-07-01' });
    expect(inJuly?.tint).not.toBe('warm');
    expect(runsOf(south, undefined, -41.3).some(({ tint }) => tint === 'warm')).toBe(true);
  });

  it('is the yard’s own where it has one', () => {
    const months = Array.from({ length: 12 }, () => ({ min_C: 10, max_C: 24 }));
    expect(tints(north, { months }, 65)).toEqual(['2026-01-01 warm']);
    expect(tints(north, { months: months.map(() => ({ min_C: -9, max_C: 4.9 })) }, 30)).toEqual([
      '2026-01-01 cold',
    ]);
  });

  it('turns by the yard’s own figures', () => {
    const months = Array.from({ length: 12 }, () => ({ min_C: 8, max_C: 17 }));
    expect(tints(north, { months }, 48)).toEqual(['2026-01-01 plain']);
    expect(tints(north, { months }, 48, constantsWith({ queensFly_C: 17 }))).toEqual(['2026-01-01 warm']);
    expect(tintOf(5, false, constantsWith({ coldDay_C: 6 }))).toBe('cold');
  });

  it('turns at 5 °C and where queens fly', () => {
    expect(tintOf(4.99, false, defaultConstants)).toBe('cold');
    expect(tintOf(5, false, defaultConstants)).toBe('plain');
    expect(tintOf(5, true, defaultConstants)).toBe('warm');
  });
});
