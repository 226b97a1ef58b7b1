import { flowAt } from '../air/flow.ts';
import { saturation, vapour } from '../air/moisture.ts';
import type { Constants } from '../constants/registry.ts';
import { shareBetween } from '../numbers.ts';
import { type ClusterRoom, clusterArea } from './clusterShape.ts';

/** What bees of an open room do about its warmth, in the order from cold to hot. */
export type Doing = 'chills' | 'clusters' | 'warms' | 'rests' | 'fans' | 'carriesWater' | 'overheats';

/** Bees of one room, and the air that they live in. */
export interface Regulating {
  bees_kg: number;
  brood: boolean;
  outside_C: number;
  /** What a kilogram of them gives when nothing is asked of it. */
  mood_Wkg: number;
  room: ClusterRoom;
  /** Of the room's openings, `factorOf`; and the air outside that comes in by them. */
  factor: number;
  outside_RH: number;
  /** What a kilogram of them gives, where another model has worked it out: they then do nothing else about it. */
  spends_Wkg?: number | undefined;
}
export interface Regulated {
  does: Doing;
  /** All their heat, of which a part leaves as the water that they breathe out. */
  heat_W: number;
  /** What of it warms the room, less what carried water takes out. */
  warms_W: number;
  /** Air that they fan through, in m³/s, and water that they carry and evaporate, in kg/s. */
  fans_m3s: number;
  water_kgs: number;
  /** Of what they can do about it, from 0 to 1. */
  share: number;
}

/** Heat that evaporating a kilogram of water takes, at some 35 °C (handbook 3). */
const WATER_JKG = 2.4e6;
const SECONDS_AN_HOUR = 3_600;

/**
 * Bees regulate (handbook 3): in cold a cluster holds its surface, with brood a warmer one, as long as that is within
 * their means; in heat they fan and carry water. One law of heat by temperature, brood, mood and number, for warmth,
 * water and stores alike. `air_C` is the air of the room beside them.
 */
export function regulate(bees: Regulating, air_C: number, constants: Constants): Regulated {
  const { bees_kg, brood } = bees;
  const means_W = constants.heatMeans_Wkg * bees_kg;
  const surface_C = brood ? constants.surfaceBrood_C : constants.surface_C;
  const asked_W =
    constants.clusterFilm_Wm2K * clusterArea(bees_kg, constants.litresPerKg, bees.room) * (surface_C - air_C);
  const least_W = restingHeat(bees, constants) * bees_kg;
  const heat_W =
    bees.spends_Wkg === undefined ? Math.max(least_W, Math.min(asked_W, means_W)) : bees.spends_Wkg * bees_kg;
  const fanning = shareBetween(air_C, constants.broodNest_C, constants.fanning_C);
  const carrying = shareBetween(air_C, constants.fanning_C, (constants.fanning_C + constants.danger_C) / 2);
  const fans_m3s = (fanning * constants.fans_LsKg * bees_kg) / 1_000;
  const water_kgs = Math.min(
    (carrying * constants.carriesWater_kghKg * bees_kg) / SECONDS_AN_HOUR,
    carrying > 0 ? airTakesUp(bees, air_C, fans_m3s, constants) : 0,
  );
  return {
    heat_W,
    warms_W: heat_W * (1 - constants.latentShare) - water_kgs * WATER_JKG,
    fans_m3s,
    water_kgs,
    ...doing(),
  };

  function doing(): Pick<Regulated, 'does' | 'share'> {
    if (air_C > constants.danger_C) return { does: 'overheats', share: 1 };
    if (carrying > 0) return { does: 'carriesWater', share: carrying };
    if (fanning > 0) return { does: 'fans', share: fanning };
    const share = means_W > 0 ? Math.min(1, heat_W / means_W) : 0;
    if (asked_W > means_W) return { does: 'chills', share: 1 };
    if (asked_W > least_W) return { does: brood ? 'warms' : 'clusters', share };
    return { does: 'rests', share };
  }
}

/** Water that the air through the room can take up, in kg/s, until it is so full as it gets (`airFills`). */
function airTakesUp(
  { outside_C, outside_RH, factor }: Regulating,
  air_C: number,
  fans_m3s: number,
  constants: Constants,
): number {
  const flow_m3s = fans_m3s + flowAt(factor, outside_C, USUAL_RISE_K);
  const room_kgm3 =
    vapour(constants.airFills * saturation(air_C), air_C) -
    vapour(outside_RH * saturation(outside_C), outside_C);
  return Math.max(0, flow_m3s * room_kgm3);
}
/** By which air goes through beside what they fan; it is the lesser part. */
const USUAL_RISE_K = 5;

/** W/kg of bees that nothing asks more of: as little as a cluster's in the cold, by their mood where they are about. */
function restingHeat({ outside_C, mood_Wkg }: Regulating, constants: Constants): number {
  const { least_Wkg } = constants;
  return least_Wkg + aboutShare(outside_C, constants) * Math.max(0, mood_Wkg - least_Wkg);
}

/** How many of the bees are about and not clustered, by the air outside: from none to all. */
export const aboutShare = (outside_C: number, { clusters_C, about_C }: Constants): number =>
  shareBetween(outside_C, clusters_C, about_C);
