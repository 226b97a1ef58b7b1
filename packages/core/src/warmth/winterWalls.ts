import type { DesignContent } from '@yellow-cell/contract';
import { openingsOf } from '../air/breathing.ts';
import { factorOf, flowAt } from '../air/flow.ts';
import { type Compartment, deriveBox } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import { heatNetwork } from './network.ts';
import { type Row, rowOf, soleBox } from './row.ts';
import { wallsOf } from './wallsOf.ts';

const OUTSIDE_C = 0;
/** The air of a cavity in winter is about so much warmer than outside; what it breathes follows the root of that. */
const AIR_RISE_K = 5;

/**
 * Watts that each room loses for a kelvin (UA, W/K) where some rooms are lived in and the others are not: walls, floor,
 * cover and boards with the lived-in rooms just as warm, and in a `row` the boxes beside it, and the air that its openings pass (handbook 3, cluster and winter).
 */
export function winterWalls(
  design: DesignContent,
  lived: (room: Compartment) => boolean,
  constants: Constants,
  insulation_mm = 0,
  row?: Row,
): ReadonlyMap<Compartment, number> {
  const model = deriveBox(design);
  const own = heatNetwork(design, model, constants, insulation_mm);
  const network = row ? rowOf(own, model, row) : soleBox(own, model);
  const held = model.compartments.filter((room) => room.frames.length > 0 && lived(room));
  return new Map(
    [...wallsOf(network, held, constants)].map(([room, walls_WK]) => {
      const factor = factorOf(openingsOf(design, model, room, constants), constants.discharge);
      const air_WK = constants.airHeat_Jm3K * flowAt(factor, OUTSIDE_C, AIR_RISE_K);
      return [room, walls_WK + air_WK];
    }),
  );
}
