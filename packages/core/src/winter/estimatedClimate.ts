import { type Day, daysBetween } from '../calendar/days.ts';
import type { WinterMonth } from './forecast.ts';

/**
 * A lowland climate by nothing but the latitude, until a breeder's own is read: an estimate of ours, and called one.
 * At 48° N it is that of the demo's valley, mean 9.6 °C and swing 10.6 K.
 */
const AT_DEG = 48;
const MEAN_C = 9.6;
const SWING_K = 10.6;
/** So much warmer for each degree nearer to the equator. */
const WARMER_K = 0.5;
/** South of the equator the sea is never far: summers and winters differ half as much. */
const BY_THE_SEA = 0.5;
/** Nearer to the equator than this there is no winter to be reckoned. */
const TROPIC_DEG = 23;

const away = (latitude_deg: number): number => Math.max(TROPIC_DEG, Math.abs(latitude_deg));

/** Mean of the year, in °C. */
export const estimatedMean = (latitude_deg: number): number =>
  MEAN_C + WARMER_K * (AT_DEG - away(latitude_deg));

/** How far the warmest and the coldest day lie from it, in K. */
const swing = (latitude_deg: number): number =>
  SWING_K * Math.sqrt(away(latitude_deg) / AT_DEG) * (latitude_deg < 0 ? BY_THE_SEA : 1);

const meanAt = (latitude_deg: number, yearsSinceColdest: number): number =>
  estimatedMean(latitude_deg) - swing(latitude_deg) * Math.cos(2 * Math.PI * yearsSinceColdest);

/** The six months about the coldest, from October, or from April south of the equator. */
export function estimatedWinter(latitude_deg = AT_DEG): WinterMonth[] {
  return (latitude_deg < 0 ? SOUTHERN : NORTHERN).map(([name, days], index) => ({
    name,
    days,
    outside_C: meanAt(latitude_deg, (index - 3) / 12),
  }));
}
const NORTHERN = [
  ['October', 31],
  ['November', 30],
  ['December', 31],
  ['January', 31],
  ['February', 28],
  ['March', 31],
] as const;
const SOUTHERN = [
  ['April', 30],
  ['May', 31],
  ['June', 30],
  ['July', 31],
  ['August', 31],
  ['September', 30],
] as const;

/** Mean of a day there, in °C: coldest on 15 January, or on 15 July south of the equator. */
export function estimatedDay(date: Day, latitude_deg: number): number {
  const coldest = `${date.slice(0, 4)}-${latitude_deg < 0 ? '07' : '01'}-15`;
  return meanAt(latitude_deg, daysBetween(coldest, date) / DAYS_A_YEAR);
}
const DAYS_A_YEAR = 365.25;
