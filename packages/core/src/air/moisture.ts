import type { MoistureAnswer, MoistureQuestion } from '@yellow-cell/contract';
import { constantsWith } from '../constants/registry.ts';
import { above } from '../numbers.ts';
import { ZERO_C_IN_K } from './physics.ts';

const VAPOUR_GAS = 461.5;
const SECONDS_A_DAY = 86_400;

/** Vapour pressure at saturation, in hPa (Magnus). */
export const saturation = (celsius: number): number =>
  6.112 * Math.exp((17.62 * celsius) / (243.12 + celsius));

/** Below 0 hPa of vapour the formula has no dew point; it tends to this. */
const DRIEST_C = -243.12;

export function dewPoint(pressure_hPa: number): number {
  if (pressure_hPa <= 0) return DRIEST_C;
  const log = Math.log(pressure_hPa / 6.112);
  return (243.12 * log) / (17.62 - log);
}

const density = (pressure_hPa: number, celsius: number): number =>
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
  const { outside_C, outside_RH, inside_C, flow_m3s, stores_kgDay, surfaces } = question;
  const water = (constants.waterOfStores * stores_kgDay) / SECONDS_A_DAY;
  const outside = density(outside_RH * saturation(outside_C), outside_C);
  const coldest = surfaces.reduce((cold, surface) => (surface.surface_C < cold.surface_C ? surface : cold));
  const most = saturation(coldest.surface_C);
  const wanted =
    flow_m3s > 0
      ? pressure(outside + water / flow_m3s, inside_C)
      : water > 0
        ? Number.POSITIVE_INFINITY
        : pressure(outside, inside_C);
  const condenses = above(wanted, most);
  const held = condenses ? most : wanted;
  const carried = flow_m3s * (density(held, inside_C) - outside);
  return {
    inside_RH: held / saturation(inside_C),
    dewPoint_C: dewPoint(held),
    condensate_gDay: condenses ? Math.max(0, water - carried) * SECONDS_A_DAY * 1_000 : 0,
    wettest: condenses ? coldest.name : null,
  };
}
