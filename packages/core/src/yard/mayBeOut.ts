import { type Day, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import type { StandingCompartment } from './compartments.ts';
import { cellDay } from './due/weather.ts';

/**
 * Whether a queen of this room may be out on the day, to find her way or to mate, so that it is not opened at noon
 * (handbook 5, watching a compartment). Without a cell or virgin that is known of, a virgin may be out on any day.
 */
export function mayBeOut({ status, attempt }: StandingCompartment, on: Day, constants: Constants): boolean {
  if (status !== 'cellGiven' && status !== 'virgin') return false;
  return !attempt || on >= plusDays(cellDay(attempt), constants.outFrom_d);
}
