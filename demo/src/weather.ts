import type { WeatherDay } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '@yellow-cell/core';
import type { Seed } from './seed.ts';

/** A yearly wave: its mean and swing in °C, and the day of the year that is coldest. */
interface Wave {
  mean_C: number;
  swing_C: number;
  coldestDay: number;
}
/** A valley at 48° N, coldest in mid-January. */
const VALLEY: Wave = { mean_C: 9.6, swing_C: 10.6, coldestDay: 16 };
/** High country at 41° S, coldest in mid-July. */
export const HIGH_COUNTRY: Wave = { mean_C: 9.4, swing_C: 6, coldestDay: 197 };

/** Invented weather, day by day: a yearly wave, spells that last, and rain that cools. */
export function weatherBetween(from: Day, to: Day, seed: Seed, wave = VALLEY): WeatherDay[] {
  let spell = 0;
  let wet = false;
  return Array.from({ length: daysBetween(from, to) + 1 }, (_, index) => {
    const date = plusDays(from, index);
    spell = 0.78 * spell + (seed.random() + seed.random() + seed.random() - 1.5) * 3.4;
    wet = seed.chance(wet ? 0.58 : 0.2);
    const dayOfYear = daysBetween(`${date.slice(0, 4)}-01-01`, date);
    const mean =
      wave.mean_C -
      wave.swing_C * Math.cos(((dayOfYear - wave.coldestDay) / 365.25) * 2 * Math.PI) +
      spell -
      (wet ? 2.2 : 0);
    const swing = wet ? 3 : 5.5 + seed.random() * 2;
    const max_C = tenth(mean + swing);
    const wind_ms = tenth(1 + seed.random() * 3 + (wet ? seed.random() * 4 : 0));
    const rain_mm = wet ? tenth(0.4 + seed.random() * seed.random() * 22) : 0;
    return {
      date,
      min_C: tenth(mean - swing),
      max_C,
      wind_ms,
      rain_mm,
      flying_h: flyingHours(max_C, wind_ms, rain_mm),
    };
  });
}

/** Hours between 12 and 17 h by the sun with at least 18 °C, little wind and no rain. */
function flyingHours(max_C: number, wind_ms: number, rain_mm: number): number {
  if (wind_ms >= 6 || max_C < 18) return 0;
  const warm = Math.min(5, 1.2 + (max_C - 18) * 0.9);
  return tenth(Math.max(0, rain_mm === 0 ? warm : warm - 1.5 - rain_mm / 2));
}

const tenth = (value: number): number => Math.round(value * 10) / 10;
