import { getTimes } from 'suncalc';
import { type Day, timeAt } from './days.ts';

/** Where the sun is asked about, in degrees, and the time that its clocks show. */
export interface SunPlace {
  latitude_deg: number;
  longitude_deg: number;
  zone: string;
}

const HOUR_MS = 3_600_000;
const NOON_H = 12;

/** The sun of a day: at noon UTC shifted to the place, so that it is the day there. */
const timesOf = (day: Day, { latitude_deg, longitude_deg }: SunPlace) =>
  getTimes(
    new Date(Date.parse(`${day}T12:00:00Z`) - (longitude_deg / 15) * HOUR_MS),
    latitude_deg,
    longitude_deg,
  );

/** What clocks show at an hour of true solar time: 11 by the sun is an hour before it is highest. */
export function clockBySun(day: Day, hour: number, place: SunPlace): string {
  const { solarNoon } = timesOf(day, place);
  return timeAt(solarNoon.getTime() + (hour - NOON_H) * HOUR_MS, place.zone);
}

/** When the sun sets, as clocks show it; undefined where it does not. */
export function sunset(day: Day, place: SunPlace): string | undefined {
  const { sunset: sets } = timesOf(day, place);
  return sets && !Number.isNaN(sets.getTime()) ? timeAt(sets.getTime(), place.zone) : undefined;
}
