import type { Climate } from '@yellow-cell/contract';
import { type Day, daysBetween } from '../calendar/days.ts';
import { monthNames } from '../calendar/months.ts';
import { estimatedDay, estimatedMean, estimatedWinter } from './estimatedClimate.ts';
import type { WinterMonth } from './forecast.ts';

/** Of each month of a usual year. */
export const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
/** Days are so much warmer than the mean of day and night, where nothing but that is known. */
export const DAY_OVER_MEAN_K = 4;

/** The six months about the coldest, in order: October to March, or south of the equator April to September. */
export const winterOf = (latitude_deg: number): readonly number[] =>
  latitude_deg < 0 ? [4, 5, 6, 7, 8, 9] : [10, 11, 12, 1, 2, 3];

/** The winter of a yard: by its own climate where that knows all its months, else as estimated from the latitude. */
export function winterMonths(climate: Climate | undefined, latitude_deg: number): WinterMonth[] {
  const own = winterOf(latitude_deg).flatMap((month): WinterMonth[] => {
    const known = climate?.months[month - 1];
    return known
      ? [
          {
            name: monthNames[month - 1] ?? '',
            days: DAYS[month - 1] ?? 30,
            outside_C: (known.min_C + known.max_C) / 2,
            max_C: known.max_C,
          },
        ]
      : [];
  });
  return own.length === winterOf(latitude_deg).length ? own : estimatedWinter(latitude_deg);
}

/** Mean of a day there, in °C: between the middles of two months in proportion; estimated where one of them is not known. */
export const meanOn = (climate: Climate | undefined, date: Day, latitude_deg: number): number =>
  between(date, (month) => meanOf(climate, month)) ?? estimatedDay(date, latitude_deg);

/** What the days there reach in the mean, in °C, likewise. */
export const maxOn = (climate: Climate | undefined, date: Day, latitude_deg: number): number =>
  between(date, (month) => climate?.months[month]?.max_C) ??
  estimatedDay(date, latitude_deg) + DAY_OVER_MEAN_K;

/** A figure of months, which stand for their middles, on a day; undefined where one of the two is not known. */
function between(date: Day, of: (month: number) => number | undefined): number | undefined {
  const middle = Number(date.slice(8)) - MIDDLE_DAY;
  const month = Number(date.slice(5, 7)) - 1;
  const [here, there] = [of(month), of((month + (middle < 0 ? -1 : 1) + MONTHS) % MONTHS)];
  if (here === undefined || there === undefined) return undefined;
  const from = `${date.slice(0, 8)}${MIDDLE_DAY}`;
  return here + ((there - here) * Math.abs(daysBetween(from, date))) / MONTH_D;
}
const MONTHS = 12;
const MIDDLE_DAY = 15;
const MONTH_D = 30.4;

const meanOf = (climate: Climate | undefined, month: number): number | undefined => {
  const known = climate?.months[month];
  return known ? (known.min_C + known.max_C) / 2 : undefined;
};

/** Mean of the year there, in °C. */
export function yearMean(climate: Climate | undefined, latitude_deg: number): number {
  const means = DAYS.map((_, month) => meanOf(climate, month));
  const known = means.filter((mean) => mean !== undefined);
  return known.length === MONTHS
    ? known.reduce((sum, mean) => sum + mean, 0) / MONTHS
    : estimatedMean(latitude_deg);
}
