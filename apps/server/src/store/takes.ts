import type { TakesBy } from '@yellow-cell/contract';
import { type RawBuilder, sql } from 'kysely';
import type { Store } from './database.ts';

export interface TakeCounts {
  key: string;
  label: string;
  takes: number;
  misses: number;
  open: number;
}

/** The verdict on an attempt as of a day; must say the same as `verdictOn` in core, and a test holds it to that. */
export const verdict = (on: string) => sql<string>`case
  when miss_on <= ${on}::date then 'miss'
  when take_on <= ${on}::date then 'take'
  when fail_by < ${on}::date then 'miss'
  else 'open' end`;

interface Grouping {
  key: RawBuilder<string>;
  label: RawBuilder<string>;
  /** By what the groups are put in order. */
  order: RawBuilder<unknown>;
}

/** What is not known of an attempt is a group of its own. */
const named = (column: string, order: string = column): Grouping => ({
  key: sql<string>`coalesce(${sql.ref(column)}, '')`,
  label: sql<string>`min(coalesce(${sql.ref(column)}, 'not known'))`,
  order: sql`min(${sql.ref(order)})`,
});
/** As the compass goes round. */
const POINTS = sql.raw(
  "array['north','north-east','east','south-east','south','south-west','west','north-west']",
);
const MONTH = sql<string>`to_char(given_on, 'YYYY-MM')`;

const grouped: Readonly<Record<TakesBy, Grouping>> = {
  design: {
    key: sql<string>`attempt.design_id::text`,
    label: sql<string>`min(design.name)`,
    order: sql`min(design.name)`,
  },
  box: {
    key: sql<string>`attempt.box_id::text`,
    label: sql<string>`min(box.label)`,
    order: sql`min(box.label_key)`,
  },
  frames: {
    key: sql<string>`attempt.frames::text`,
    label: sql<string>`min(attempt.frames)::text`,
    order: sql`min(attempt.frames)`,
  },
  compartment: named('attempt.compartment'),
  flight: { ...named('attempt.flight'), order: sql`min(array_position(${POINTS}, attempt.flight))` },
  what: {
    key: sql<string>`attempt.what`,
    label: sql<string>`min(case attempt.what when 'cell' then 'Ripe cell' else 'Virgin' end)`,
    order: sql`min(attempt.what)`,
  },
  round: {
    key: sql<string>`coalesce(attempt.round_id::text, '')`,
    label: sql<string>`min(coalesce('Round ' || round.number || ', ' || round.donor || ', ' || to_char(round.grafted_on, 'YYYY'), 'of no round'))`,
    order: sql`min(round.grafted_on)`,
  },
  donor: named('attempt.donor'),
  month: {
    key: MONTH,
    label: sql<string>`min(to_char(given_on, 'FMMonth YYYY'))`,
    order: sql`min(${MONTH})`,
  },
};

/** Takes, misses and open attempts of each group, of all attempts given up to a day, from another on where one is given. */
export async function countTakes(
  store: Store,
  by: TakesBy,
  on: string,
  from?: string,
): Promise<TakeCounts[]> {
  const { key, label, order } = grouped[by];
  return store
    .selectFrom('attempt_state as attempt')
    .innerJoin('design', (join) =>
      join.onRef('design.breeder_id', '=', 'attempt.breeder_id').onRef('design.id', '=', 'attempt.design_id'),
    )
    .innerJoin('box_state as box', (join) =>
      join.onRef('box.breeder_id', '=', 'attempt.breeder_id').onRef('box.box_id', '=', 'attempt.box_id'),
    )
    .leftJoin('round_state as round', (join) =>
      join
        .onRef('round.breeder_id', '=', 'attempt.breeder_id')
        .onRef('round.round_id', '=', 'attempt.round_id'),
    )
    .select([
      key.as('key'),
      label.as('label'),
      sql<number>`(count(*) filter (where ${verdict(on)} = 'take'))::int`.as('takes'),
      sql<number>`(count(*) filter (where ${verdict(on)} = 'miss'))::int`.as('misses'),
      sql<number>`(count(*) filter (where ${verdict(on)} = 'open'))::int`.as('open'),
    ])
    .where('given_on', '<=', on)
    .$if(from !== undefined, (q) => q.where('given_on', '>=', from ?? ''))
    .groupBy(key)
    .orderBy(order)
    .execute();
}

export async function countReasons(store: Store, on: string): Promise<{ reason: string; count: number }[]> {
  return store
    .selectFrom('attempt_state')
    .select([sql<string>`coalesce(reason, 'notSaid')`.as('reason'), sql<number>`count(*)::int`.as('count')])
    .where(sql<boolean>`${verdict(on)} = 'miss'`)
    .where('given_on', '<=', on)
    .groupBy(sql`1`)
    .orderBy(sql`2`, 'desc')
    .execute();
}
