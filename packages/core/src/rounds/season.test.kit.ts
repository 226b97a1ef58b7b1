import type { RearingSeason } from '@yellow-cell/contract';
import type { SeasonHabits } from './seasonHabits.ts';

/** A season of which nothing is known but what is said. */
export const seasonOf = (more: Partial<RearingSeason>): RearingSeason => ({
  rounds: [],
  lots: [],
  outcomes: [],
  record: { takes: 0, tried: 0 },
  accepted: { cells: 0, grafts: 0 },
  flown: { months: [], days: [] },
  rooms: [],
  banked: [],
  ...more,
});

/** Days fly from April to September, and never else. */
export const SUMMER_FLIES = [0, 0, 0, 0.7, 0.7, 0.7, 0.7, 0.7, 0.7, 0, 0, 0];

export const HABITS: SeasonHabits = {
  weekdays: [1, 2, 3, 4, 5],
  closed: ['2026-06-10'],
  laying_d: 14,
  most: 45,
  bank: { days: 21, places: 60 },
  surely: 0.9,
  colonies: { donors: 2, starters: 1, finishers: 1, incubator: 0 },
  helpers: [],
  work: { round_h: 3, cell_h: 0.2, queen_h: 0.25 },
  prices: { queen: 30, round: 20, cell: 0.5, bankDay: 0.1, change: 1 },
};
