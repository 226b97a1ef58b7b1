import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWeight } from './weight.ts';

describe('a weight as typed', () => {
  it.each([
    ['12', 12],
    ['12.4 kg', 12.4],
    ['0,5', 0.5],
    ['.5', 0.5],
    ['26 lb', 11.793],
    ['26lbs', 11.793],
    ['250 g', 0.25],
    ['8 OZ', 0.227],
  ])('%s', (typed, kg) => {
    expect(readWeight(typed)).toBe(kg);
  });
  it.each(['', 'heavy', '12 stone', '1.2.3', '-3', '1 000'])('“%s” is none', (typed) => {
    expect(readWeight(typed)).toBeNaN();
  });
  it('is the same however it is written, within a gram', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300_000 }), (grams) => {
        const kg = grams / 1_000;
        expect(readWeight(`${kg}`)).toBe(kg);
        expect(readWeight(`${kg}`.replace('.', ','))).toBe(kg);
        expect(readWeight(`${grams} g`)).toBe(kg);
        expect(Math.abs(readWeight(`${kg / 0.453592} lb`) - kg)).toBeLessThan(1e-9);
      }),
    );
  });
});
