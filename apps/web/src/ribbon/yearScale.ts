import { daysBetween, plusDays, type SeasonYear } from '@yellow-cell/core';

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
  const width = right - left;
  const within = (day: number) => Math.min(days, Math.max(0, day));
  return {
    from,
    to,
    days,
    x: (day) => left + (within(daysBetween(from, day) + 0.5) / days) * width,
    dayAt: (x) => plusDays(from, Math.min(days - 1, Math.floor(within(((x - left) / width) * days)))),
  };
}
