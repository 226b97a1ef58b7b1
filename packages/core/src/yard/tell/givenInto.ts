import type { Attempt, Colony, EntranceState } from '@yellow-cell/contract';
import { sideBearing } from '../../box/compass.ts';
import { deriveBox } from '../../box/model.ts';
import { compartmentNames } from '../../box/names.ts';
import { designOf } from '../compartments.ts';
import { mainRoom } from '../roomsOf.ts';
import { present, type Telling } from './telling.ts';

/** Through these a virgin flies out. */
const FLOWN: readonly EntranceState[] = ['open', 'reduced'];

/** What a cell or virgin is given into, as it is on that day: boxes are changed and moved later, the record is not. */
export function givenInto(
  telling: Telling,
  colony: Colony,
  roundId: string | undefined,
): NonNullable<Attempt['into']> | undefined {
  const box = telling.boxes.get(colony.box);
  const design = box && designOf(telling.known.designs, box);
  if (!box || !design) return undefined;
  const { compartments } = deriveBox(design);
  const position = mainRoom(deriveBox(design), colony);
  const compartment = compartments[position];
  const entrances = compartment?.entrances ?? [];
  // The flight entrance; where none is open yet, the one that will be.
  const flown = entrances.find(({ opening }) => FLOWN.includes(opening.state)) ?? entrances[0];
  const round = roundId === undefined ? undefined : telling.rounds.get(roundId);
  return {
    design: box.design,
    version: box.version,
    compartment: compartmentNames(compartments.length, box.place?.bearing_deg)[position] ?? '',
    ...present({
      yard: box.place?.yard,
      donor: round?.donor,
      entrance: flown && {
        id: flown.id,
        ...present({ bearing_deg: box.place && sideBearing(box.place.bearing_deg, flown.opening.side) }),
      },
    }),
  };
}
