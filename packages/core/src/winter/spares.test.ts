import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { atLeastBinomial } from '../mating/atLeast.ts';
import { springCount } from './spares.ts';

const share = fc.double({ min: 0.05, max: 1, noNaN: true });

describe('spares for the losses expected', () => {
  it('are none where nobody dies, and cannot be had where everybody does', () => {
    expect(springCount([1, 1, 1], 0.9)).toEqual({ low: 3, middle: 3, high: 3, spares: 0 });
    expect(springCount([0, 0], 0.9)).toEqual({ low: 0, middle: 0, high: 0, spares: undefined });
    expect(springCount([], 0.9)).toEqual({ low: 0, middle: 0, high: 0, spares: 0 });
  });

  it('of colonies that are all alike are the fewest by the binomial tail', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), share, (count, each) => {
        const { spares } = springCount(Array(count).fill(each), 0.8);
        if (spares === undefined) return;
        expect(atLeastBinomial(count, count + spares, each)).toBeGreaterThanOrEqual(0.8 - 1e-6);
        if (spares > 0) expect(atLeastBinomial(count, count + spares - 1, each)).toBeLessThan(0.8 + 1e-6);
      }),
    );
  });

  it('hold the band of how many live against every outcome one by one', () => {
    fc.assert(
      fc.property(fc.array(share, { minLength: 1, maxLength: 9 }), (through) => {
        const chances = Array<number>(through.length + 1).fill(0);
        for (let who = 0; who < 2 ** through.length; who++) {
          let [chance, alive] = [1, 0];
          through.forEach((each, at) => {
            const lives = Boolean(who & (1 << at));
            chance *= lives ? each : 1 - each;
            if (lives) alive += 1;
          });
          chances[alive] = (chances[alive] ?? 0) + chance;
        }
        const upTo = (count: number) => chances.slice(0, count + 1).reduce((sum, each) => sum + each, 0);
        const { low, middle, high } = springCount(through, 0.9);
        for (const [count, level] of [
          [low, 0.05],
          [middle, 0.5],
          [high, 0.95],
        ] as const) {
          expect(upTo(count)).toBeGreaterThanOrEqual(level - 1e-6);
          expect(upTo(count - 1)).toBeLessThan(level + 1e-6);
        }
      }),
    );
  });
});
