import { type Day, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';

/** The day until which a colony that gave bees or brood is spared; undefined where it gave none. */
export const restsUntil = (
  { gaveOn }: { gaveOn?: Day | undefined },
  { rest_d }: Pick<Constants, 'rest_d'>,
): Day | undefined => gaveOn && plusDays(gaveOn, rest_d);
