import type { SeasonQuestion } from '@yellow-cell/contract';
import { type Day, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { flightsOf } from './flights.ts';

/** From the cell given, the last day on which eggs are usual in fair weather (handbook 5: grafts and 26 days, less 10). */
const EGGS_BY_D = 16;
/** So often the time of the year is looked at. */
const EACH_D = 7;
/** What changes a rate by less is no other time. */
const RATE_STEP = 0.01;

/**
 * How rounds of each time fare by the weather that is usual, or known, then: takes as the record says of those that fly
 * in time, and later where the mean of them lays after the days in which eggs are usual (`take_d` counts to their end).
 */
export function spellsOf(
  { from, to, rate, take_d }: Pick<SeasonQuestion, 'from' | 'to' | 'rate' | 'take_d'>,
  chanceOn: (day: Day) => number,
  constants: Constants,
): NonNullable<SeasonQuestion['spells']> {
  const spells: NonNullable<SeasonQuestion['spells']>[number][] = [];
  for (let graft = from; graft <= to; graft = plusDays(graft, EACH_D)) {
    const { share, eggs_d } = flightsOf(plusDays(graft, constants.cellToRipe_d), chanceOn, constants);
    const spell = {
      from: graft,
      rate: Math.min(1, rate * share),
      take_d: take_d + Math.max(0, Math.ceil((eggs_d ?? 0) - EGGS_BY_D)),
    };
    const last = spells.at(-1);
    if (!last || last.take_d !== spell.take_d || Math.abs(last.rate - spell.rate) >= RATE_STEP)
      spells.push(spell);
  }
  return spells;
}
