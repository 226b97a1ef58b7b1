import { dayOf, roundViews } from '@yellow-cell/core';
import { roundsCsv } from '@yellow-cell/files/rounds';
import { outcomesOf, recordOn, roundsFrom } from '../store/rearing.ts';
import type { Context } from './context.ts';
import { firstYard } from './firstYard.ts';

const FIRST_DAY = '1900-01-01';
/** Days stand there as they were reckoned, and no weather with them. */
const NO_WEATHER = { months: [], days: [] };

/** All rounds of the record as CSV; their days are told by the first yard's time and figures, as on their own page. */
export const roundsFile = (context: Context): Promise<string> =>
  context.reading(async (store) => {
    const { yard, constants } = await firstYard(store);
    const today = dayOf(context.clock.now(), yard?.zone ?? 'UTC');
    const rounds = await roundsFrom(store, FIRST_DAY);
    const outcomes = await outcomesOf(
      store,
      rounds.map(({ id }) => id),
      today,
    );
    const { accepted } = await recordOn(store, today);
    return roundsCsv(roundViews({ rounds, outcomes, accepted, flown: NO_WEATHER }, constants, today));
  });
