import type { Round, RoundRow, YearRibbon } from '@yellow-cell/contract';
import { sql } from 'kysely';
import type { Store } from './database.ts';

/** What the ribbon shows of a span of days, inclusive at both ends. */
export async function seasonBetween(
  store: Store,
  yard: string,
  from: string,
  to: string,
): Promise<Pick<YearRibbon, 'days' | 'rounds' | 'due'>> {
  const days = await store
    .selectFrom('weather_day')
    .select(['day as date', 'max_c as max_C', 'flying_h'])
    .where('yard_id', '=', yard)
    .where('day', '>=', from)
    .where('day', '<=', to)
    .orderBy('day')
    .execute();
  const due = await store
    .selectFrom('compartment_state')
    .select(['due_expected as date', sql<number>`count(*)::int`.as('count')])
    .where('due', 'is not', null)
    .where('due_expected', '>=', from)
    .where('due_expected', '<=', to)
    .groupBy('due_expected')
    .orderBy('due_expected')
    .execute();
  return {
    days,
    rounds: await roundsBetween(store, from, to),
    due: due as { date: string; count: number }[],
  };
}

async function roundsBetween(store: Store, from: string, to: string): Promise<RoundRow[]> {
  const rows = await store
    .selectFrom('round_state')
    .select('told')
    .where('grafted_on', '>=', from)
    .where('grafted_on', '<=', to)
    .orderBy('grafted_on')
    .$castTo<{ told: Round }>()
    .execute();
  return rows.map(({ told: { id, number, donor, graftedOn, grafts, accepted, planned = false } }) => ({
    id,
    number,
    donor,
    graftedOn,
    grafts,
    accepted: accepted?.cells ?? null,
    planned,
  }));
}
