import type { TakesBy } from '@yellow-cell/contract';
import { sql } from 'kysely';
import type { Store } from './database.ts';

export interface TakeCounts {
  key: string;
  label: string;
  takes: number;
  misses: number;
  open: number;
}

/** The verdict on an attempt as of a day; must say the same as `verdictOn` in core, and a test holds it to that. */
const verdict = (on: string) => sql<string>`case
  when miss_on <= ${on}::date then 'miss'
  when take_on <= ${on}::date then 'take'
  when fail_by < ${on}::date then 'miss'
  else 'open' end`;

const groupKey = {
  design: { key: sql<string>`attempt.design_id::text`, label: sql<string>`min(design.name)` },
  box: { key: sql<string>`attempt.box_id::text`, label: sql<string>`min(box.label)` },
  frames: { key: sql<string>`attempt.frames::text`, label: sql<string>`min(attempt.frames)::text` },
} as const;

/** Takes, misses and open attempts of each group, of all attempts given up to a day, from another on where one is given. */
export async function countTakes(
  store: Store,
  by: TakesBy,
  on: string,
  from?: string,
): Promise<TakeCounts[]> {
  const { key, label } = groupKey[by];
  return store
    .selectFrom('attempt_state as attempt')
    .innerJoin('design', (join) =>
      join.onRef('design.breeder_id', '=', 'attempt.breeder_id').onRef('design.id', '=', 'attempt.design_id'),
    )
    .innerJoin('box_state as box', (join) =>
      join.onRef('box.breeder_id', '=', 'attempt.breeder_id').onRef('box.box_id', '=', 'attempt.box_id'),
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
    .orderBy(
      sql`min(${by === 'box' ? sql.ref('box.label_key') : by === 'frames' ? sql`lpad(attempt.frames::text, 4, '0')` : sql.ref('design.name')})`,
    )
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
