import type { MoistureAnswer } from '@yellow-cell/contract';
import { moisture } from '../air/moisture.ts';
import type { Constants } from '../constants/registry.ts';
import type { Conditions } from './conditions.ts';
import type { HeatFace } from './network.ts';

/** A face with the temperature of its inner surface. */
export interface SurfaceTint {
  face: HeatFace;
  surface_C: number;
}
export type WaterVerdict = 'dry' | 'runsDown' | 'drips';

/**
 * Where water forms: on a cover colder than the walls it drips on the bees; on walls it runs down, harmless. The
 * floor is left out: cold air lies on it, and water there harms nobody.
 */
export function waterIn(
  spaces: readonly string[],
  surfaces: readonly SurfaceTint[],
  { outside_C, outside_RH, stores_kgDayPerKg }: Conditions,
  { inside_C, flow_m3s, bees_kg }: { inside_C: number; flow_m3s: number; bees_kg: number },
  constants: Constants,
): MoistureAnswer & { verdict: WaterVerdict } {
  const named = surfaces
    .filter(
      ({ face }) =>
        spaces.includes(face.between[0]) &&
        (face.part === 'wall' || face.part === 'cover' || face.part === 'pane'),
    )
    .map(({ face, surface_C }) => ({
      name: face.part === 'cover' ? 'cover' : (face.side ?? 'wall'),
      surface_C,
    }));
  const answer = moisture(
    {
      outside_C,
      outside_RH,
      inside_C,
      flow_m3s,
      stores_kgDay: stores_kgDayPerKg * bees_kg,
      surfaces: named.length > 0 ? named : [{ name: 'wall', surface_C: outside_C }],
    },
    constants,
  );
  const coldest = (wanted: (name: string) => boolean): number =>
    Math.min(...named.filter(({ name }) => wanted(name)).map(({ surface_C }) => surface_C));
  const cover = coldest((name) => name === 'cover');
  const walls = coldest((name) => name !== 'cover');
  if (answer.wettest === null) return { ...answer, verdict: 'dry' };
  const drips = cover <= answer.dewPoint_C + 1e-9 && cover < walls;
  return { ...answer, verdict: drips ? 'drips' : 'runsDown' };
}
