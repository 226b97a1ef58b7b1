import type { Attempt } from '@yellow-cell/contract';
import { type Day, daysBetween, earlier, plusDays } from '../../calendar/days.ts';
import type { Constants } from '../../constants/registry.ts';
import type { Weather } from './expectation.ts';

const CELL_BEFORE_VIRGIN_D = 2;
/** The day from which an attempt is reckoned: that of the ripe cell, two days before a virgin emerged, or where that is not known was given. */
export const cellDay = ({ what, givenOn, bornOn = givenOn }: Attempt): Day =>
  what === 'virgin' ? plusDays(bornOn, -CELL_BEFORE_VIRGIN_D) : givenOn;

/** The day by which an attempt without eggs has failed, put off by bad weather. */
export const failBy = (attempt: Attempt, weather: Weather, constants: Constants): Day =>
  failByFrom(cellDay(attempt), weather, constants);

/** The same by the day from which an attempt is reckoned. */
export const failByFrom = (cellOn: Day, weather: Weather, constants: Constants): Day =>
  plusDays(
    cellOn,
    constants.failedBy_d +
      lostDaysFrom(cellOn, constants.failedBy_d, notFlying(weather, constants), constants),
  );

/** A day of the attempt, one later for each day without flying weather since she could fly. */
export function putOff(attempt: Attempt, day: number, weather: Weather, constants: Constants): Day {
  return plusDays(cellDay(attempt), day + lostDays(attempt, day, weather, constants));
}

/**
 * Days without flying weather between her first flights and the day asked for, itself put off as they come;
 * at most as many as the latest day to declare failed allows. Days of which nothing is known are neither flying nor
 * lost; `unknownDays` counts them.
 */
export const lostDays = (attempt: Attempt, day: number, weather: Weather, constants: Constants): number =>
  lostDaysFrom(cellDay(attempt), day, notFlying(weather, constants), constants);

const notFlying =
  (weather: Weather, { flyingDay_h }: Constants) =>
  (day: Day): boolean =>
    flyingOn(weather, day, flyingDay_h) === 'not';

/** The same by the day from which an attempt is reckoned, and by the days that are known not to have flown. */
export function lostDaysFrom(
  cellOn: Day,
  day: number,
  isLost: (day: Day) => boolean,
  { flightsFrom_d, failedBy_d, failedByLatest_d }: Constants,
): number {
  const most = failedByLatest_d - failedBy_d;
  let lost = 0;
  for (let count = flightsFrom_d; count < day + lost && lost < most; count++) {
    if (isLost(plusDays(cellOn, count))) lost++;
  }
  return lost;
}

/** Whether bees could fly on a day; undefined where nothing is known of it. */
export function flyingOn(weather: Weather, day: Day, flyingDay_h: number): 'flying' | 'not' | undefined {
  const hours = weather.get(day)?.flying_h ?? undefined;
  return hours === undefined ? undefined : hours < flyingDay_h ? 'not' : 'flying';
}

/** Days since she could fly, up to a day and not beyond the last that is over, of which nothing is known. */
export function unknownDays(
  attempt: Attempt,
  until: Day,
  weather: Weather,
  { flightsFrom_d, flyingDay_h }: Constants,
): number {
  let unknown = 0;
  for (let day = plusDays(cellDay(attempt), flightsFrom_d); day < until; day = plusDays(day, 1))
    if (flyingOn(weather, day, flyingDay_h) === undefined) unknown++;
  return unknown;
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
    if (flyingOn(weather, day, flyingDay_h) !== 'not') break;
    since = day;
    days += 1;
  }
  return since === undefined ? undefined : { since, days };
}

const MEAN_OVER_D = 14;
/** Mean daily maximum of the last fortnight recorded, or of one so many days before, in °C; undefined with fewer than seven records. */
export function recentMaximum(weather: Weather, before_d = 0): Maximum | undefined {
  const known = maxima.get(weather) ?? new Map<number, Maximum | undefined>();
  maxima.set(weather, known);
  if (!known.has(before_d)) known.set(before_d, meanMaximum(weather, before_d));
  return known.get(before_d);
}
interface Maximum {
  mean_C: number;
  on: Day;
}
/** Weather is the same for all rooms of a yard: asked for each of them, it is reckoned once. */
const maxima = new WeakMap<Weather, Map<number, Maximum | undefined>>();

function meanMaximum(weather: Weather, before_d: number): Maximum | undefined {
  const last = lastRecord(weather);
  if (last === undefined) return undefined;
  const on = plusDays(last, -before_d);
  const days = Array.from(
    { length: MEAN_OVER_D },
    (_, back) => weather.get(plusDays(on, -back))?.max_C,
  ).filter((max) => max !== undefined && max !== null);
  if (days.length < MEAN_OVER_D / 2) return undefined;
  return { mean_C: days.reduce((sum, max) => sum + max, 0) / days.length, on };
}

/**
 * The mean daily maximum of the fortnight before a day, or before the last record, where that is too cold to open a
 * colony (requirement 62); undefined where it is not, or where nothing is known.
 */
export function tooColdToOpen(
  weather: Weather,
  { openFrom_C }: Constants,
  on?: Day,
): { mean_C: number; on: Day } | undefined {
  const last = lastRecord(weather);
  const before_d = on === undefined || last === undefined ? 0 : Math.max(0, daysBetween(on, last));
  const recent = recentMaximum(weather, before_d);
  return recent && recent.mean_C < openFrom_C ? recent : undefined;
}

/** So long before, days must have been warmer. */
const COOLING_D = 45;
/**
 * Weather from longer ago bears on nothing that is told of a day but the attempts of then: a fortnight's mean of six
 * weeks ago, where the last record itself is up to two weeks old.
 */
export const WEATHER_BEARS_D = COOLING_D + 2 * MEAN_OVER_D + 2;
/** Whether a year goes down: in late winter days are as cold, and colonies about to grow. Undefined where nothing is known of six weeks ago. */
export function isCooling(weather: Weather, { cooling_K }: Constants): boolean | undefined {
  const [recent, before] = [recentMaximum(weather), recentMaximum(weather, COOLING_D)];
  return recent && before ? before.mean_C >= recent.mean_C + cooling_K : undefined;
}

const lastRecords = new WeakMap<Weather, Day | undefined>();
/** The last day of which something is known. */
export function lastRecord(weather: Weather): Day | undefined {
  if (!lastRecords.has(weather)) {
    let last: Day | undefined;
    for (const [day, { flying_h, max_C }] of weather)
      if ((flying_h !== null || max_C !== null) && (last === undefined || day > last)) last = day;
    lastRecords.set(weather, last);
  }
  return lastRecords.get(weather);
}

const coldNights = new WeakMap<Weather, Map<number, { on: Day; min_C: number } | undefined>>();
/** The last night on record, told or expected, that was or will be as cold as this; by the day that it ends on. */
export function lastNightOf(weather: Weather, most_C: number): { on: Day; min_C: number } | undefined {
  const found = coldNights.get(weather) ?? new Map<number, { on: Day; min_C: number } | undefined>();
  coldNights.set(weather, found);
  if (!found.has(most_C)) {
    let last: { on: Day; min_C: number } | undefined;
    for (const [on, { min_C }] of weather)
      if (min_C !== null && min_C <= most_C && (last === undefined || on > last.on)) last = { on, min_C };
    found.set(most_C, last);
  }
  return found.get(most_C);
}
