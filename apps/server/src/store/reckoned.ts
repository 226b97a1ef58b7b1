import type { BoxStanding } from '@yellow-cell/contract';
import { type RawBuilder, sql } from 'kysely';
import type { Store } from './database.ts';
import { replaceIn } from './readTables.ts';
import type { ReadRows } from './tables.ts';

/** Weather later than so long after the cell bears on no attempt: `failedByLatest_d` is 45 days at most. */
export const ATTEMPT_D = 60;

/** Attempts of a yard on which weather from a day on can bear; without a day, all of them. */
export async function attemptsToReckon(
  store: Store,
  yard: string,
  from: string | undefined,
): Promise<{ attempt_id: string; box_id: string; cell_on: string; fail_by: string }[]> {
  return store
    .selectFrom('attempt_state as attempt')
    .innerJoin('box_state as box', (join) =>
      join.onRef('box.breeder_id', '=', 'attempt.breeder_id').onRef('box.box_id', '=', 'attempt.box_id'),
    )
    .select(['attempt.attempt_id', 'attempt.box_id', 'attempt.cell_on', 'attempt.fail_by'])
    .where('box.yard_id', '=', yard)
    .$if(from !== undefined, (q) =>
      q.where(sql<boolean>`attempt.cell_on >= ${from}::date - ${ATTEMPT_D}::integer`),
    )
    .execute();
}

export async function changeFailBy(
  store: Store,
  changed: readonly { attempt_id: string; fail_by: string }[],
): Promise<void> {
  if (changed.length === 0) return;
  await sql`update attempt_state set fail_by = now.fail_by
    from unnest(${changed.map((each) => each.attempt_id)}::uuid[], ${changed.map((each) => each.fail_by)}::date[])
      as now(attempt_id, fail_by)
    where attempt_state.attempt_id = now.attempt_id`.execute(store);
}

/** Boxes of a yard that bees live in, or that anything is due in; where the days are long past, those alone with attempts of then. */
export async function livedIn(
  store: Store,
  yard: string,
  changed: { first: string; last: string } | undefined,
  bears_d: number,
): Promise<string[]> {
  const recent: RawBuilder<unknown> =
    changed === undefined
      ? sql`true`
      : sql`(select max(day) from weather_day where yard_id = ${yard}) <= ${changed.last}::date + ${bears_d}::integer`;
  const { rows } = await sql<{ box_id: string }>`
    select box_id from box_state box where yard_id = ${yard} and (
      (${recent} and (
        exists (select from compartment_state c where c.breeder_id = box.breeder_id and c.box_id = box.box_id and c.status <> 'empty')
        or exists (select from due_state due where due.breeder_id = box.breeder_id and due.box_id = box.box_id)))
      or exists (select from attempt_state attempt where attempt.breeder_id = box.breeder_id and attempt.box_id = box.box_id
        and attempt.cell_on between ${changed?.first ?? null}::date - ${ATTEMPT_D}::integer and ${changed?.last ?? null}::date))
    order by box_id`.execute(store);
  return rows.map(({ box_id }) => box_id);
}

export type ReckonedRows = Pick<ReadRows, 'compartments' | 'due'>;

/** Boxes as screens are shown them, and what stands there of what is due in them. */
export async function standingNow(
  store: Store,
  boxes: readonly string[],
): Promise<{ boxes: readonly string[]; shown: BoxStanding[]; before: ReckonedRows }> {
  if (boxes.length === 0) return { boxes, shown: [], before: { compartments: [], due: [] } };
  const ofThese = sql<boolean>`box_id = any(${boxes}::uuid[])`;
  const [rows, compartments, due] = await Promise.all([
    store.selectFrom('box_state').select('shown').where(ofThese).$castTo<{ shown: BoxStanding }>().execute(),
    store.selectFrom('compartment_state').selectAll().where(ofThese).execute(),
    store.selectFrom('due_state').selectAll().where(ofThese).execute(),
  ]);
  return { boxes, shown: rows.map(({ shown }) => shown), before: { compartments, due } };
}

/** Replaces what is due in these boxes, and nothing that is told of them. */
export const replaceReckonedRows = (
  store: Store,
  boxes: readonly string[],
  { compartments, due }: ReckonedRows,
): Promise<void> =>
  replaceIn(store, ['compartment_state', 'due_state'], boxes, {
    compartment_state: compartments,
    due_state: due,
  });

/** The designs that boxes of a yard are built from. */
export async function designsIn(store: Store, yard: string): Promise<string[]> {
  const rows = await store
    .selectFrom('box_state')
    .select('design_id')
    .distinct()
    .where('yard_id', '=', yard)
    .execute();
  return rows.map(({ design_id }) => design_id);
}

/** Leaves boxes to be reckoned later. */
export async function addWaiting(store: Store, breeder: string, boxes: readonly string[]): Promise<void> {
  if (boxes.length === 0) return;
  await sql`insert into reckon_wait select ${breeder}, unnest(${boxes}::uuid[]) on conflict do nothing`.execute(
    store,
  );
}

/** Takes some boxes of one yard that wait to be reckoned; where they stand in none any more, nothing waits. */
export async function takeWaiting(
  store: Store,
  most: number,
): Promise<{ yard: string; boxes: string[] } | undefined> {
  const { rows } = await sql<{ yard: string; box: string }>`
    with next as (
      select wait.box_id, box.yard_id from reckon_wait wait join box_state box using (breeder_id, box_id)
      where box.yard_id = (select first.yard_id from reckon_wait join box_state first using (breeder_id, box_id)
        where first.yard_id is not null limit 1)
      limit ${most}),
    taken as (delete from reckon_wait where box_id in (select box_id from next)
      or box_id not in (select box_id from box_state where yard_id is not null))
    select yard_id as yard, box_id as box from next order by box_id`.execute(store);
  const [first] = rows;
  return first && { yard: first.yard, boxes: rows.map(({ box }) => box) };
}
