import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween, plusDays } from './days.ts';
import { seasonYear, seasonYearOf } from './seasonYear.ts';

describe('a year of bees', () => {
  it.each([
    ['2026-01-01', 48, '2026-01-01', '2026-12-31'],
    ['2026-12-31', 0, '2026-01-01', '2026-12-31'],
    ['2026-06-30', -41, '2025-07-01', '2026-06-30'],
    ['2026-07-01', -41, '2026-07-01', '2027-06-30'],
    ['2028-02-29', -0.1, '2027-07-01', '2028-06-30'],
  ])('of %s at %d° runs from %s to %s', (day, latitude, from, to) => {
    expect(seasonYearOf(day, latitude)).toMatchObject({ from, to });
  });
  it('holds its day, and is followed by the next without a gap, on either side of the earth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), fc.constantFrom(-41, 48), (since, latitude) => {
        const day = plusDays('1990-01-01', since);
        const { year, from, to } = seasonYearOf(day, latitude);
        expect(from <= day && day <= to).toBe(true);
        expect(daysBetween(to, seasonYear(year + 1, latitude).from)).toBe(1);
      }),
    );
  });
});
