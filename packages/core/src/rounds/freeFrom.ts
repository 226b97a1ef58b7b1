import type { BoxState, DesignContent } from '@yellow-cell/contract';
import { type Day, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import type { StandingCompartment } from '../yard/compartments.ts';
import type { Weather } from '../yard/due/expectation.ts';
import { putOff } from '../yard/due/weather.ts';
import { proposedRole } from '../yard/roles/roleOf.ts';
import { roleSetFor } from '../yard/roomsOf.ts';

/**
 * The day from which a mating room can take a cell: at once without a queen or cell, else once its queen is taken, as
 * expected. Undefined for rooms that serve as something else, or keep their queen.
 */
export function freeFrom(
  room: StandingCompartment,
  { design, box }: { design: DesignContent; box: BoxState },
  weather: Weather,
  constants: Constants,
): Day | undefined {
  const { bays, colony, attempt, status, since, role } = room;
  const serves =
    role === 'empty'
      ? (roleSetFor(box, bays)?.role ?? proposedRole({ design, bays, colony: undefined }))
      : role;
  if (serves !== 'mating') return undefined;
  if (!colony || status === 'stocked' || status === 'failed' || status === 'unknown')
    return since ?? box.builtOn;
  if (!attempt) return undefined;
  const eggs = attempt.layingOn ?? putOff(attempt, constants.eggsExpected_d, weather, constants);
  return plusDays(eggs, constants.harvestExpected_d);
}
