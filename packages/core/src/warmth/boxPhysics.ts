import type { AirQuestion, BreathAnswer, DesignContent, MoistureAnswer } from '@yellow-cell/contract';
import { openingsOf } from '../air/breathing.ts';
import { factorOf, flowAt } from '../air/flow.ts';
import { type BoxModel, type Compartment, deriveBox } from '../box/model.ts';
import { type Constants, defaultConstants } from '../constants/registry.ts';
import { lengthOf } from '../geometry/block.ts';
import type { Conditions } from './conditions.ts';
import { groundIn, heldHeat, type PerCompartment } from './heldHeat.ts';
import { GROUND, type HeatFace, heatNetwork, onGround } from './network.ts';
import { type RowNetwork, rowOf, soleBox } from './row.ts';
import { breathIn, type ShutCourse, type ShutSpace, shutCourses } from './shutBox.ts';
import { skyHeat } from './sky.ts';
import { OUTSIDE, solveWarmth } from './warmth.ts';
import { type SurfaceTint, type WaterVerdict, waterIn } from './water.ts';

/** A way that heat goes, with its share of all that a compartment loses. */
export interface HeatPath {
  part: HeatFace['part'] | 'air';
  watts: number;
  share: number;
}
export interface CompartmentPhysics {
  name: string;
  spaces: readonly string[];
  bees_kg: number;
  /** Watts for each kelvin: by itself, and with its neighbours just as warm. */
  ua_WK: number;
  sharedUa_WK: number;
  /** To hold `held_C`, and what the bees give. */
  watts: number;
  heat_W: number;
  inside_C: number;
  paths: readonly HeatPath[];
  air: { flow_m3s: number; openings: AirQuestion['openings'] };
  /** Shut in, with its flight entrances closed or on vent, all compartments at once: how warm it gets, and when it passes the two limits. */
  shut: ShutCourse & { breath: BreathAnswer };
  water: MoistureAnswer & { verdict: WaterVerdict };
}
export interface BoxPhysics {
  compartments: readonly CompartmentPhysics[];
  surfaces: readonly SurfaceTint[];
  spaces: readonly { id: string; inside_C: number }[];
}

/** All that the parts of the answer are worked out from. */
interface Scene {
  model: BoxModel;
  living: readonly Compartment[];
  network: RowNetwork;
  conditions: Conditions;
  constants: Constants;
}

/** A box with its bees at rest: what it is worked out from, its openings, and the temperatures and flows that come of it. */
interface AtRest {
  sole: Scene;
  scene: Scene;
  breathing: ReadonlyMap<Compartment, AirQuestion['openings']>;
  factors: PerCompartment;
  sky: ReadonlyMap<string, number>;
  free: ReturnType<typeof solveWarmth>;
  air_m3s: PerCompartment;
  surfaces: readonly SurfaceTint[];
  at: ReadonlyMap<string, number>;
}
function atRest(design: DesignContent, conditions: Conditions): AtRest {
  const { constants = defaultConstants, row, ground_C, insulation_mm } = conditions;
  const model = deriveBox(design);
  const living = model.compartments.filter(({ frames }) => frames.length > 0);
  const lifted = heatNetwork(design, model, constants, insulation_mm);
  const own = ground_C === undefined ? lifted : onGround(lifted, constants);
  const sole: Scene = { model, living, network: soleBox(own, model), conditions, constants };
  const scene = row ? { ...sole, network: rowOf(own, model, row) } : sole;
  const breathing = new Map(living.map((each) => [each, openings(design, scene, each)]));
  const factors = new Map(
    living.map((each) => [each, factorOf(breathing.get(each) ?? [], constants.discharge)]),
  );
  const sky = skyHeat(scene.network.faces, conditions, constants);
  const { free, air_m3s } = settled(scene, factors, sky);
  const surfaces = scene.network.faces
    .map(
      (face, index): SurfaceTint => ({
        face,
        surface_C: free.faces[index]?.innerSurface_C ?? conditions.outside_C,
      }),
    )
    .filter(({ face }) => model.spaces.some(({ id }) => id === face.between[0]));
  const at = new Map([
    ...free.spaces.map(({ name, inside_C }) => [name, inside_C] as const),
    [OUTSIDE, conditions.outside_C] as const,
  ]);
  return { sole, scene, breathing, factors, sky, free, air_m3s, surfaces, at };
}

/** Air and water of a room with its bees at rest, by the name that it is drawn under. */
export interface RoomAir {
  bays: readonly string[];
  inside_C: number;
  flow_m3s: number;
  water: MoistureAnswer & { verdict: WaterVerdict };
}
/** How warm and how wet the rooms of a box are with their bees at rest: what `boxPhysics` says of it, and nothing else. */
export function roomAir(design: DesignContent, conditions: Conditions): RoomAir[] {
  const rest = atRest(design, conditions);
  return rest.scene.living.map((each) => ({ bays: each.bays, ...airOf(each, rest) }));
}

function airOf(each: Compartment, { scene, at, air_m3s, surfaces }: AtRest) {
  const { conditions, constants } = scene;
  const inside_C = at.get(each.spaces[0] ?? '') ?? conditions.outside_C;
  const flow_m3s = air_m3s.get(each) ?? 0;
  const bees_kg = beesOf(each, scene);
  const water = waterIn(each.spaces, surfaces, conditions, { inside_C, flow_m3s, bees_kg }, constants);
  return { inside_C, flow_m3s, water };
}

/** How a box breathes, what it costs to keep warm, where water forms, and how long it can stay shut. */
export function boxPhysics(design: DesignContent, conditions: Conditions): BoxPhysics {
  const rest = atRest(design, conditions);
  const { sole, scene, breathing, factors, sky, free, surfaces, at } = rest;
  const { model, living, constants } = scene;
  const rise = conditions.held_C - conditions.outside_C;
  const each_WK = (watts: number) => (Math.abs(rise) < 1e-9 ? 0 : watts / rise);
  const heldOf = ({ network }: Scene, held: readonly Compartment[]) =>
    heldHeat(network, held, conditions, constants);
  const together = heldOf(scene, living);
  const shutOf = shutTogether(design, scene, sky, at);
  return {
    surfaces,
    spaces: model.spaces.map(({ id }) => ({ id, inside_C: at.get(id) ?? conditions.outside_C })),
    compartments: living.map((each): CompartmentPhysics => {
      const bees_kg = beesOf(each, scene);
      const ua_WK = each_WK(heldOf(sole, [each]).get(each) ?? 0);
      const shared_W = together.get(each) ?? 0;
      const { inside_C, flow_m3s, water } = airOf(each, rest);
      const heldFlow = flowAt(factors.get(each) ?? 0, conditions.outside_C, Math.max(rise, 0));
      return {
        name: each.name,
        spaces: each.spaces,
        bees_kg,
        ua_WK,
        sharedUa_WK: each_WK(shared_W),
        watts: shared_W + constants.airHeat_Jm3K * heldFlow * rise,
        heat_W: bees_kg * conditions.heat_Wkg,
        inside_C,
        paths: pathsOf(each, scene, free, at, flow_m3s),
        air: { flow_m3s, openings: breathing.get(each) ?? [] },
        shut: shutOf(each),
        water,
      };
    }),
  };
}

const openings = (
  design: DesignContent,
  { model, conditions, constants }: Scene,
  each: Compartment,
  entrances?: Conditions['shutOn'],
) => openingsOf(design, model, each, constants, { entrances, grounded: conditions.ground_C !== undefined });

function beesOf({ spaces, measures }: Compartment, { conditions: { bees_kg }, constants }: Scene): number {
  return bees_kg?.[spaces[0] ?? ''] ?? (measures.bees * constants.covered) / constants.bees_kg1;
}

/** All compartments shut at once, from how warm they were: bees with brood hold it, the rest follows what stands around. */
function shutTogether(
  design: DesignContent,
  scene: Scene,
  sky: ReadonlyMap<string, number>,
  before: ReadonlyMap<string, number>,
): (each: Compartment) => CompartmentPhysics['shut'] {
  const { model, living, network, conditions, constants } = scene;
  const { outside_C, heat_Wkg, brood, shutOn = 'closed', ground_C } = conditions;
  const homes = new Map(living.map((each) => [each.spaces[0] ?? '', each]));
  const factors = new Map(
    living.map((each) => [
      each,
      factorOf(
        openings(design, scene, each, shutOn).map((opening) => ({
          ...opening,
          area_cm2: opening.area_cm2 * constants.clustered,
        })),
        constants.discharge,
      ),
    ]),
  );
  const spaces = network.spaces.map(({ id, like }): ShutSpace => {
    const home = homes.get(like);
    const start_C = before.get(like) ?? outside_C;
    return {
      id,
      heat_W: Math.max(0, sky.get(id) ?? 0) + (home ? beesOf(home, scene) * heat_Wkg : 0),
      capacity_JK: home ? heatStored(home, scene) : airIn(model, like) * constants.airHeat_Jm3K + LEAST_JK,
      factor: home ? (factors.get(home) ?? 0) : 0,
      start_C: home && brood ? Math.max(constants.broodNest_C, outside_C) : start_C,
    };
  });
  const fixed = new Map(ground_C === undefined ? [] : [[GROUND, ground_C] as const]);
  const limits = [constants.fanning_C, constants.danger_C];
  const courses = shutCourses(
    { outside_C, fixed, spaces, faces: network.faces, flows: network.flows },
    limits,
    constants,
  );
  return (each) => {
    const course = courses.get(each.spaces[0] ?? '');
    if (!course) throw new Error(`${each.name} has no space.`);
    return {
      ...course,
      breath: breathIn(freeAir_m3(each, scene), beesOf(each, scene), heat_Wkg, course.flow_m3s),
    };
  };
}
/** Of frames and linings that no face counts. */
const LEAST_JK = 50;
const heatStored = (each: Compartment, scene: Scene): number =>
  scene.constants.beesHeat_JkgK * beesOf(each, scene) +
  scene.constants.combHeat_JkgK * each.frames.length * scene.constants.combFrame_kg +
  LEAST_JK;
const airIn = ({ spaces }: BoxModel, id: string): number => {
  const block = spaces.find((space) => space.id === id)?.block;
  return block ? (lengthOf(block.x) * lengthOf(block.y) * lengthOf(block.z)) / 1e9 : 0;
};
/** What combs and bees leave of a compartment; they weigh about as much as water. */
function freeAir_m3(each: Compartment, scene: Scene): number {
  const whole = each.measures.litres / 1_000;
  const filled = (each.frames.length * scene.constants.combFrame_kg + beesOf(each, scene)) / 1_000;
  return Math.max(whole * LEAST_FREE, whole - filled);
}
const LEAST_FREE = 0.2;

/** The flow follows the temperature and the temperature the flow: a few turns bring them together. */
function settled(
  scene: Scene,
  factors: PerCompartment,
  sky: ReadonlyMap<string, number>,
): { free: ReturnType<typeof solveWarmth>; air_m3s: PerCompartment } {
  const { outside_C } = scene.conditions;
  let air_m3s: PerCompartment = new Map(
    [...factors].map(([each, factor]) => [each, flowAt(factor, outside_C, FIRST_RISE_K)]),
  );
  let free = steadyWithHeat(scene, air_m3s, sky);
  for (let turn = 0; turn < TURNS; turn++) {
    const inside = new Map(free.spaces.map(({ name, inside_C }) => [name, inside_C]));
    air_m3s = new Map(
      [...factors].map(([each, factor]) => {
        const rise_K = Math.max(0, (inside.get(each.spaces[0] ?? '') ?? outside_C) - outside_C);
        return [each, flowAt(factor, outside_C, rise_K)];
      }),
    );
    free = steadyWithHeat(scene, air_m3s, sky);
  }
  return { free, air_m3s };
}
const FIRST_RISE_K = 8;
const TURNS = 6;

/** Temperatures with the heat that the bees give, the air that goes through, and the sky; boxes of a row live alike. */
function steadyWithHeat(scene: Scene, air_m3s: PerCompartment, sky: ReadonlyMap<string, number>) {
  const { network, living, conditions, constants } = scene;
  const homes = new Map(living.map((each) => [each.spaces[0] ?? '', each]));
  const bees_W = (like: string): number => {
    const home = homes.get(like);
    return home ? beesOf(home, scene) * conditions.heat_Wkg : 0;
  };
  return solveWarmth(
    {
      outside_C: conditions.outside_C,
      spaces: [
        ...network.spaces.map(({ id, like }) => ({ name: id, heat_W: bees_W(like) + (sky.get(id) ?? 0) })),
        ...groundIn(conditions),
      ],
      faces: network.faces,
      flows: [
        ...network.flows,
        ...network.spaces.flatMap(({ id, like }) => {
          const home = homes.get(like);
          return home
            ? [{ between: [id, OUTSIDE] as [string, string], flow_m3s: air_m3s.get(home) ?? 0 }]
            : [];
        }),
      ],
    },
    constants,
  );
}

/** Heat paths of a compartment ranked, largest first. */
function pathsOf(
  { spaces }: Compartment,
  { network, conditions, constants }: Scene,
  answer: ReturnType<typeof solveWarmth>,
  at: ReadonlyMap<string, number>,
  flow_m3s: number,
): HeatPath[] {
  const temperature = (name: string): number => at.get(name) ?? conditions.outside_C;
  const risen_K = temperature(spaces[0] ?? '') - conditions.outside_C;
  const watts = new Map<HeatPath['part'], number>([['air', constants.airHeat_Jm3K * flow_m3s * risen_K]]);
  network.faces.forEach((face, index) => {
    const [a, b] = face.between;
    const mine = spaces.includes(a) ? [a, b] : spaces.includes(b) ? [b, a] : undefined;
    if (!mine || (spaces.includes(a) && spaces.includes(b))) return;
    const lost = (answer.faces[index]?.g_WK ?? 0) * (temperature(mine[0] ?? '') - temperature(mine[1] ?? ''));
    watts.set(face.part, (watts.get(face.part) ?? 0) + lost);
  });
  const all = [...watts.values()].reduce((sum, each) => sum + Math.max(0, each), 0);
  return [...watts]
    .map(([part, each]) => ({ part, watts: each, share: all > 0 ? Math.max(0, each) / all : 0 }))
    .sort((a, b) => b.watts - a.watts);
}
