import { daysBetween, plusDays, type SeasonYear } from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';

export interface YearScale extends Pick<SeasonYear, 'from' | 'to'> {
  days: number;
  x(day: string): number;
  dayAt(x: number): string;
}

/** Days of a year of bees laid out from `left` to `right`, in pixels. */
export function yearScale(
  { from, to }: Pick<SeasonYear, 'from' | 'to'>,
  left: number,
  right: number,
): YearScale {
  const days = daysBetween(from, to) + 1;
  const scale = scaleLinear([0, days], [left, right]).clamp(true);
  return {
    from,
    to,
    days,
    x: (day) => scale(daysBetween(from, day) + 0.5),
    dayAt: (x) => plusDays(from, Math.min(days - 1, Math.max(0, Math.floor(scale.invert(x))))),
  };
}
