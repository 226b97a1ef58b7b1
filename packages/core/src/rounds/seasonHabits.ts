import type { SeasonQuestion } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';

/** How a breeder works, and what things are worth to them. */
export interface SeasonHabits {
  /** On which is grafted, 1 is Monday. */
  weekdays: readonly number[];
  /** On which nothing is grafted, given or taken. */
  closed: readonly Day[];
  /** Days of laying after which queens are taken: 9 is the first sealed brood. */
  laying_d: number;
  /** Ripe cells of one round at the most. */
  most: number;
  bank: { days: number; places: number };
  /** How surely each lot is to be ready: cells are reckoned by it, not by the mean. */
  surely: number;
  /** Colonies that do the work, and places of an incubator; 0 of those is none. */
  colonies: { donors: number; starters: number; finishers: number; incubator: number };
  /** Who helps; nobody told means that hours limit nothing. */
  helpers: readonly Helper[];
  work: NonNullable<SeasonQuestion['work']>;
  /** What a queen in time brings, and what the rest costs; `change` is a cell more or less on a day that people know. */
  prices: { queen: number; round: number; cell: number; bankDay: number; change: number };
}
export interface Helper {
  name: string;
  /** In a week. */
  hours: number;
  away: readonly { from: Day; to: Day }[];
}

type Habitual = Pick<
  SeasonQuestion,
  | 'weekdays'
  | 'closed'
  | 'cells'
  | 'bank'
  | 'donors'
  | 'starters'
  | 'finishers'
  | 'incubator'
  | 'helpers'
  | 'roomWait_d'
  | 'work'
  | 'cost'
>;

/** Habits as the solver asks for them. */
export function habitsAsked(habits: SeasonHabits, constants: Constants): Habitual {
  const { weekdays, closed, most, bank, colonies, helpers, work, prices } = habits;
  return {
    weekdays: [...weekdays],
    closed: [...closed],
    cells: { least: Math.min(constants.roundLeast, most), most },
    ...(bank.days > 0 && bank.places > 0 ? { bank } : {}),
    donors: { count: colonies.donors, days: constants.donorComb_d },
    starters: { count: colonies.starters, days: Math.ceil(constants.starterHolds_d) },
    finishers: { cells: colonies.finishers * constants.finisherMost, days: constants.cellToRipe_d },
    ...(colonies.incubator > 0 ? { incubator: { places: colonies.incubator } } : {}),
    ...(helpers.length > 0
      ? { helpers: helpers.map(({ away, ...each }) => ({ ...each, away: [...away] })), work }
      : {}),
    roomWait_d: Math.max(0, constants.harvestTo_d - habits.laying_d),
    cost: { round: prices.round, cell: prices.cell, bankDay: prices.bankDay },
  };
}
