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
  /** Of an attempt. */
  key: RawBuilder<unknown>;
  /** Of a counted group, with what it is joined to. */
  label: RawBuilder<string>;
  /** By what the groups are put in order. */
  order: RawBuilder<unknown>;
  join?: RawBuilder<unknown>;
}

/** What is not known of an attempt is a group of its own. */
const named = (column: string, order: RawBuilder<unknown> = sql`key`): Grouping => ({
  key: sql`coalesce(${sql.ref(column)}, '')`,
  label: sql<string>`coalesce(nullif(key, ''), 'not known')`,
  order,
});
/** As the compass goes round. */
const POINTS = sql.raw(
  "array['north','north-east','east','south-east','south','south-west','west','north-west']",
);

const grouped: Readonly<Record<TakesBy, Grouping>> = {
  design: {
    key: sql`design_id`,
    label: sql<string>`design.name`,
    order: sql`design.name`,
    join: sql`join design on design.id = key`,
  },
  box: {
    key: sql`box_id`,
    label: sql<string>`box.label`,
    order: sql`box.label_key`,
    join: sql`join box_state box on box.box_id = key`,
  },
  frames: { key: sql`frames`, label: sql<string>`key::text`, order: sql`key` },
  compartment: named('compartment'),
  flight: named('flight', sql`array_position(${POINTS}, key)`),
  what: {
    key: sql`what`,
    label: sql<string>`case key when 'cell' then 'Ripe cell' else 'Virgin' end`,
    order: sql`key`,
  },
  round: {
    key: sql`round_id`,
    label: sql<string>`coalesce('Round ' || round.number || ', ' || round.donor || ', ' || to_char(round.grafted_on, 'YYYY'), 'of no round')`,
    order: sql`round.grafted_on`,
    join: sql`left join round_state round on round.round_id = key`,
  },
  donor: named('donor'),
  month: {
    key: sql`date_trunc('month', given_on)::date`,
    label: sql<string>`to_char(key, 'FMMonth YYYY')`,
    order: sql`key`,
  },
};

/** Takes, misses and open attempts of each group, of all attempts given up to a day, from another on where one is given: counted first, and named when they are few. */
export async function countTakes(
  store: Store,
  by: TakesBy,
  on: string,
  from?: string,
): Promise<TakeCounts[]> {
  const { key, label, order, join = sql`` } = grouped[by];
  const shown = by === 'month' ? sql`to_char(key, 'YYYY-MM')` : sql`coalesce(key::text, '')`;
  const { rows } = await sql<TakeCounts>`
    with judged as (
      select ${key} as key, ${verdict(on)} as verdict, count(*)::int as count
      from attempt_state where given_on <= ${on} and given_on >= ${from ?? '0001-01-01'} group by 1, 2),
    counted as (
      select key,
        coalesce(sum(count) filter (where verdict = 'take'), 0)::int as takes,
        coalesce(sum(count) filter (where verdict = 'miss'), 0)::int as misses,
        coalesce(sum(count) filter (where verdict = 'open'), 0)::int as open
      from judged group by 1)
    select ${shown} as key, ${label} as label, takes, misses, open from counted ${join} order by ${order}`.execute(
    store,
  );
  return rows;
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
