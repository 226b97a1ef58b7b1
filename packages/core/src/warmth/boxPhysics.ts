import type {
  AirAnswer,
  AirQuestion,
  DesignContent,
  MoistureAnswer,
  Side,
  WarmthQuestion,
} from '@yellow-cell/contract';
import { air } from '../air/air.ts';
import { openingsOf } from '../air/breathing.ts';
import { factorOf, flowAt } from '../air/flow.ts';
import { moisture } from '../air/moisture.ts';
import { AIR_HEAT } from '../air/physics.ts';
import { sideBearing } from '../box/compass.ts';
import { type BoxModel, type Compartment, deriveBox } from '../box/model.ts';
import { resistanceOf } from './materials.ts';
import { type HeatFace, type HeatNetwork, heatNetwork } from './network.ts';
import { ABSORPTANCE, FILM_OUTSIDE, irradiance, type Paint, type SunPlace } from './sun.ts';
import { OUTSIDE, RSE, RSI, solveWarmth } from './warmth.ts';

/** What the air and the bees are like for which a box is worked out. */
export interface Conditions {
  outside_C: number;
  outside_RH: number;
  /** Bees of each compartment, in kg, by its first space; none given: as many as cover six tenths of its comb. */
  bees_kg?: Readonly<Record<string, number>>;
  /** Heat of bees at rest in season is 20 W/kg, calm and cool 12, alarmed or shut in warm 40 (handbook 3). */
  heat_Wkg: number;
  /** Temperature that the bees hold among them. */
  held_C: number;
  stores_kgDayPerKg: number;
  brood: boolean;
  /** Sun on the faces; undefined in the shade. */
  sun?: { place: SunPlace; front_deg: number; paint: Paint } | undefined;
  /** Insulation on the outer face of followers, in mm. */
  insulation_mm?: number;
  /** Sides that boxes just as warm are pushed against: no heat goes there. */
  neighbours?: readonly Side[];
}

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
  /** Shut in as it stands: how warm it gets, and when it passes 36 and 38 °C. */
  shut: AirAnswer;
  water: MoistureAnswer & { verdict: WaterVerdict };
}
export type WaterVerdict = 'dry' | 'runsDown' | 'drips';
export interface SurfaceTint {
  face: HeatFace;
  surface_C: number;
}
export interface BoxPhysics {
  compartments: readonly CompartmentPhysics[];
  surfaces: readonly SurfaceTint[];
  spaces: readonly { id: string; inside_C: number }[];
}

const LIMITS_C = [36, 38];
/** Brood is at this from the start; without it a shut box starts as cool as the air. */
const BROOD_C = 34.5;
const BEES_PER_KG = 8_333;
const COVERED = 0.6;
/** A part-filled comb of a small colony, for its heat capacity; our estimate. */
const COMB_KG_PER_FRAME = 1.2;
/** Bees hang on the openings of a shut box and halve them. */
const CLUSTERED = 0.5;

/** How a box breathes, what it costs to keep warm, where water forms, and how long it can stay shut. */
export function boxPhysics(design: DesignContent, conditions: Conditions): BoxPhysics {
  const model = deriveBox(design);
  const network = withNeighbours(
    heatNetwork(design, model, conditions.insulation_mm),
    conditions.neighbours ?? [],
  );
  const living = model.compartments.filter(({ frames }) => frames.length > 0);
  const breathing = new Map(
    living.map((compartment) => [compartment, openingsOf(design, model, compartment)]),
  );
  const sun = sunHeat(network, conditions);
  const heats = new Map(living.map((each) => [each, beesOf(each, conditions) * conditions.heat_Wkg]));
  const alone = living.map((each) =>
    heldHeat(model, network, [each], conditions.outside_C, conditions.held_C),
  );
  const together = heldHeat(model, network, living, conditions.outside_C, conditions.held_C);
  const rise = conditions.held_C - conditions.outside_C;
  const as = (watts: number) => (Math.abs(rise) < 1e-9 ? 0 : watts / rise);
  const factors = new Map(living.map((each) => [each, factorOf(breathing.get(each) ?? [])]));
  const flows = new Map(
    living.map((each) => [each, flowAt(factors.get(each) ?? 0, conditions.outside_C, Math.max(rise, 0))]),
  );
  const { free, air_m3s } = settled(model, network, heats, factors, sun, conditions.outside_C);
  const surfaces = network.faces.map(
    (face, index): SurfaceTint => ({
      face,
      surface_C: free.faces[index]?.innerSurface_C ?? conditions.outside_C,
    }),
  );
  return {
    surfaces,
    spaces: free.spaces.map(({ name, inside_C }) => ({ id: name, inside_C })),
    compartments: living.map((each, index): CompartmentPhysics => {
      const openings = breathing.get(each) ?? [];
      const bees_kg = beesOf(each, conditions);
      const ua_WK = as(alone[index]?.get(each) ?? 0);
      const inside_C =
        free.spaces.find(({ name }) => name === each.spaces[0])?.inside_C ?? conditions.outside_C;
      const flow_m3s = air_m3s.get(each) ?? 0;
      return {
        name: each.name,
        spaces: each.spaces,
        bees_kg,
        ua_WK,
        sharedUa_WK: as(together.get(each) ?? 0),
        watts: (together.get(each) ?? 0) + AIR_HEAT * (flows.get(each) ?? 0) * rise,
        heat_W: heats.get(each) ?? 0,
        inside_C,
        paths: pathsOf(each, network, free, flow_m3s, inside_C, conditions.outside_C),
        air: { flow_m3s, openings },
        shut: air({
          outside_C: conditions.outside_C,
          ua_WK,
          bees_kg,
          heat_Wkg: conditions.heat_Wkg,
          openings: openings.map((opening) => ({ ...opening, area_cm2: opening.area_cm2 * CLUSTERED })),
          comb_kg: each.frames.length * COMB_KG_PER_FRAME,
          limits_C: LIMITS_C,
          ...(conditions.brood ? { start_C: Math.max(BROOD_C, conditions.outside_C) } : {}),
          sun_W: each.spaces.reduce((sum, id) => sum + (sun.get(id) ?? 0), 0),
        }),
        water: waterIn(each, surfaces, conditions, inside_C, flow_m3s, bees_kg),
      };
    }),
  };
}

function withNeighbours({ faces, flows }: HeatNetwork, sides: readonly Side[]): HeatNetwork {
  return {
    flows,
    faces: faces.filter(({ side, part }) => !(part === 'wall' && side && sides.includes(side))),
  };
}

function beesOf({ spaces, measures }: Compartment, { bees_kg }: Conditions): number {
  return bees_kg?.[spaces[0] ?? ''] ?? (measures.bees * COVERED) / BEES_PER_KG;
}

/** Watts that each of some compartments needs to be held at a temperature, while all other spaces follow. */
function heldHeat(
  model: BoxModel,
  { faces, flows }: HeatNetwork,
  held: readonly Compartment[],
  outside_C: number,
  hold_C: number,
): Map<Compartment, number> {
  const answer = solveWarmth({
    outside_C,
    spaces: model.spaces.map(({ id }) =>
      held.some(({ spaces }) => spaces.includes(id)) ? { name: id, hold_C } : { name: id },
    ),
    faces: faces.map(asked),
    flows,
  });
  return new Map(
    held.map((each) => [
      each,
      answer.spaces
        .filter(({ name }) => each.spaces.includes(name))
        .reduce((sum, { heat_W }) => sum + heat_W, 0),
    ]),
  );
}

const asked = ({ between, area_m2, kind, layers }: HeatFace): WarmthQuestion['faces'][number] => ({
  between,
  area_m2: Math.max(area_m2, 1e-6),
  kind,
  layers,
});

/** Share of the sun that a clear pane lets through (handbook 3). */
const PANE_PASSES = 0.85;

/** Sun on each space's outer faces, as the watts that go in by the sol-air temperature, and straight through panes. */
function sunHeat({ faces }: HeatNetwork, { sun }: Conditions): Map<string, number> {
  const heat = new Map<string, number>();
  if (!sun) return heat;
  for (const face of faces) {
    if (!face.between.includes(OUTSIDE) || face.kind === 'floor') continue;
    const space = face.between[0];
    const bearing = face.side ? sideBearing(sun.front_deg, face.side) : 0;
    const on = irradiance(sun.place, face.kind === 'cover' ? 0 : 90, bearing);
    const r = RSI[face.kind] + RSE + resistanceOf(face.layers);
    const watts =
      face.part === 'pane'
        ? face.area_m2 * PANE_PASSES * on
        : (face.area_m2 / r) * ((ABSORPTANCE[sun.paint] * on) / FILM_OUTSIDE);
    heat.set(space, (heat.get(space) ?? 0) + watts);
  }
  return heat;
}

/** The flow follows the temperature and the temperature the flow: a few turns bring them together. */
function settled(
  model: BoxModel,
  network: HeatNetwork,
  heats: ReadonlyMap<Compartment, number>,
  factors: ReadonlyMap<Compartment, number>,
  sun: ReadonlyMap<string, number>,
  outside_C: number,
): { free: ReturnType<typeof solveWarmth>; air_m3s: ReadonlyMap<Compartment, number> } {
  let air_m3s = new Map(
    [...factors].map(([each, factor]) => [each, flowAt(factor, outside_C, FIRST_RISE_K)]),
  );
  let free = steadyWithHeat(model, network, heats, air_m3s, sun, outside_C);
  for (let turn = 0; turn < TURNS; turn++) {
    const inside = new Map(free.spaces.map(({ name, inside_C }) => [name, inside_C]));
    air_m3s = new Map(
      [...factors].map(([each, factor]) => {
        const rise_K = Math.max(0, (inside.get(each.spaces[0] ?? '') ?? outside_C) - outside_C);
        return [each, flowAt(factor, outside_C, rise_K)];
      }),
    );
    free = steadyWithHeat(model, network, heats, air_m3s, sun, outside_C);
  }
  return { free, air_m3s };
}
const FIRST_RISE_K = 8;
const TURNS = 6;

/** Temperatures with the heat that the bees give, the air that goes through, and the sun. */
function steadyWithHeat(
  model: BoxModel,
  { faces, flows }: HeatNetwork,
  heats: ReadonlyMap<Compartment, number>,
  air_m3s: ReadonlyMap<Compartment, number>,
  sun: ReadonlyMap<string, number>,
  outside_C: number,
) {
  const heatIn = (id: string): number => {
    const home = [...heats].find(([{ spaces }]) => spaces.includes(id));
    return (sun.get(id) ?? 0) + (home && home[0].spaces[0] === id ? home[1] : 0);
  };
  return solveWarmth({
    outside_C,
    spaces: model.spaces.map(({ id }) => ({ name: id, heat_W: heatIn(id) })),
    faces: faces.map(asked),
    flows: [
      ...flows,
      ...[...air_m3s].map(([{ spaces }, flow_m3s]) => ({
        between: [spaces[0] ?? '', OUTSIDE] as [string, string],
        flow_m3s,
      })),
    ],
  });
}

/** Heat paths of a compartment ranked, largest first. */
function pathsOf(
  { spaces }: Compartment,
  { faces }: HeatNetwork,
  answer: ReturnType<typeof solveWarmth>,
  flow_m3s: number,
  inside_C: number,
  outside_C: number,
): HeatPath[] {
  const at = (name: string): number =>
    name === OUTSIDE
      ? outside_C
      : (answer.spaces.find((space) => space.name === name)?.inside_C ?? outside_C);
  const watts = new Map<HeatPath['part'], number>([['air', AIR_HEAT * flow_m3s * (inside_C - outside_C)]]);
  faces.forEach((face, index) => {
    const [a, b] = face.between;
    const mine = spaces.includes(a) ? [a, b] : spaces.includes(b) ? [b, a] : undefined;
    if (!mine || (spaces.includes(a) && spaces.includes(b))) return;
    const lost = (answer.faces[index]?.g_WK ?? 0) * (at(mine[0] ?? '') - at(mine[1] ?? ''));
    watts.set(face.part, (watts.get(face.part) ?? 0) + lost);
  });
  const all = [...watts.values()].reduce((sum, each) => sum + Math.max(0, each), 0);
  return [...watts]
    .map(([part, each]) => ({ part, watts: each, share: all > 0 ? Math.max(0, each) / all : 0 }))
    .sort((a, b) => b.watts - a.watts);
}

/** Where water forms (the floor is left out: cold air lies on it, and water there harms nobody): on a cover colder than the walls it drips on the bees; on walls it runs down, harmless. */
function waterIn(
  { spaces }: Compartment,
  surfaces: readonly SurfaceTint[],
  { outside_C, outside_RH, stores_kgDayPerKg }: Conditions,
  inside_C: number,
  flow_m3s: number,
  bees_kg: number,
): CompartmentPhysics['water'] {
  const own = surfaces.filter(
    ({ face }) =>
      spaces.includes(face.between[0]) &&
      (face.part === 'wall' || face.part === 'cover' || face.part === 'pane'),
  );
  const named = own.map(({ face, surface_C }) => ({
    name: face.part === 'cover' ? 'cover' : (face.side ?? 'wall'),
    surface_C,
  }));
  const answer = moisture({
    outside_C,
    outside_RH,
    inside_C,
    flow_m3s,
    stores_kgDay: stores_kgDayPerKg * bees_kg,
    surfaces: named.length > 0 ? named : [{ name: 'wall', surface_C: outside_C }],
  });
  const coldest = (part: (name: string) => boolean) =>
    Math.min(...named.filter(({ name }) => part(name)).map(({ surface_C }) => surface_C));
  const cover = coldest((name) => name === 'cover');
  const walls = coldest((name) => name !== 'cover');
  const verdict: WaterVerdict =
    answer.wettest === null
      ? 'dry'
      : cover <= answer.dewPoint_C + 1e-9 && cover < walls
        ? 'drips'
        : 'runsDown';
  return { ...answer, verdict };
}
