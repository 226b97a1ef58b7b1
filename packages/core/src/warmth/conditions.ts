import { saturation } from '../air/moisture.ts';
import type { Constants } from '../constants/registry.ts';
import { shareBetween } from '../numbers.ts';
import type { Paint, SunPlace } from './sun.ts';

/** What the air, the bees and the place are like for which a box is worked out. */
export interface Conditions {
  outside_C: number;
  outside_RH: number;
  /** Bees of each compartment, in kg, by its first space; none given: as many as cover a share of its comb. */
  bees_kg?: Readonly<Record<string, number>>;
  /** What a kilogram of them gives shut in; at rest in an open box, at most `heatResting_Wkg`, and they regulate. */
  heat_Wkg: number;
  /** What each kilogram spends, where another model has worked it out. */
  spends_Wkg?: number | undefined;
  brood: boolean;
  /** Sun on the faces; undefined in the shade. */
  sun?: { place: SunPlace; front_deg: number; paint: Paint } | undefined;
  /** A clear night sky draws heat from the roof. */
  clearNight?: boolean;
  /** Doors over panes stand open, so that the sun comes in. */
  doorsOpen?: boolean;
  /** Of the earth, where the floor lies on it; undefined on a stand. */
  ground_C?: number | undefined;
  /** Insulation on the outer face of followers, in mm. */
  insulation_mm?: number;
  /** A row of boxes like this one, pushed together side by side, and which of them this is, from the left. */
  row?: { boxes: number; place: number } | undefined;
  /** What a shut box's flight entrances are: closed, or on vent. */
  shutOn?: 'closed' | 'vent';
  constants: Constants;
}

export type BeeState = 'calm' | 'resting' | 'alarmed';
export const heatOf = (bees: BeeState, constants: Constants): number =>
  ({ calm: constants.heatCalm_Wkg, resting: constants.heatResting_Wkg, alarmed: constants.heatAlarmed_Wkg })[
    bees
  ];

/** What bees are like by the season's mean, until somebody says otherwise: over `broodOver_C` they have brood and are about. */
export const beesInSeason = (
  mean_C: number,
  { broodOver_C }: Constants,
): { bees: BeeState; brood: boolean } =>
  mean_C > broodOver_C ? { bees: 'resting', brood: true } : { bees: 'calm', brood: false };

/** Conditions as the registry has them for a temperature, a mood of the bees, and brood or none. */
export function usualConditions(
  { outside_C, bees, brood }: { outside_C: number; bees: BeeState; brood: boolean },
  constants: Constants,
): Conditions {
  return {
    outside_C,
    outside_RH: humidityAt(outside_C, constants),
    heat_Wkg: heatOf(bees, constants),
    brood,
    constants,
  };
}

/** Relative humidity outside by the season's air: damp in the cold, drier in warmth, and in heat no more vapour than a mild day holds. */
export function humidityAt(
  outside_C: number,
  { outside_RH, outsideWarm_RH, dampTo_C, dryFrom_C, mildDay_C }: Constants,
): number {
  const share = outside_RH + shareBetween(outside_C, dampTo_C, dryFrom_C) * (outsideWarm_RH - outside_RH);
  return Math.min(share, (outsideWarm_RH * saturation(mildDay_C)) / saturation(outside_C));
}

/** The earth follows the air at a distance: it keeps a share of the difference to the year's mean. */
export const groundTemperature = (outside_C: number, yearMean_C: number, constants: Constants): number =>
  outside_C + (yearMean_C - outside_C) * constants.earthLag;
