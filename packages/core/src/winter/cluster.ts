import type { WinterAnswer, WinterQuestion } from '@yellow-cell/contract';
import { type Constants, constantsWith } from '../constants/registry.ts';

/** The winter cluster as a sphere in a box (handbook 3, cluster and winter). SI units unless named. */
const SECONDS_A_DAY = 86_400;

export function winter(
  question: WinterQuestion,
  constants = constantsWith(question.constants),
): WinterAnswer {
  const { bees_kg, ua_WK, outside_C, days, brood, litresPerKg = constants.litresPerKg } = question;
  const surface_C = brood ? constants.surfaceBrood_C : constants.surface_C;
  const watts = clusterWatts(bees_kg, ua_WK, surface_C - outside_C, litresPerKg, constants);
  return {
    radius_m: clusterRadius(bees_kg, litresPerKg),
    watts,
    effort_Wkg: watts / bees_kg,
    stores_kg: kgOfHeat(watts, days, constants),
  };
}

/** Heat that a cluster gives to hold its surface so much warmer than outside, and never less than its least. */
export function clusterWatts(
  bees_kg: number,
  ua_WK: number,
  warmer_K: number,
  litresPerKg: number,
  { clusterFilm_Wm2K, least_Wkg }: Constants,
): number {
  const area = 4 * Math.PI * clusterRadius(bees_kg, litresPerKg) ** 2;
  const g_WK = 1 / (1 / (clusterFilm_Wm2K * area) + 1 / ua_WK);
  return Math.max(least_Wkg * bees_kg, g_WK * warmer_K);
}

/** Stores that give so much heat for so many days, in kg. */
export const kgOfHeat = (watts: number, days: number, constants: Constants): number =>
  (watts * days * SECONDS_A_DAY) / (constants.storesHeat_MJkg * 1e6);

/** Radius of so many bees, in m. */
export const clusterRadius = (bees_kg: number, litresPerKg: number): number =>
  Math.cbrt((3 * bees_kg * litresPerKg) / 1_000 / (4 * Math.PI));

/** Bees that seams seen from above stand for, in kg: n seams at a pitch give a sphere of radius n·pitch ÷ 2. */
export function beesOfSeams(seams: number, pitch_mm: number, litresPerKg: number): number {
  const radius_m = (seams * pitch_mm) / 2_000;
  return ((4 / 3) * Math.PI * radius_m ** 3 * 1_000) / litresPerKg;
}
export function seamsOfBees(bees_kg: number, pitch_mm: number, litresPerKg: number): number {
  return (clusterRadius(bees_kg, litresPerKg) * 2_000) / pitch_mm;
}

/** How hard a cluster works, in words (handbook 3): under 5 W/kg easy, 5 to 10 hard, over 10 it dwindles. */
export const effortWords = (effort_Wkg: number, constants: Constants): 'easy' | 'hard' | 'dwindles' =>
  effort_Wkg < constants.easy_Wkg ? 'easy' : effort_Wkg <= constants.dwindle_Wkg ? 'hard' : 'dwindles';
