import type { DesignContent } from '@yellow-cell/contract';
import { boxPhysics } from './boxPhysics.ts';
import type { Conditions } from './conditions.ts';
import { type Paint, sunAt } from './sun.ts';

/** One hour of a day in a box: outside, and inside each compartment, in °C. */
export interface DayHour {
  hour: number;
  outside_C: number;
  inside_C: readonly number[];
}
export interface DayPlan {
  date: string;
  latitude_deg: number;
  longitude_deg: number;
  /** Mean of the day; it swings by so much either way, coldest at 5 and warmest at 15 by the sun. */
  mean_C: number;
  swing_K: number;
  /** None: in the shade. */
  sun?: { front_deg: number; paint: Paint } | undefined;
}
const WARMEST_HOUR = 15;

/** A clear day hour by hour, each in its steady state: a box of bees follows the air within the hour. */
export function dayInBox(design: DesignContent, conditions: Conditions, plan: DayPlan): DayHour[] {
  const still = { ...conditions, sun: undefined };
  return Array.from({ length: 24 }, (_, hour) => {
    const outside_C = plan.mean_C + plan.swing_K * Math.cos(((hour - WARMEST_HOUR) / 24) * 2 * Math.PI);
    // The sun's own hour: noon is where it stands highest at this longitude.
    const instant = new Date(
      Date.parse(`${plan.date}T00:00:00Z`) + (hour - plan.longitude_deg / 15) * 3_600_000,
    ).toISOString();
    const lit = plan.sun
      ? { sun: { place: sunAt(instant, plan.latitude_deg, plan.longitude_deg), ...plan.sun } }
      : {};
    const { compartments } = boxPhysics(design, { ...still, outside_C, ...lit });
    return { hour, outside_C, inside_C: compartments.map(({ inside_C }) => inside_C) };
  });
}
