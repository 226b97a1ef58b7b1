import type { MoistureAnswer, MoistureQuestion } from '@yellow-cell/contract';
import { constantsWith } from '../constants/registry.ts';
import { above } from '../numbers.ts';
import { ZERO_C_IN_K } from './physics.ts';

const VAPOUR_GAS = 461.5;
const SECONDS_A_DAY = 86_400;

/** Magnus: vapour over water, and over ice. */
const WATER = { rate: 17.62, zero: 243.12 };
const ICE = { rate: 22.46, zero: 272.62 };
const FREEZING_hPa = 6.112;

/** Vapour pressure at saturation, in hPa; below 0 °C over ice where that is asked for. */
export function saturation(celsius: number, ice = false): number {
  const { rate, zero } = ice && celsius < 0 ? ICE : WATER;
  return FREEZING_hPa * Math.exp((rate * celsius) / (zero + celsius));
}

/** In °C; without any vapour the formula has none, and tends to its own end. */
export function dewPoint(pressure_hPa: number, ice = false): number {
  const { rate, zero } = ice && pressure_hPa < FREEZING_hPa ? ICE : WATER;
  if (pressure_hPa <= 0) return -zero;
  const log = Math.log(pressure_hPa / FREEZING_hPa);
  return (zero * log) / (rate - log);
}

/** Density of vapour at a pressure, in kg/m³. */
export const vapour = (pressure_hPa: number, celsius: number): number =>
  (100 * pressure_hPa) / (VAPOUR_GAS * (celsius + ZERO_C_IN_K));
const pressure = (kgm3: number, celsius: number): number =>
  (kgm3 * VAPOUR_GAS * (celsius + ZERO_C_IN_K)) / 100;

/**
 * Water in a box: what the bees give off leaves with the air, or condenses on the coldest surface, over which the
 * air can be no more than saturated (handbook 3, moisture).
 */
export function moisture(
  question: MoistureQuestion,
  constants = constantsWith(question.constants),
): MoistureAnswer {
  const { outside_C, outside_RH, inside_C, flow_m3s, stores_kgDay, surfaces, ice = false } = question;
  const water = (constants.waterOfStores * stores_kgDay) / SECONDS_A_DAY;
  const outside = vapour(outside_RH * saturation(outside_C), outside_C);
  const coldest = surfaces.reduce((cold, surface) => (surface.surface_C < cold.surface_C ? surface : cold));
  const most = saturation(coldest.surface_C, ice);
  const wanted =
    flow_m3s > 0
      ? pressure(outside + water / flow_m3s, inside_C)
      : water > 0
        ? Number.POSITIVE_INFINITY
        : pressure(outside, inside_C);
  const condenses = above(wanted, most);
  const held = condenses ? most : wanted;
  const carried = flow_m3s * (vapour(held, inside_C) - outside);
  return {
    inside_RH: held / saturation(inside_C),
    dewPoint_C: dewPoint(held, ice),
    condensate_gDay: condenses ? Math.max(0, water - carried) * SECONDS_A_DAY * 1_000 : 0,
    wettest: condenses ? coldest.name : null,
  };
}
