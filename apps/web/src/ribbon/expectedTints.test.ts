import { describe, expect, it } from 'vitest';
import { expectedTints, tintOf } from './expectedTints.ts';

const north = { from: '2026-01-01', days: 365 };
const south = { from: '2026-07-01', days: 365 };
const tints = (...asked: Parameters<typeof expectedTints>) =>
  expectedTints(...asked).map(({ from, tint }) => `${from} ${tint}`);

describe('what the climate leads to expect', () => {
  it('is told in runs that follow one another, cold about January in the north and July in the south', () => {
    const runs = expectedTints(north, undefined, 48);
    expect(runs.map(({ tint }) => tint)).toEqual(['cold', 'plain', 'warm', 'plain', 'cold']);
    expect(runs[0]?.from).toBe('2026-01-01');
    expect(runs.at(-1)?.to).toBe('2026-12-31');
    const inJuly = expectedTints(south, undefined, -41.3)[0];
    expect(inJuly).toMatchObject({ from: '2026-07-01' });
    expect(inJuly?.tint).not.toBe('warm');
    expect(expectedTints(south, undefined, -41.3).some(({ tint }) => tint === 'warm')).toBe(true);
  });

  it('is the yard’s own where it has one', () => {
    const months = Array.from({ length: 12 }, () => ({ min_C: 10, max_C: 24 }));
    expect(tints(north, { months }, 65)).toEqual(['2026-01-01 warm']);
    expect(tints(north, { months: months.map(() => ({ min_C: -9, max_C: 4.9 })) }, 30)).toEqual([
      '2026-01-01 cold',
    ]);
  });

  it('turns at 5 °C and where queens fly', () => {
    expect(tintOf(4.99, false)).toBe('cold');
    expect(tintOf(5, false)).toBe('plain');
    expect(tintOf(5, true)).toBe('warm');
  });
});
