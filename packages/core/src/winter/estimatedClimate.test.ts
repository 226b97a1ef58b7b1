import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { estimatedDay, estimatedMean, estimatedWinter } from './estimatedClimate.ts';

describe('a climate estimated from the latitude', () => {
  it('is that of the demo’s valley at 48° north, and half a year later in the south', () => {
    expect(estimatedMean(48)).toBe(9.6);
    expect(estimatedDay('2026-01-15', 48)).toBeCloseTo(-1, 9);
    const [north, south] = [estimatedWinter(48), estimatedWinter(-41)];
    expect([south[0]?.name, south[3]?.name, north[3]?.name]).toEqual(['April', 'July', 'January']);
    const coldest = (months: typeof north) =>
      months.reduce((least, month) => (month.outside_C < least.outside_C ? month : least)).name;
    expect([coldest(north), coldest(south)]).toEqual(['January', 'July']);
  });

  it('is no valley at 65°, and mild by the sea at 41° south', () => {
    expect(estimatedWinter(65)[3]?.outside_C).toBeCloseTo(9.6 - 8.5 - 10.6 * Math.sqrt(65 / 48), 9);
    expect(estimatedWinter(65)[3]?.outside_C).toBeLessThan(-10);
    expect(estimatedWinter(-41)[3]?.outside_C).toBeGreaterThan(7);
    expect(estimatedDay('2026-07-15', -41)).toBeCloseTo(estimatedWinter(-41)[3]?.outside_C ?? 0, 9);
  });

  it('is never colder nearer to the equator, and the same all over the tropics', () => {
    const latitude = fc.double({ min: 23, max: 70, noNaN: true });
    fc.assert(
      fc.property(latitude, latitude, fc.constantFrom(1, -1), (a, b, half) => {
        const [near, far] = [Math.min(a, b) * half, Math.max(a, b) * half];
        estimatedWinter(near).forEach(({ outside_C }, index) => {
          expect(outside_C).toBeGreaterThanOrEqual((estimatedWinter(far)[index]?.outside_C ?? 0) - 1e-9);
        });
      }),
    );
    expect(estimatedWinter(5)).toEqual(estimatedWinter(22));
  });
});
