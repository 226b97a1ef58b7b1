import type { Compartment } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import type { Conditions } from './conditions.ts';
import { GROUND } from './network.ts';
import type { RowNetwork } from './row.ts';
import { solveWarmth } from './warmth.ts';

export type PerCompartment = ReadonlyMap<Compartment, number>;

export const groundIn = ({ ground_C }: Pick<Conditions, 'ground_C'>) =>
  ground_C === undefined ? [] : [{ name: GROUND, hold_C: ground_C }];

/** Watts that each of some compartments needs to be held at a temperature, while all other spaces follow. In a row the boxes beside are held too. */
export function heldHeat(
  network: RowNetwork,
  held: readonly Compartment[],
  conditions: Pick<Conditions, 'outside_C' | 'held_C' | 'ground_C'>,
  constants: Constants,
): PerCompartment {
  const ids = new Set(held.flatMap(({ spaces }) => spaces));
  const answer = solveWarmth(
    {
      outside_C: conditions.outside_C,
      spaces: [
        ...network.spaces.map(({ id, like }) =>
          ids.has(like) ? { name: id, hold_C: conditions.held_C } : { name: id },
        ),
        ...groundIn(conditions),
      ],
      faces: network.faces,
      flows: network.flows,
    },
    constants,
  );
  const heat = new Map(answer.spaces.map(({ name, heat_W }) => [name, heat_W]));
  return new Map(held.map((each) => [each, each.spaces.reduce((sum, id) => sum + (heat.get(id) ?? 0), 0)]));
}
