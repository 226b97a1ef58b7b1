import { daysBetween, plusDays } from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';

export interface YearScale {
  year: string;
  days: number;
  x(day: string): number;
  dayAt(x: number): string;
}

/** Days of a year laid out from `left` to `right`, in pixels. */
export function yearScale(year: string, left: number, right: number): YearScale {
  const first = `${year}-01-01`;
  const days = daysBetween(first, `${Number(year) + 1}-01-01`);
  const scale = scaleLinear([0, days], [left, right]).clamp(true);
  return {
    year,
    days,
    x: (day) => scale(daysBetween(first, day) + 0.5),
    dayAt: (x) => plusDays(first, Math.min(days - 1, Math.max(0, Math.floor(scale.invert(x))))),
  };
}
