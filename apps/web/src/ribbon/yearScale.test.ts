import { plusDays, seasonYear } from '@yellow-cell/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { yearScale } from './yearScale.ts';

describe('the year on the ribbon', () => {
  it('gives back the day that it places, in any year and width', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1990, max: 2090 }),
        fc.integer({ min: 0, max: 365 }),
        fc.integer({ min: 320, max: 3_000 }),
        fc.constantFrom(-41, 48),
        (year, count, width, latitude) => {
          const scale = yearScale(seasonYear(year, latitude), 20, width - 20);
          const day = plusDays(scale.from, Math.min(count, scale.days - 1));
          expect(scale.dayAt(scale.x(day))).toBe(day);
        },
      ),
    );
  });
  it('has a leap day where the year has one', () => {
    expect(yearScale(seasonYear(2024, 48), 0, 100).days).toBe(366);
    expect(yearScale(seasonYear(2026, 48), 0, 100).days).toBe(365);
  });
  it('stays within the year when the pointer runs off either end', () => {
    const scale = yearScale(seasonYear(2026, 48), 20, 1_260);
    expect(scale.dayAt(-500)).toBe('2026-01-01');
    expect(scale.dayAt(9_999)).toBe('2026-12-31');
    const south = yearScale(seasonYear(2026, -41), 20, 1_260);
    expect([south.dayAt(-500), south.dayAt(9_999)]).toEqual(['2026-07-01', '2027-06-30']);
  });
});
