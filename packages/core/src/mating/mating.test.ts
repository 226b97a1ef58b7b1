import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ProblemsError } from '../problems.ts';
import { atLeastBetaBinomial, atLeastBinomial } from './atLeast.ts';
import { cells } from './cells.ts';
import { takeRate } from './takeRate.ts';

/** The tail by Pascal's rule, one try after the other: slow, and nothing like the method under test. */
function plainTail(wanted: number, tries: number, rate: number): number {
  let chances = [1];
  for (let n = 0; n < tries; n++) {
    const next = new Array<number>(chances.length + 1).fill(0);
    chances.forEach((chance, k) => {
      next[k] = (next[k] ?? 0) + chance * (1 - rate);
      next[k + 1] = (next[k + 1] ?? 0) + chance * rate;
    });
    chances = next;
  }
  return chances.slice(wanted).reduce((sum, chance) => sum + chance, 0);
}

describe('the chance of enough takes', () => {
  it('is the binomial tail', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 61 }),
        fc.double({ min: 0.01, max: 0.999, noNaN: true }),
        (tries, wanted, rate) => {
          expect(atLeastBinomial(wanted, tries, rate)).toBeCloseTo(plainTail(wanted, tries, rate), 10);
        },
      ),
    );
  });

  it('holds for large numbers, where factorials overflow', () => {
    expect(atLeastBinomial(7_500, 10_000, 0.75)).toBeCloseTo(0.503, 2);
    expect(atLeastBinomial(5_000, 10_000, 0.75)).toBeCloseTo(1, 12);
    expect(atLeastBinomial(9_000, 10_000, 0.75)).toBeCloseTo(0, 12);
  });

  it('with an uncertain rate is the binomial tail averaged over the Beta', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 12 }),
        (tries, wanted, a, b) => {
          const steps = 4_000;
          let weight = 0;
          let average = 0;
          for (let step = 0; step < steps; step++) {
            const rate = (step + 0.5) / steps;
            const density = rate ** (a - 1) * (1 - rate) ** (b - 1);
            weight += density;
            average += density * atLeastBinomial(wanted, tries, rate);
          }
          expect(atLeastBetaBinomial(wanted, tries, a, b)).toBeCloseTo(average / weight, 5);
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('how many cells', () => {
  it.each([
    [20, 0.75, 0.9, 31],
    [10, 0.7, 0.9, 18],
    [30, 0.6, 0.8, 55],
    [50, 0.75, 0.95, 75],
  ])('%d queens at %d with %d confidence want %d', (queens, rate, confidence, expected) => {
    expect(cells({ queens, rate, confidence }).cells).toBe(expected);
  });

  it('from a record wants more than from the same rate held certain', () => {
    const answer = cells({ queens: 20, takes: 14, tried: 20, prior: [1, 1], confidence: 0.9 });
    expect(answer.cells).toBe(38);
    expect(answer.probability).toBeCloseTo(0.9073, 4);
  });

  it('is the least number that is enough', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 80 }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 0.99, noNaN: true }),
        (queens, rate, confidence) => {
          const { cells: count, probability } = cells({ queens, rate, confidence });
          expect(probability).toBeGreaterThanOrEqual(confidence - 1e-9);
          if (count > queens) expect(atLeastBinomial(queens, count - 1, rate)).toBeLessThan(confidence);
        },
      ),
    );
  });

  it('says what is missing or cannot be', () => {
    expect(() => cells({ queens: 5, confidence: 0.9 })).toThrow(/take rate/);
    expect(() => cells({ queens: 5, confidence: 0.9, takes: 3, tried: 2 })).toThrow(/more takes/);
    expect(() => cells({ queens: 5, confidence: 0.9, takes: 3 })).toThrow(/both takes and tried/);
    expect(() => cells({ queens: 5, confidence: 0.9, takes: 1, tried: 2, rate: 0.5 })).toThrow(ProblemsError);
    expect(() => cells({ queens: 3, confidence: 0.9, takes: 0, tried: 1_000_000 })).toThrow(/Even 1,000,000/);
  });
});

describe('a take rate', () => {
  it('has the interval whose ends leave 5 % on either side, by the binomial tail', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 }), (takes, misses) => {
        const { low, middle, high, rate } = takeRate(takes, misses, 0.9);
        // For whole a and b, Beta(a, b) lies below x as often as a binomial of a + b - 1 tries reaches a.
        const below = (x: number) => atLeastBinomial(takes + 1, takes + misses + 1, x);
        const atEnd = takes + misses > 0 && takes * misses === 0;
        expect(below(high) - below(low)).toBeCloseTo(0.9, 5);
        expect(below(middle)).toBeCloseTo(0.5, 5);
        if (!atEnd) expect(below(low)).toBeCloseTo(0.05, 5);
        // Its own record is never outside it.
        if (rate !== null) expect(low <= rate && rate <= high).toBe(true);
      }),
    );
  });
  it('knows more from 30 of 40 than from 3 of 4', () => {
    const few = takeRate(3, 1, 0.9);
    const many = takeRate(30, 10, 0.9);
    expect(few.rate).toBe(many.rate);
    expect(many.high - many.low).toBeLessThan((few.high - few.low) / 2);
  });
  it('of a record without a miss reaches to all, and of one without a take begins at none', () => {
    // 0.1^(1/5): nine tenths of Beta(5, 1) lie over it.
    expect(takeRate(4, 0, 0.9)).toMatchObject({ high: 1, low: expect.closeTo(0.1 ** 0.2, 6) });
    expect(takeRate(0, 4, 0.9)).toMatchObject({ low: 0, high: expect.closeTo(1 - 0.1 ** 0.2, 6) });
    expect(takeRate(4, 0, 0.9).middle).toBeCloseTo(0.5 ** 0.2, 6);
  });
  it('is nothing yet without a decided attempt', () => {
    expect(takeRate(0, 0, 0.9)).toMatchObject({
      rate: null,
      low: expect.closeTo(0.05, 6),
      high: expect.closeTo(0.95, 6),
    });
  });
});
