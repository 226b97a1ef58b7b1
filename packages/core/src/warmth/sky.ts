import { sideBearing } from '../box/compass.ts';
import type { Constants } from '../constants/registry.ts';
import type { Conditions } from './conditions.ts';
import type { HeatFace } from './network.ts';
import { absorptance, irradiance } from './sun.ts';
import { OUTSIDE } from './warmth.ts';

/** What sun and a clear night sky do to a box. */
export interface Sky {
  /** How much warmer than the air the outer side of each face feels (sol-air), in the order of the faces; less under a clear night. */
  outer_K: readonly number[];
  /** What falls through uncovered panes into each space, in watts. */
  through_W: ReadonlyMap<string, number>;
}

export function skyOver(
  faces: readonly HeatFace[],
  { sun, clearNight = false, doorsOpen = false }: Pick<Conditions, 'sun' | 'clearNight' | 'doorsOpen'>,
  constants: Constants,
): Sky {
  const through_W = new Map<string, number>();
  const outer_K = faces.map((face) => {
    if (face.between[1] !== OUTSIDE || face.kind === 'floor') return 0;
    if (!sun) return clearNight && face.kind === 'cover' ? -constants.nightSky_K : 0;
    const on_Wm2 = irradiance(
      sun.place,
      face.kind === 'cover' ? 0 : 90,
      face.side ? sideBearing(sun.front_deg, face.side) : 0,
    );
    if (isUncovered(face, doorsOpen)) {
      const [space] = face.between;
      const watts = face.area_m2 * constants.panePasses * on_Wm2;
      through_W.set(space, (through_W.get(space) ?? 0) + watts);
      return 0;
    }
    return (absorptance(sun.paint, constants) * on_Wm2) / constants.film_Wm2K;
  });
  return { outer_K, through_W };
}

/** A closed door lets no sun in, and is itself a sunlit face; so is a sheet under a glazed roof. */
const isUncovered = ({ glazed }: HeatFace, doorsOpen: boolean): boolean =>
  glazed === 'bare' || (glazed === 'doors' && doorsOpen);
