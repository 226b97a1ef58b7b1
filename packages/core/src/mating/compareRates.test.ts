import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clearestDifference } from './compareRates.ts';
import { takeRate } from './takeRate.ts';

const group = (name: string, takes: number, misses: number) => ({ name, ...takeRate(takes, misses, 0.9) });

describe('the clearest difference', () => {
  it('is named where the data can tell', () => {
    const found = clearestDifference([group('few', 3, 1), group('good', 36, 4), group('bad', 10, 20)]);
    expect([found?.better.name, found?.worse.name]).toEqual(['good', 'bad']);
  });

  it('is not where it cannot: 3 of 4 and 0 of 3 are not yet different', () => {
    expect(clearestDifference([group('a', 3, 1), group('b', 0, 3)])).toBeUndefined();
    expect(clearestDifference([group('a', 30, 1)])).toBeUndefined();
    expect(clearestDifference([])).toBeUndefined();
  });

  it('leaves out groups in which nothing is decided', () => {
    expect(clearestDifference([group('open', 0, 0), group('good', 50, 2)])).toBeUndefined();
  });

  it('is always between two whose intervals part, and is found whenever two such there are', () => {
    const record = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }));
    fc.assert(
      fc.property(fc.array(record, { maxLength: 8 }), (records) => {
        const groups = records.map(([takes, misses], index) => group(String(index), takes, misses));
        const found = clearestDifference(groups);
        const decided = groups.filter(({ rate }) => rate !== null);
        const parts = decided.some((a) => decided.some((b) => a.low > b.high));
        expect(found !== undefined).toBe(parts);
        if (found) expect(found.better.low).toBeGreaterThan(found.worse.high);
      }),
    );
  });
});
