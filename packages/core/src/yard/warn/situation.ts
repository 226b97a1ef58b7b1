import type { Climate } from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import type { Constants } from '../../constants/registry.ts';
import type { Weather } from '../due/expectation.ts';
import type { Designs, YardState } from '../state.ts';

/** The yard as it stands, in which something is about to be entered. */
export interface Situation {
  state: YardState;
  designs: Designs;
  on: Day;
  weather: Weather;
  constants: Constants;
  yard: { latitude_deg: number };
  /** The yard's own; estimated from the latitude without. */
  climate?: Climate | undefined;
}

/** What speaks against an entry, in a plain sentence; it can be made all the same, with a reason that is kept. */
export interface Objection {
  sentence: string;
}

/** The same with where it comes from (docs/models.md). */
export interface Warning extends Objection {
  source: WarningSource;
}
export const warningSources = [
  'Combining',
  'Giving cells',
  'Keeping track',
  'Order of assembly',
  'Passages',
  'Reducing: when and who',
  'Special roles',
  'Watching a compartment',
] as const;
export type WarningSource = (typeof warningSources)[number];
