import { type Day, plusDays } from '../calendar/days.ts';
import { monthAt, type WinterMonth } from './forecast.ts';
import { DAY_OVER_MEAN_K } from './ownClimate.ts';

/**
 * The last day of a winter on which days reach a temperature in °C by the climate: the day before `on`'s month where
 * that is colder already, undefined where all of the winter is warmer. Means stand for the middle of their months, and
 * between two of them it cools evenly.
 */
export function lastDayOver(months: readonly WinterMonth[], on: Day, least_C: number): Day | undefined {
  const first = Math.max(0, monthAt(months, on));
  const over = ({ outside_C, max_C = outside_C + DAY_OVER_MEAN_K }: WinterMonth): number => max_C - least_C;
  const cold = months.findIndex((month, index) => index >= first && over(month) < 0);
  const [before, after] = [months[cold - 1], months[cold]];
  if (!after) return undefined;
  const start = startOfMonth(months, cold, on);
  if (!before || cold === first || over(before) <= 0) return plusDays(start, -1);
  const share = over(before) / (over(before) - over(after));
  const middles_d = (before.days + after.days) / 2;
  return plusDays(start, Math.round(share * middles_d - before.days / 2) - 1);
}

/** The first day of a month of the winter that a day is in, or that is ahead of it. */
function startOfMonth(months: readonly WinterMonth[], index: number, on: Day): Day {
  const at = monthAt(months, on);
  const begin =
    at < 0 ? `${on.slice(0, 4)}-${months[0]?.name === 'April' ? '04' : '10'}-01` : `${on.slice(0, 8)}01`;
  const between_d = months.slice(Math.max(0, at), index).reduce((sum, { days }) => sum + days, 0);
  return plusDays(begin, between_d);
}
