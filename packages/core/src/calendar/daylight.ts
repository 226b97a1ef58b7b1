import { getTimes } from 'suncalc';
import type { Day } from './days.ts';

/** Hours between sunrise and sunset at a place (degrees north and east); 24 or 0 where the sun does not set or rise. */
export function daylightHours(day: Day, latitude_deg: number, longitude_deg: number): number {
  const noon = new Date(`${day}T12:00:00Z`);
  const { sunrise, sunset, alwaysUp } = getTimes(noon, latitude_deg, longitude_deg);
  if (!sunrise || !sunset) return alwaysUp ? 24 : 0;
  return (sunset.getTime() - sunrise.getTime()) / 3_600_000;
}
