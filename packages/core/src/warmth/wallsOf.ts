import type { Compartment } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import type { RowNetwork } from './row.ts';
import { solveWarmth } from './warmth.ts';

export type PerCompartment = ReadonlyMap<Compartment, number>;

/** What walls let through is the same for each kelvin, whatever it is asked at. */
const OUTSIDE_C = 0;
const HELD_K = 10;

/**
 * W/K that each of some compartments loses while these are held warm and all other spaces follow; in a row those of the
 * boxes beside are held too, and a floor on the ground sees earth as cold as the air.
 */
export function wallsOf(
  network: RowNetwork,
  held: readonly Compartment[],
  constants: Constants,
): PerCompartment {
  const ids = new Set(held.flatMap(({ spaces }) => spaces));
  const { spaces, faces, flows } = network;
  const answer = solveWarmth(
    {
      outside_C: OUTSIDE_C,
      spaces: spaces.map(({ id, like }) => (ids.has(like) ? { name: id, hold_C: HELD_K } : { name: id })),
      faces,
      flows,
    },
    constants,
  );
  const heat = new Map(answer.spaces.map(({ name, heat_W }) => [name, heat_W]));
  return new Map(
    held.map((each) => [each, each.spaces.reduce((sum, id) => sum + (heat.get(id) ?? 0), 0) / HELD_K]),
  );
}
