import { constantsWith, dayOf, roundViews } from '@yellow-cell/core';
import { roundsCsv } from '@yellow-cell/files/rounds';
import { findBreeder } from '../store/breeders.ts';
import { outcomesOf, recordOn, roundsFrom } from '../store/rearing.ts';
import { listYards } from '../store/yards.ts';
import type { Context } from './context.ts';

const FIRST_DAY = '1900-01-01';

/** All rounds of the record as CSV; their days are told by the first yard's time and figures, as on their own page. */
export const roundsFile = (context: Context): Promise<string> =>
  context.reading(async (store) => {
    const [yard] = await listYards(store);
    const today = dayOf(context.clock.now(), yard?.zone ?? 'UTC');
    const rounds = await roundsFrom(store, FIRST_DAY);
    const outcomes = await outcomesOf(
      store,
      rounds.map(({ id }) => id),
      today,
    );
    const constants = constantsWith((await findBreeder(store))?.settings.constants[yard?.id ?? '']);
    const season = { rounds, outcomes, lots: [], rooms: [], ...(await recordOn(store, today)) };
    return roundsCsv(roundViews(season, constants, today));
  });
