import type { BoxState } from '@yellow-cell/contract';
import { deriveBox } from '../../box/model.ts';
import { compartmentsOf, designOf, type StandingCompartment } from '../compartments.ts';
import { roles } from '../roles/roles.ts';
import type { Act } from './act.ts';
import type { Objection, Situation } from './situation.ts';

/** What speaks against an entry by what the rooms that it is about serve as (the table of roles). */
export function roleWarnings(situation: Situation, act: Act): Objection[] {
  if (isHarmless(act)) return [];
  return [
    ...new Set(
      roomsMeant(situation, act).flatMap(({ role, queens, colony }) => {
        const sentence = role === 'empty' ? undefined : roles[role].warns[act.kind];
        const freeQueen =
          role === 'bank' &&
          act.kind === 'queenGiven' &&
          !act.payload.caged &&
          `A free queen among the cages kills or is killed: ${queens.length > 0 ? 'the others here are caged' : 'a bank holds caged queens'}.`;
        const unfed =
          role === 'starter' &&
          act.kind === 'fed' &&
          !colony?.fed &&
          'A starter is fed once its grafts are in: syrup before them runs among bees that have no room.';
        return [sentence, freeQueen, unfed].filter((each) => typeof each === 'string');
      }),
    ),
  ].map((sentence) => ({ sentence }));
}

/** A starter may be closed further; it is opening it that does harm. */
const isHarmless = (act: Act): boolean =>
  act.kind === 'entranceSet' && (act.payload.state === 'closed' || act.payload.state === 'vent');

function roomsMeant({ state, designs }: Situation, act: Act): StandingCompartment[] {
  const { payload } = act;
  const box: BoxState | undefined = 'box' in payload ? state.boxes.get(payload.box) : undefined;
  if (!box) return [];
  const rooms = compartmentsOf(state, designs, box);
  if (act.kind === 'entranceSet') {
    const design = designOf(designs, box);
    const { compartments } = design ? deriveBox(design) : { compartments: [] };
    return rooms.filter(({ position }) =>
      compartments[position]?.entrances.some(({ id }) => id === act.payload.entrance),
    );
  }
  if (!('colony' in payload)) return [];
  const bay = 'bay' in payload ? payload.bay : undefined;
  return rooms.filter(({ colony, bays, shares }) =>
    colony?.id !== payload.colony ? false : bay === undefined ? shares === undefined : bays.includes(bay),
  );
}
