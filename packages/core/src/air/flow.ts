import type { AirQuestion } from '@yellow-cell/contract';
import { GRAVITY, ZERO_C_IN_K } from './physics.ts';

/** An opening for air: free area in m², height of its centre and its own height in m. */
export interface Breather {
  area_m2: number;
  height_m: number;
  tall_m: number;
}

/** Of a round hole of this area. */
export const roundHeight = (area_m2: number): number => Math.sqrt((4 * area_m2) / Math.PI);

/**
 * How much the openings of one room pass for each √(ΔT/T̄), in m³/s; flow is this times √(ΔT/T̄). The larger of
 * the neutral-level flow over all openings at their centres and the sum of the flows that each has alone
 * (handbook 3, openings). It depends on the openings only, so it is worked out once.
 */
export function flowFactor(openings: readonly Breather[], discharge: number): number {
  return discharge * Math.max(neutralFactor(openings), singleFactor(openings));
}

/** The same, of openings as a question gives them: in cm², round where no height is given. */
export function factorOf(openings: AirQuestion['openings'], discharge: number): number {
  return flowFactor(
    openings.map(({ area_cm2, height_m, tall_m }) => {
      const area_m2 = area_cm2 / CM2_PER_M2;
      return { area_m2, height_m, tall_m: tall_m ?? roundHeight(area_m2) };
    }),
    discharge,
  );
}
const CM2_PER_M2 = 10_000;

/** Flow at a difference of temperature, either way, in m³/s. T̄ is the mean of inside and outside. */
export function flowAt(factor: number, outside_C: number, rise_K: number): number {
  const mean_K = outside_C + rise_K / 2 + ZERO_C_IN_K;
  return factor * Math.sqrt(Math.abs(rise_K) / Math.max(mean_K, 1));
}

/** One opening breathes in below and out above. */
function singleFactor(openings: readonly Breather[]): number {
  return openings.reduce((sum, { area_m2, tall_m }) => sum + (area_m2 / 3) * Math.sqrt(GRAVITY * tall_m), 0);
}

/** As much comes in below the neutral level as goes out above it. */
function neutralFactor(openings: readonly Breather[]): number {
  const heights = openings.map(({ height_m }) => height_m);
  let [low, high] = [Math.min(...heights), Math.max(...heights)];
  if (openings.length < 2 || !(high > low)) return 0;
  for (let step = 0; step < BISECTIONS; step++) {
    const level = (low + high) / 2;
    if (outAbove(openings, level) > inBelow(openings, level)) low = level;
    else high = level;
  }
  return Math.sqrt(2 * GRAVITY) * outAbove(openings, (low + high) / 2);
}
const BISECTIONS = 60;

const through = (area: number, above: number): number => area * Math.sqrt(Math.max(0, above));
const outAbove = (openings: readonly Breather[], level: number): number =>
  openings.reduce((sum, { area_m2, height_m }) => sum + through(area_m2, height_m - level), 0);
const inBelow = (openings: readonly Breather[], level: number): number =>
  openings.reduce((sum, { area_m2, height_m }) => sum + through(area_m2, level - height_m), 0);
