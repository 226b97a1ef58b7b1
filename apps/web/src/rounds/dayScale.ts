import { type Day, daysBetween, plusDays } from '@yellow-cell/core';
import { scaleLinear } from 'd3-scale';
import type { Rearing } from './useRearing.ts';

/** Days of a season of rearing across the sheet, in pixels. */
export interface DayScale {
  x(day: Day): number;
  dayAt(x: number): Day;
  /** So many days after the first. */
  dayAfter(days: number): Day;
  from: Day;
  to: Day;
}

const BEFORE_D = 6;
const AHEAD_D = 60;

/** From before the first graft to after the last queen, the last lot and the weeks ahead. */
export function dayScale({ views, today, lots }: Rearing, left: number, right: number): DayScale {
  const days = [today, ...views.map(({ days: { graft } }) => graft), ...lots.map(({ lot }) => lot.by)].sort();
  const ends = [
    plusDays(today, AHEAD_D),
    ...views.map(({ days: { take } }) => take[1]),
    ...lots.map(({ lot }) => plusDays(lot.by, BEFORE_D)),
  ].sort();
  const from = plusDays(days[0] ?? today, -BEFORE_D);
  const to = ends.at(-1) ?? today;
  const scale = scaleLinear([0, daysBetween(from, to)], [left, right]);
  return {
    from,
    to,
    x: (day) => scale(daysBetween(from, day)),
    dayAfter: (days) => plusDays(from, days),
    dayAt: (x) => plusDays(from, Math.round(scale.invert(x))),
  };
}
