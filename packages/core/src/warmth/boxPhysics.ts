import type { AirQuestion, DesignContent } from '@yellow-cell/contract';
import type { Compartment } from '../box/model.ts';
import { kgOfHeat } from '../winter/cluster.ts';
import { type AtRest, atRest } from './atRest.ts';
import type { Conditions } from './conditions.ts';
import { type HeatPath, heatPaths } from './heatPaths.ts';
import type { Regulated } from './regulation.ts';
import { beesOf, freeAir_m3, openingsIn, type Scene, scenesOf } from './scene.ts';
import { breathIn } from './shutBox.ts';
import { type ShutRoom, shutRooms } from './shutDesign.ts';
import { wallsOf } from './wallsOf.ts';
import { type RoomWater, type SurfaceTint, waterIn } from './water.ts';

/** Warmth, air and water of a compartment whose bees regulate; all of one set of bees. */
export interface CompartmentAtRest {
  name: string;
  bays: readonly string[];
  spaces: readonly string[];
  bees_kg: number;
  /** Of the air beside the bees; what they hold among them is warmer. */
  inside_C: number;
  bees: Regulated;
  /** What that heat burns in thirty days. */
  stores_kgMonth: number;
  /** All air that goes through, by itself and fanned, and the carbon dioxide that it comes to. */
  air: { flow_m3s: number; openings: AirQuestion['openings']; co2_pct: number };
  water: RoomWater;
}
export interface CompartmentPhysics extends CompartmentAtRest {
  /** Watts for each kelvin: by itself, and with its neighbours just as warm. */
  ua_WK: number;
  sharedUa_WK: number;
  paths: readonly HeatPath[];
  /** Shut in, with its flight entrances closed or on vent, all compartments at once: how warm it gets, and when it passes what makes them fan, what harms them, and what softens combs. */
  shut: ShutRoom;
}
export interface BoxAtRest {
  compartments: readonly CompartmentAtRest[];
  surfaces: readonly SurfaceTint[];
  spaces: readonly { id: string; inside_C: number }[];
}
export interface BoxPhysics extends BoxAtRest {
  compartments: readonly CompartmentPhysics[];
}

/** How warm and how wet a box is with its bees in air that does not change: what `boxPhysics` says of it, without the rest. */
export function boxAtRest(design: DesignContent, conditions: Conditions): BoxAtRest {
  const { scene } = scenesOf(design, conditions);
  return restOf(scene, atRest(scene));
}

function restOf(scene: Scene, rest: AtRest): BoxAtRest {
  const { at, surfaces } = rest;
  return {
    surfaces,
    spaces: scene.model.spaces.map(({ id }) => ({ id, inside_C: at.get(id) ?? scene.conditions.outside_C })),
    compartments: scene.living.map((each) => compartmentAtRest(each, scene, rest)),
  };
}

function compartmentAtRest(each: Compartment, scene: Scene, rest: AtRest): CompartmentAtRest {
  const { conditions, constants } = scene;
  const bees = rest.bees.get(each);
  if (!bees) throw new Error(`${each.name} is no home.`);
  const inside_C = rest.at.get(each.spaces[0] ?? '') ?? conditions.outside_C;
  const flow_m3s = rest.flow_m3s.get(each) ?? 0;
  const bees_kg = beesOf(each, scene);
  return {
    name: each.name,
    bays: each.bays,
    spaces: each.spaces,
    bees_kg,
    inside_C,
    bees,
    stores_kgMonth: kgOfHeat(bees.heat_W, 30, constants),
    air: {
      flow_m3s,
      openings: openingsIn(scene, each),
      co2_pct: staleness(freeAir_m3(each, scene), bees.heat_W, flow_m3s),
    },
    water: waterIn(
      each.spaces,
      { ...rest, faces: scene.network.faces },
      conditions,
      { inside_C, flow_m3s, bees_kg, bees },
      constants,
    ),
  };
}

/** Carbon dioxide that the air of an open room comes to; without any opening what it has after hours. */
function staleness(volume_m3: number, heat_W: number, flow_m3s: number): number {
  const { steady_pct, end_pct } = breathIn(volume_m3, heat_W, flow_m3s);
  return steady_pct ?? end_pct;
}

/** How a box breathes, what it costs to keep warm, where water forms, and how long it can stay shut. */
export function boxPhysics(design: DesignContent, conditions: Conditions): BoxPhysics {
  const { sole, scene } = scenesOf(design, conditions);
  const rest = atRest(scene);
  const box = restOf(scene, rest);
  const { living, constants } = scene;
  const together = wallsOf(scene.network, living, constants);
  const shutOf = shutRooms(scene, rest);
  return {
    ...box,
    compartments: living.map((each, index): CompartmentPhysics => {
      const { [index]: own } = box.compartments;
      if (!own) throw new Error(`${each.name} is no home.`);
      return {
        ...own,
        ua_WK: wallsOf(sole.network, [each], constants).get(each) ?? 0,
        sharedUa_WK: together.get(each) ?? 0,
        paths: heatPaths(each, scene, rest),
        shut: shutOf(each),
      };
    }),
  };
}
