import { describe, expect, it } from 'vitest';
import { rIn, rOf } from './resistance.ts';

describe('a resistance to heat', () => {
  it('is 5.678 times as many in feet, Fahrenheit and BTU', () => {
    // By its definition: a square foot, a degree Fahrenheit, an hour, and a BTU of 1,055.056 J.
    const usual = (0.3048 ** 2 * (5 / 9) * 3_600) / 1_055.056;
    expect(rIn(1, 'inch')).toBeCloseTo(1 / usual, 4);
    expect(rIn(1, 'mm')).toBe(1);
    expect(rOf(rIn(0.88, 'inch'), 'inch')).toBeCloseTo(0.88, 12);
  });
});
