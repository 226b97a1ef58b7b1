import type { WinterAnswer, WinterQuestion } from '@yellow-cell/contract';

/** The winter cluster as a sphere in a box (handbook 3, cluster and winter). SI units unless named. */
const LITRES_PER_KG = 4.5;
const SURFACE_C = 10;
const SURFACE_BROOD_C = 20;
/** From the cluster's surface to the air of the cavity, in W/m²K. */
const FILM = 5;
const LEAST_WKG = 3;
/** Heat of a kilogram of stores, in J. */
export const STORES_HEAT = 12.7e6;
const SECONDS_A_DAY = 86_400;

export function winter({
  bees_kg,
  ua_WK,
  outside_C,
  days,
  brood,
  litresPerKg = LITRES_PER_KG,
}: WinterQuestion): WinterAnswer {
  const radius_m = clusterRadius(bees_kg, litresPerKg);
  const area = 4 * Math.PI * radius_m ** 2;
  const g_WK = 1 / (1 / (FILM * area) + 1 / ua_WK);
  const watts = Math.max(LEAST_WKG * bees_kg, g_WK * ((brood ? SURFACE_BROOD_C : SURFACE_C) - outside_C));
  return {
    radius_m,
    watts,
    effort_Wkg: watts / bees_kg,
    stores_kg: (watts * days * SECONDS_A_DAY) / STORES_HEAT,
  };
}

/** Radius of so many bees, in m. */
export const clusterRadius = (bees_kg: number, litresPerKg = LITRES_PER_KG): number =>
  Math.cbrt((3 * bees_kg * litresPerKg) / 1_000 / (4 * Math.PI));

/** Bees that seams seen from above stand for, in kg: n seams at a pitch give a sphere of radius n·pitch ÷ 2. */
export function beesOfSeams(seams: number, pitch_mm: number, litresPerKg = LITRES_PER_KG): number {
  const radius_m = (seams * pitch_mm) / 2_000;
  return ((4 / 3) * Math.PI * radius_m ** 3 * 1_000) / litresPerKg;
}
export function seamsOfBees(bees_kg: number, pitch_mm: number, litresPerKg = LITRES_PER_KG): number {
  return (clusterRadius(bees_kg, litresPerKg) * 2_000) / pitch_mm;
}

/** How hard a cluster works, in words (handbook 3): under 5 W/kg easy, 5 to 10 hard, over 10 it dwindles. */
export const effortWords = (effort_Wkg: number): 'easy' | 'hard' | 'dwindles' =>
  effort_Wkg < 5 ? 'easy' : effort_Wkg <= 10 ? 'hard' : 'dwindles';
