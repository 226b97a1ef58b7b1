import { sideBearing } from '../box/compass.ts';
import type { Constants } from '../constants/registry.ts';
import type { Conditions } from './conditions.ts';
import { resistanceOf } from './materials.ts';
import type { HeatFace } from './network.ts';
import { absorptance, irradiance } from './sun.ts';
import { OUTSIDE, rsi } from './warmth.ts';

/** What sun and a clear night sky do to each space, in watts: by the sol-air temperature of its outer faces, and straight through panes. */
export function skyHeat(
  faces: readonly HeatFace[],
  { sun, clearNight = false }: Conditions,
  constants: Constants,
): Map<string, number> {
  const heat = new Map<string, number>();
  const films = rsi(constants);
  for (const face of faces) {
    if (face.between[1] !== OUTSIDE || face.kind === 'floor') continue;
    const r = films[face.kind] + constants.rse + resistanceOf(face.layers);
    const night_K = clearNight && !sun && face.kind === 'cover' ? -constants.nightSky_K : 0;
    const watts = (face.area_m2 / r) * night_K + (sun ? sunOn(face, r, sun, constants) : 0);
    if (watts !== 0) heat.set(face.between[0], (heat.get(face.between[0]) ?? 0) + watts);
  }
  return heat;
}

function sunOn(
  face: HeatFace,
  r: number,
  { place, front_deg, paint }: NonNullable<Conditions['sun']>,
  constants: Constants,
): number {
  const bearing = face.side ? sideBearing(front_deg, face.side) : 0;
  const on = irradiance(place, face.kind === 'cover' ? 0 : 90, bearing);
  return face.part === 'pane'
    ? face.area_m2 * constants.panePasses * on
    : (face.area_m2 / r) * ((absorptance(paint, constants) * on) / constants.film_Wm2K);
}
