import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Spot, walkingOrder } from './walk.ts';

const spot = fc.record({ east_m: fc.integer({ min: 0, max: 60 }), north_m: fc.integer({ min: 0, max: 60 }) });
const length = (walk: readonly Spot[]): number =>
  [{ east_m: 0, north_m: 0 }, ...walk].reduce(
    (sum, here, index, all) =>
      sum +
      (index === 0
        ? 0
        : Math.hypot(
            here.east_m - (all[index - 1]?.east_m ?? 0),
            here.north_m - (all[index - 1]?.north_m ?? 0),
          )),
    0,
  );
const orders = <T>(list: readonly T[]): T[][] =>
  list.length < 2
    ? [[...list]]
    : list.flatMap((each, index) => orders(list.toSpliced(index, 1)).map((rest) => [each, ...rest]));

describe('a walk through the yard', () => {
  it('passes everything once, and is never far from the shortest there is', () => {
    fc.assert(
      fc.property(fc.array(spot, { maxLength: 6 }), (spots) => {
        const walk = walkingOrder(spots, (each) => each);
        expect(new Set(walk)).toEqual(new Set(spots));
        expect(walk).toHaveLength(spots.length);
        const best = Math.min(...orders(spots).map(length));
        expect(length(walk)).toBeLessThanOrEqual(best * 1.35 + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
  it('goes along a row, and leaves what stands nowhere to the end', () => {
    const row = [5, 1, 3, 9].map((east_m) => ({ east_m, north_m: 2 }));
    expect(walkingOrder(row, (each) => each).map(({ east_m }) => east_m)).toEqual([1, 3, 5, 9]);
    expect(
      walkingOrder(['a', 'b'], (each) => (each === 'b' ? { east_m: 1, north_m: 1 } : undefined)),
    ).toEqual(['b', 'a']);
  });
});
