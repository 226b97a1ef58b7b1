import { type Constants, defaultConstants } from '../constants/registry.ts';
import type { Paint, SunPlace } from './sun.ts';

/** What the air, the bees and the place are like for which a box is worked out. */
export interface Conditions {
  outside_C: number;
  outside_RH: number;
  /** Bees of each compartment, in kg, by its first space; none given: as many as cover a share of its comb. */
  bees_kg?: Readonly<Record<string, number>>;
  heat_Wkg: number;
  /** Temperature that the bees hold among them. */
  held_C: number;
  stores_kgDayPerKg: number;
  brood: boolean;
  /** Sun on the faces; undefined in the shade. */
  sun?: { place: SunPlace; front_deg: number; paint: Paint } | undefined;
  /** A clear night sky draws heat from the roof. */
  clearNight?: boolean;
  /** Of the earth, where the floor lies on it; undefined on a stand. */
  ground_C?: number | undefined;
  /** Insulation on the outer face of followers, in mm. */
  insulation_mm?: number;
  /** A row of boxes like this one, pushed together side by side, and which of them this is, from the left. */
  row?: { boxes: number; place: number } | undefined;
  /** What a shut box's flight entrances are: closed, or on vent. */
  shutOn?: 'closed' | 'vent';
  constants?: Constants;
}

export type BeeState = 'calm' | 'resting' | 'alarmed';
export const heatOf = (bees: BeeState, constants: Constants = defaultConstants): number =>
  ({ calm: constants.heatCalm_Wkg, resting: constants.heatResting_Wkg, alarmed: constants.heatAlarmed_Wkg })[
    bees
  ];

/** Conditions as the registry has them for a temperature, a mood of the bees, and brood or none. */
export function usualConditions(
  { outside_C, bees, brood }: { outside_C: number; bees: BeeState; brood: boolean },
  constants: Constants = defaultConstants,
): Conditions & { constants: Constants } {
  return {
    outside_C,
    outside_RH: constants.outside_RH,
    heat_Wkg: heatOf(bees, constants),
    held_C: brood ? constants.broodNest_C : constants.broodless_C,
    stores_kgDayPerKg: constants.storesUse_kgDayKg,
    brood,
    constants,
  };
}

/** The earth follows the air at a distance: it keeps a share of the difference to the year's mean. */
export const groundTemperature = (outside_C: number, yearMean_C: number, constants: Constants): number =>
  outside_C + (yearMean_C - outside_C) * constants.earthLag;
