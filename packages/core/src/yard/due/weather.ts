import type { Attempt } from '@yellow-cell/contract';
import { type Day, earlier, plusDays } from '../../calendar/days.ts';
import type { Constants } from '../../constants/registry.ts';
import type { Weather } from './expectation.ts';

const CELL_BEFORE_VIRGIN_D = 2;
/** The day from which an attempt is reckoned: that of the ripe cell, two days before a virgin emerged, or where that is not known was given. */
export const cellDay = ({ what, givenOn, bornOn = givenOn }: Attempt): Day =>
  what === 'virgin' ? plusDays(bornOn, -CELL_BEFORE_VIRGIN_D) : givenOn;

/** The day by which an attempt without eggs has failed, put off by bad weather. */
export function failBy(attempt: Attempt, weather: Weather, constants: Constants): Day {
  return putOff(attempt, constants.failedBy_d, weather, constants);
}

/** A day of the attempt, one later for each day without flying weather since she could fly. */
export function putOff(attempt: Attempt, day: number, weather: Weather, constants: Constants): Day {
  return plusDays(cellDay(attempt), day + lostDays(attempt, day, weather, constants));
}

/**
 * Days without flying weather between her first flights and the day asked for, itself put off as they come;
 * at most as many as the latest day to declare failed allows. Days without a record count as flying days.
 */
export function lostDays(
  attempt: Attempt,
  day: number,
  weather: Weather,
  { flightsFrom_d, flyingDay_h, failedBy_d, failedByLatest_d }: Constants,
): number {
  const most = failedByLatest_d - failedBy_d;
  let lost = 0;
  for (let count = flightsFrom_d; count < day + lost && lost < most; count++) {
    const record = weather.get(plusDays(cellDay(attempt), count));
    if (record && record.flying_h < flyingDay_h) lost++;
  }
  return lost;
}

/** The days she can fly to mate, as the timeline shows them. */
export function flightWindow(attempt: Attempt, weather: Weather, constants: Constants): readonly [Day, Day] {
  return [
    plusDays(cellDay(attempt), constants.flightsFrom_d),
    earlier(putOff(attempt, constants.eggsFrom_d, weather, constants), failBy(attempt, weather, constants)),
  ];
}

/** The last days recorded without flying weather in a row, up to the last record: the first of them, and how many. */
export function groundedDays(
  weather: Weather,
  { flyingDay_h }: Constants,
): { since: Day; days: number } | undefined {
  let day = lastRecord(weather);
  let since: Day | undefined;
  let days = 0;
  for (; day !== undefined; day = plusDays(day, -1)) {
    const record = weather.get(day);
    if (!record || record.flying_h >= flyingDay_h) break;
    since = day;
    days += 1;
  }
  return since === undefined ? undefined : { since, days };
}

const MEAN_OVER_D = 14;
/** Mean daily maximum of the last fortnight recorded, in °C; undefined with fewer than seven records. */
export function recentMaximum(weather: Weather): { mean_C: number; on: Day } | undefined {
  const on = lastRecord(weather);
  if (on === undefined) return undefined;
  const maxima = Array.from(
    { length: MEAN_OVER_D },
    (_, back) => weather.get(plusDays(on, -back))?.max_C,
  ).filter((max) => max !== undefined);
  if (maxima.length < MEAN_OVER_D / 2) return undefined;
  return { mean_C: maxima.reduce((sum, max) => sum + max, 0) / maxima.length, on };
}

const lastRecords = new WeakMap<Weather, Day | undefined>();
function lastRecord(weather: Weather): Day | undefined {
  if (!lastRecords.has(weather)) {
    let last: Day | undefined;
    for (const day of weather.keys()) if (last === undefined || day > last) last = day;
    lastRecords.set(weather, last);
  }
  return lastRecords.get(weather);
}
