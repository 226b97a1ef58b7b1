import type { LineMeasures } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import type { PlaceKnown } from './placeNames.ts';

export interface LineContext {
  /** The day on which it is typed; what happened is not later. */
  on: Day;
  places: readonly PlaceKnown[];
  /** The box and room on screen, meant where the line names none. */
  here?: { box: string; compartment?: string | undefined } | undefined;
  measures: LineMeasures;
}
