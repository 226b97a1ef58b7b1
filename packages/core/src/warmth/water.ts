import type { MoistureAnswer } from '@yellow-cell/contract';
import { moisture } from '../air/moisture.ts';
import type { Constants } from '../constants/registry.ts';
import { kgOfHeat } from '../winter/cluster.ts';
import type { Conditions } from './conditions.ts';
import type { HeatFace } from './network.ts';
import { aboutShare, type Regulated } from './regulation.ts';
import type { Sky } from './sky.ts';
import { innerSurface } from './warmth.ts';

/** A face with the temperature of its inner surface. */
export interface SurfaceTint {
  face: HeatFace;
  surface_C: number;
}
export type WaterVerdict = 'dry' | 'runsDown' | 'drips';
/** The coldest of each kind of surface around a room, poorly aired, and whether water forms on it. */
export interface WaterSurface {
  name: string;
  surface_C: number;
  wet: boolean;
}
export type RoomWater = MoistureAnswer & {
  verdict: WaterVerdict;
  surfaces: readonly WaterSurface[];
  /** True where water would form, and bees that are about fan it out. */
  fannedOut: boolean;
};

interface Breathed {
  inside_C: number;
  flow_m3s: number;
  bees_kg: number;
  bees: Regulated;
}

/**
 * Where water forms: on a cover colder than the walls it drips on the bees; on walls it runs down, harmless. The floor
 * is left out: cold air lies on it, and water there harms nobody. Surfaces are taken as poorly aired (Rsi 0.25 on every
 * face), water over ice below freezing. Bees that are about fan to keep their room dry.
 */
export function waterIn(
  spaces: readonly string[],
  rest: { at: ReadonlyMap<string, number>; sky: Sky; faces: readonly HeatFace[] },
  { outside_C, outside_RH }: Conditions,
  { inside_C, flow_m3s, bees_kg, bees }: Breathed,
  constants: Constants,
): RoomWater {
  const coldest = coldestOf(spaces, rest, constants);
  const stores_kgDay = kgOfHeat(bees.heat_W, 1, constants);
  const ask = (more_m3s: number) =>
    moisture(
      {
        outside_C,
        outside_RH,
        inside_C,
        flow_m3s: flow_m3s + more_m3s,
        stores_kgDay: stores_kgDay + (bees.water_kgs * SECONDS_A_DAY) / constants.waterOfStores,
        surfaces: coldest.length > 0 ? [...coldest] : [{ name: 'wall', surface_C: outside_C }],
        ice: true,
      },
      constants,
    );
  const alone = ask(0);
  const about = aboutShare(outside_C, constants);
  const answer =
    alone.wettest === null || about === 0 ? alone : ask((about * constants.fans_LsKg * bees_kg) / 1_000);
  const surfaces = coldest.map((each) => ({
    ...each,
    wet: answer.wettest !== null && each.surface_C <= answer.dewPoint_C + WETS_K,
  }));
  return {
    ...answer,
    surfaces,
    verdict: verdictOf(answer, surfaces),
    fannedOut: alone.wettest !== null && answer.wettest === null,
  };
}
const SECONDS_A_DAY = 86_400;
/** Surfaces alike are wet alike. */
const WETS_K = 0.05;

function verdictOf(answer: MoistureAnswer, surfaces: readonly WaterSurface[]): WaterVerdict {
  if (answer.wettest === null) return 'dry';
  const cover = surfaces.find(({ name }) => name === COVER);
  const walls = Math.min(...surfaces.filter(({ name }) => name !== COVER).map(({ surface_C }) => surface_C));
  return cover?.wet && cover.surface_C < walls ? 'drips' : 'runsDown';
}
const COVER = 'cover';

function coldestOf(
  spaces: readonly string[],
  { faces, at, sky }: Parameters<typeof waterIn>[1],
  constants: Constants,
): { name: string; surface_C: number }[] {
  const poorlyAired = {
    ...constants,
    rsiWall: constants.rsiWet,
    rsiCover: constants.rsiWet,
    rsiInner: constants.rsiWet,
  };
  const found = new Map<string, number>();
  faces.forEach((face, index) => {
    if (face.part === 'floor') return;
    const [a, b] = face.between;
    const mine = spaces.includes(a);
    if (mine === spaces.includes(b)) return;
    // A cover over another room is that room's floor.
    if (!mine && face.part === 'cover') return;
    const seen = mine ? face : { ...face, between: [b, a] as [string, string] };
    const name = face.part === 'cover' ? COVER : (face.side ?? face.part);
    const surface_C = innerSurface(seen, at, sky.outer_K[index] ?? 0, poorlyAired);
    found.set(name, Math.min(found.get(name) ?? surface_C, surface_C));
  });
  return [...found].map(([name, surface_C]) => ({ name, surface_C }));
}
