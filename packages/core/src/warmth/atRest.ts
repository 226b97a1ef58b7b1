import { factorOf, flowAt } from '../air/flow.ts';
import type { Compartment } from '../box/model.ts';
import { type Drive, type HeatBalance, heatInTime } from './heatInTime.ts';
import { type Regulated, type Regulating, regulate } from './regulation.ts';
import { beesOf, groundIn, homesOf, openingsIn, roomOf, type Scene, storedIn } from './scene.ts';
import { type Sky, skyOver } from './sky.ts';
import type { PerCompartment } from './wallsOf.ts';
import { innerSurface, OUTSIDE } from './warmth.ts';
import type { SurfaceTint } from './water.ts';

/** How a box and its bees come to rest in air that does not change. */
export interface AtRest {
  sky: Sky;
  /** Of every space and of the outside, in °C. */
  at: ReadonlyMap<string, number>;
  /** What the bees of each compartment do, and the air that goes through it, fanned or by itself. */
  bees: ReadonlyMap<Compartment, Regulated>;
  flow_m3s: PerCompartment;
  /** Inner surfaces of the box's own spaces. */
  surfaces: readonly SurfaceTint[];
}

export function atRest(scene: Scene): AtRest {
  const { conditions, constants, model, network, living } = scene;
  const { outside_C } = conditions;
  const sky = skyOver(network.faces, conditions, constants);
  const { balance, drive, beesAt, factors } = livingBalance(scene, sky);
  const guess_C = Math.max(outside_C, constants.surface_C);
  const inside = heatInTime(balance, constants).rest(
    balance.spaces.map(() => guess_C),
    drive,
  );
  const at = new Map([
    ...balance.spaces.map(({ id }, index) => [id, inside[index] ?? outside_C] as const),
    ...groundIn(conditions),
    [OUTSIDE, outside_C] as const,
  ]);
  const airOf = (each: Compartment): number => at.get(each.spaces[0] ?? '') ?? outside_C;
  const bees = new Map(living.map((each) => [each, beesAt(each, airOf(each))]));
  return {
    sky,
    at,
    bees,
    flow_m3s: new Map(
      living.map((each) => [
        each,
        flowAt(factors.get(each) ?? 0, outside_C, Math.abs(airOf(each) - outside_C)) +
          (bees.get(each)?.fans_m3s ?? 0),
      ]),
    ),
    surfaces: network.faces.flatMap((face, index): SurfaceTint[] =>
      model.spaces.some(({ id }) => id === face.between[0])
        ? [{ face, surface_C: innerSurface(face, at, sky.outer_K[index] ?? 0, constants) }]
        : [],
    ),
  };
}

interface LivingBalance {
  balance: HeatBalance;
  drive: Drive;
  factors: PerCompartment;
  /** What the bees of a compartment do where its air is so warm. */
  beesAt(each: Compartment, air_C: number): Regulated;
}
/** The heat balance of a box whose bees regulate, under a sky. */
export function livingBalance(scene: Scene, sky: Sky): LivingBalance {
  const { network, living, conditions, constants } = scene;
  const { outside_C, brood } = conditions;
  const homeOf = homesOf(scene);
  const homes = network.spaces.map(({ like }) => homeOf(like));
  const factors: PerCompartment = new Map(
    living.map((each) => [each, factorOf(openingsIn(scene, each), constants.discharge)]),
  );
  const known = new Map(
    living.map((each): [Compartment, Regulating] => [
      each,
      {
        bees_kg: beesOf(each, scene),
        brood,
        outside_C,
        mood_Wkg: Math.min(conditions.heat_Wkg, constants.heatResting_Wkg),
        room: roomOf(each, scene),
        factor: factors.get(each) ?? 0,
        outside_RH: conditions.outside_RH,
        spends_Wkg: conditions.spends_Wkg,
      },
    ]),
  );
  const beesAt = (each: Compartment, air_C: number): Regulated =>
    regulate(known.get(each) as Regulating, air_C, constants);
  /** What bees bring into their room or take out of it, all told. */
  const given = (each: Compartment, air_C: number): number => {
    const { warms_W, fans_m3s } = beesAt(each, air_C);
    // Bees that are cooler than the air outside fan it past them for its dryness, not for its warmth.
    return warms_W - constants.airHeat_Jm3K * fans_m3s * Math.max(0, air_C - outside_C);
  };
  return {
    factors,
    beesAt,
    balance: {
      fixed: groundIn(conditions),
      faces: network.faces,
      flows: network.flows,
      spaces: network.spaces.map(({ id, like }, index) => {
        const home = homes[index];
        return { id, capacity_JK: storedIn(like, home, scene), factor: home ? (factors.get(home) ?? 0) : 0 };
      }),
    },
    drive: {
      outside_C,
      outer_K: sky.outer_K,
      heat(space, now_C) {
        const through_W = sky.through_W.get(network.spaces[space]?.id ?? '') ?? 0;
        const home = homes[space];
        if (!home) return { watts: through_W, slope_WK: 0 };
        const slope = (given(home, now_C + STEP_K) - given(home, now_C - STEP_K)) / (2 * STEP_K);
        return { watts: given(home, now_C) + through_W, slope_WK: Math.min(0, slope) };
      },
    },
  };
}
const STEP_K = 0.01;
