import type { Attempt, Round } from '@yellow-cell/contract';
import { daysBetween } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';

/** Why the mother of an attempt's queen is not certain, where it is not: eggs too early for this graft are another queen's (handbook 5, whose daughter). */
export function motherDoubt(
  { layingOn }: Pick<Attempt, 'layingOn'>,
  round: Pick<Round, 'graftedOn'> | undefined,
  { earliestOwnEggs_d }: Pick<Constants, 'earliestOwnEggs_d'>,
): string | undefined {
  if (layingOn === undefined || round === undefined) return undefined;
  const age_d = daysBetween(round.graftedOn, layingOn);
  return age_d < earliestOwnEggs_d
    ? `Eggs ${age_d} days after the graft, before day ${earliestOwnEggs_d}: of another queen.`
    : undefined;
}
