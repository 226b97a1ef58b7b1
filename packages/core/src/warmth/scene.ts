import type { DesignContent } from '@yellow-cell/contract';
import { openingsOf } from '../air/breathing.ts';
import { type BoxModel, type Compartment, deriveBox } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import { lengthOf } from '../geometry/block.ts';
import type { ClusterRoom } from './clusterShape.ts';
import type { Conditions } from './conditions.ts';
import { GROUND, heatNetwork, onGround } from './network.ts';
import { type RowNetwork, rowOf, soleBox } from './row.ts';

/** A box with those who live in it, and the network that its heat goes by. */
export interface Scene {
  design: DesignContent;
  model: BoxModel;
  living: readonly Compartment[];
  /** Of the box alone, or of the row that it stands in. */
  network: RowNetwork;
  conditions: Conditions;
  constants: Constants;
}

/** The scene by itself, and where it stands. */
export function scenesOf(design: DesignContent, conditions: Conditions): { sole: Scene; scene: Scene } {
  const { constants, row, ground_C, insulation_mm } = conditions;
  const model = deriveBox(design);
  const living = model.compartments.filter(({ frames }) => frames.length > 0);
  const lifted = heatNetwork(design, model, constants, insulation_mm);
  const own = ground_C === undefined ? lifted : onGround(lifted, constants);
  const sole: Scene = { design, model, living, network: soleBox(own, model), conditions, constants };
  return { sole, scene: row ? { ...sole, network: rowOf(own, model, row) } : sole };
}

/** The compartment that a space of the network is the home of, or is like the home of. */
export function homesOf({ living }: Scene): (like: string) => Compartment | undefined {
  const homes = new Map(living.map((each) => [each.spaces[0] ?? '', each]));
  return (like) => homes.get(like);
}

/** Temperatures that do not move: the earth's, where the floor lies on it. */
export const groundIn = ({ ground_C }: Conditions): ReadonlyMap<string, number> =>
  new Map(ground_C === undefined ? [] : [[GROUND, ground_C] as const]);

export const openingsIn = (
  { design, model, conditions, constants }: Scene,
  each: Compartment,
  entrances?: Conditions['shutOn'],
) => openingsOf(design, model, each, constants, { entrances, grounded: conditions.ground_C !== undefined });

/** In kg: those that were counted, or as many as cover a share of the comb. */
export function beesOf(
  { spaces, measures }: Compartment,
  { conditions: { bees_kg }, constants }: Scene,
): number {
  return bees_kg?.[spaces[0] ?? ''] ?? (measures.bees * constants.covered) / constants.bees_kg1;
}

/** The room that a cluster has. */
export function roomOf({ x, spaces }: Compartment, { model }: Scene): ClusterRoom {
  const own = model.spaces.filter(({ id }) => spaces.includes(id));
  const [first] = own;
  return {
    width_m: lengthOf(x) / 1_000,
    length_m: (first ? lengthOf(first.block.y) : 0) / 1_000,
    depth_m: own.reduce((sum, { block }) => sum + lengthOf(block.z), 0) / 1_000,
  };
}

/** Of frames and linings that no face counts. */
const LEAST_JK = 50;
/** What a space stores, in J/K: bees and combs of a home, else its air. */
export function storedIn(like: string, home: Compartment | undefined, scene: Scene): number {
  const { constants, model } = scene;
  if (!home) return airIn(model, like) * constants.airHeat_Jm3K + LEAST_JK;
  return (
    constants.beesHeat_JkgK * beesOf(home, scene) +
    constants.combHeat_JkgK * home.frames.length * constants.combFrame_kg +
    LEAST_JK
  );
}
const airIn = ({ spaces }: BoxModel, id: string): number => {
  const block = spaces.find((space) => space.id === id)?.block;
  return block ? (lengthOf(block.x) * lengthOf(block.y) * lengthOf(block.z)) / 1e9 : 0;
};

/** What combs and bees leave of a compartment, in m³; they weigh about as much as water. */
export function freeAir_m3(each: Compartment, scene: Scene): number {
  const whole = each.measures.litres / 1_000;
  const filled = (each.frames.length * scene.constants.combFrame_kg + beesOf(each, scene)) / 1_000;
  return Math.max(whole * LEAST_FREE, whole - filled);
}
const LEAST_FREE = 0.2;
