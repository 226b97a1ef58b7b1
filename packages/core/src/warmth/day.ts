import type { DesignContent } from '@yellow-cell/contract';
import { livingBalance } from './atRest.ts';
import type { Conditions } from './conditions.ts';
import { type Drive, heatInTime } from './heatInTime.ts';
import { type Scene, scenesOf } from './scene.ts';
import { skyOver } from './sky.ts';
import { type Paint, sunAt } from './sun.ts';

/** One hour of a day in a box: outside, and the air of each compartment, in °C. */
export interface DayHour {
  hour: number;
  outside_C: number;
  inside_C: readonly number[];
}
export interface DayPlan {
  date: string;
  latitude_deg: number;
  longitude_deg: number;
  /** Mean of the day; it swings by so much either way, coldest at 3 and warmest at 15 by the sun. */
  mean_C: number;
  swing_K: number;
  /** None: in the shade. */
  sun?: { front_deg: number; paint: Paint } | undefined;
}
const WARMEST_HOUR = 15;
const HOURS = 24;
const STEPS_AN_HOUR = 2;
const HOUR_S = 3_600;
/** Days alike before the one that is told, so that wood and combs are as warm as such days leave them. */
const DAYS_BEFORE = 2;

/** A clear day hour by hour among days alike: the box follows the air with its own time, and its bees regulate. */
export function dayInBox(design: DesignContent, conditions: Conditions, plan: DayPlan): DayHour[] {
  const { scene } = scenesOf(design, { ...conditions, sun: undefined, outside_C: plan.mean_C });
  const drives = Array.from({ length: HOURS * STEPS_AN_HOUR }, (_, step) =>
    driveAt(scene, plan, (step + 1) / STEPS_AN_HOUR),
  );
  const { balance } = livingBalance(scene, skyOver(scene.network.faces, scene.conditions, scene.constants));
  const { begin, stepsOf } = heatInTime(balance, scene.constants);
  const advance = stepsOf(HOUR_S / STEPS_AN_HOUR);
  let moment = begin(
    balance.spaces.map(() => plan.mean_C),
    plan.mean_C,
  );
  const homes = scene.living.map(({ spaces }) => balance.spaces.findIndex(({ id }) => id === spaces[0]));
  const hours = new Map<number, DayHour>();
  for (let day = 0; day <= DAYS_BEFORE; day++)
    drives.forEach((drive, step) => {
      moment = advance(moment, drive);
      const hour = ((step + 1) / STEPS_AN_HOUR) % HOURS;
      if (!Number.isInteger(hour)) return;
      const inside_C = homes.map((home) => moment.inside[home] ?? drive.outside_C);
      hours.set(hour, { hour, outside_C: drive.outside_C, inside_C });
    });
  return Array.from({ length: HOURS }, (_, hour) => hours.get(hour) as DayHour);
}

function driveAt(scene: Scene, plan: DayPlan, hour: number): Drive {
  const { date, latitude_deg, longitude_deg, mean_C, swing_K, sun } = plan;
  const outside_C = mean_C + swing_K * Math.cos(((hour - WARMEST_HOUR) / HOURS) * 2 * Math.PI);
  // The sun's own hour: noon is where it stands highest at this longitude.
  const instant = new Date(
    Date.parse(`${date}T00:00:00Z`) + (hour - longitude_deg / 15) * HOUR_S * 1_000,
  ).toISOString();
  const place = sunAt(instant, latitude_deg, longitude_deg);
  const conditions: Conditions = {
    ...scene.conditions,
    outside_C,
    sun: sun && place.altitude_deg > 0 ? { place, ...sun } : undefined,
    // A clear sky draws on the roof by night alone.
    clearNight: scene.conditions.clearNight === true && place.altitude_deg <= 0,
  };
  const now: Scene = { ...scene, conditions };
  return livingBalance(now, skyOver(scene.network.faces, conditions, scene.constants)).drive;
}

/** When each compartment is warmest, and how warm. */
export function warmestHours(hours: readonly DayHour[]): { hour: number; inside_C: number }[] {
  return (hours[0]?.inside_C ?? []).map((_, room) => {
    const inside = hours.map(({ inside_C }) => inside_C[room] ?? 0);
    const inside_C = Math.max(...inside);
    return { hour: hours[inside.indexOf(inside_C)]?.hour ?? 0, inside_C };
  });
}
