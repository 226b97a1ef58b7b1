import { getPosition } from 'suncalc';
import type { Constants } from '../constants/registry.ts';

/** Sun on a face under a clear sky (handbook 3, network of a box). Angles in degrees, irradiance in W/m². */
const RAD = Math.PI / 180;
export type Paint = 'white' | 'wood' | 'dark';
export const absorptance = (paint: Paint, constants: Constants): number =>
  ({ white: constants.absorbWhite, wood: constants.absorbWood, dark: constants.absorbDark })[paint];

export interface SunPlace {
  /** Above the horizon. */
  altitude_deg: number;
  /** From true north, clockwise. */
  bearing_deg: number;
}

export function sunAt(instant: string, latitude_deg: number, longitude_deg: number): SunPlace {
  const { altitude, azimuth } = getPosition(new Date(instant), latitude_deg, longitude_deg);
  return { altitude_deg: altitude, bearing_deg: azimuth };
}

/** Irradiance on a face of a tilt (wall 90, cover 0) that looks to a bearing. 0 when the sun is down. */
export function irradiance(
  { altitude_deg, bearing_deg }: SunPlace,
  tilt_deg: number,
  faces_deg: number,
): number {
  const cosZenith = Math.sin(altitude_deg * RAD);
  if (cosZenith <= 0.01) return 0;
  const airMass = 1 / cosZenith;
  const global = 1_098 * cosZenith * Math.exp(-0.057 / cosZenith);
  const direct = 1_353 * 0.7 ** (airMass ** 0.678);
  const diffuse = Math.max(0, global - direct * cosZenith);
  const tilt = tilt_deg * RAD;
  const cosIncidence =
    cosZenith * Math.cos(tilt) +
    Math.cos(altitude_deg * RAD) * Math.sin(tilt) * Math.cos((bearing_deg - faces_deg) * RAD);
  return (
    direct * Math.max(0, cosIncidence) +
    (diffuse * (1 + Math.cos(tilt))) / 2 +
    (0.2 * global * (1 - Math.cos(tilt))) / 2
  );
}
