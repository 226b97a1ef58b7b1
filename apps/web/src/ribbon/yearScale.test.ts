import { plusDays } from '@yellow-cell/core';
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
        (year, count, width) => {
          const scale = yearScale(String(year), 20, width - 20);
          const day = plusDays(`${year}-01-01`, Math.min(count, scale.days - 1));
          expect(scale.dayAt(scale.x(day))).toBe(day);
        },
      ),
    );
  });
  it('has a leap day where the year has one', () => {
    expect(yearScale('2024', 0, 100).days).toBe(366);
    expect(yearScale('2026', 0, 100).days).toBe(365);
  });
  it('stays within the year when the pointer runs off either end', () => {
    const scale = yearScale('2026', 20, 1_260);
    expect(scale.dayAt(-500)).toBe('2026-01-01');
    expect(scale.dayAt(9_999)).toBe('2026-12-31');
  });
});
