import { type Day, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';

/** She is old enough to mate one or two days after she may first be out, and lays 2 to 4 days after her flight (handbook 5). */
export const OLD_ENOUGH_D = [1, 2] as const;
export const EGGS_AFTER_D = [2, 3, 4] as const;

/** The flights of virgins whose cells were given on a day. */
export interface Flights {
  /** So many of them mate in time. */
  share: number;
  /** Mean days from the cell given to the first eggs of those that do; undefined where none does. */
  eggs_d: number | undefined;
}

/** What comes of their flights by the chance of each day that it flies, days taken each for itself. */
export function flightsOf(
  given: Day,
  chanceOn: (day: Day) => number,
  { flightsFrom_d, failedByLatest_d, matesOnDay }: Constants,
): Flights {
  let [share, days] = [0, 0];
  for (const old_d of OLD_ENOUGH_D)
    for (const after_d of EGGS_AFTER_D) {
      let waiting = 1 / (OLD_ENOUGH_D.length * EGGS_AFTER_D.length);
      for (let day = flightsFrom_d + old_d; day <= failedByLatest_d - after_d; day++) {
        const mates = waiting * chanceOn(plusDays(given, day)) * matesOnDay;
        waiting -= mates;
        share += mates;
        days += mates * (day + after_d);
      }
    }
  return { share, eggs_d: share > 0 ? days / share : undefined };
}

/** The last day from one on, within a year, before months that hardly fly; undefined where all of them do, or none. */
export function flyingEnds(
  from: Day,
  flying: readonly number[],
  { flyingEnds: least }: Constants,
): Day | undefined {
  let flew = false;
  for (let day = 0; day < YEAR_D; day++) {
    const on = plusDays(from, day);
    const flies = (flying[Number(on.slice(5, 7)) - 1] ?? 0) >= least;
    if (flew && !flies) return plusDays(on, -1);
    flew ||= flies;
  }
  return undefined;
}
const YEAR_D = 366;
