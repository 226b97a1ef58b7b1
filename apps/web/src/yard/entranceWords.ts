import type { EntranceState } from '@yellow-cell/contract';

/** What an entrance is turned to. */
export const entranceWords: Readonly<Record<EntranceState, string>> = {
  open: 'open',
  reduced: 'reduced',
  workersOnly: 'workers only',
  vent: 'vent',
  closed: 'closed',
};
