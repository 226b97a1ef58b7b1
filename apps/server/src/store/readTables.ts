import { sql } from 'kysely';
import type { Store } from './database.ts';
import type { ReadRows, RoundInsert, WeatherInsert } from './tables.ts';

/** Rows in one statement stay far below PostgreSQL's 65,535 parameters, and its text below a few megabytes. */
const ROWS_AT_ONCE = 2_000;

/** Rows of these stand for one box each, or for what lives in it. */
const BOX_TABLES = ['box_state', 'compartment_state', 'attempt_state', 'queen_state', 'due_state'] as const;

/** All that is made from the log, and can be made from it again. */
export const READ_TABLES = [
  ...BOX_TABLES,
  'box_beside',
  'reckon_wait',
  'event_to_settle',
  'round_state',
  'weather_day',
] as const;

/** Replaces all that the read tables say of these boxes. */
export async function replaceBoxRows(store: Store, boxes: readonly string[], rows: ReadRows): Promise<void> {
  await replaceToSettle(store, boxes, rows.toSettle);
  await replaceIn(store, BOX_TABLES, boxes, byTable(rows));
}

/** Brings rows of boxes that stand there up to what was told on: of attempts and queens, those alone that are given. */
export async function changeBoxRows(
  store: Store,
  boxes: readonly string[],
  { boxes: standing, ...rows }: ReadRows,
): Promise<void> {
  await sql`with
    compartments as (delete from compartment_state where box_id = any(${boxes}::uuid[])),
    due as (delete from due_state where box_id = any(${boxes}::uuid[])),
    attempts as (delete from attempt_state where attempt_id = any(${rows.attempts.map((row) => row.attempt_id)}::uuid[])),
    queens as (delete from queen_state where queen_id = any(${rows.queens.map((row) => row.queen_id)}::uuid[]))
    select 1`.execute(store);
  await fillIn(store, BOX_TABLES, byTable({ boxes: [], ...rows }));
  for (const { breeder_id: _, box_id, ...row } of standing)
    await store.updateTable('box_state').set(row).where('box_id', '=', box_id).execute();
  for (const some of chunks(rows.toSettle)) await store.insertInto('event_to_settle').values(some).execute();
}

/** Adds all that the read tables say of boxes of which they say nothing yet. */
export async function fillBoxRows(store: Store, rows: ReadRows): Promise<void> {
  await replaceToSettle(store, [], rows.toSettle);
  await fillIn(store, BOX_TABLES, byTable(rows));
}

const byTable = (rows: ReadRows) => ({
  box_state: rows.boxes,
  compartment_state: rows.compartments,
  attempt_state: rows.attempts,
  queen_state: rows.queens,
  due_state: rows.due,
});

/** One statement to clear and one to fill, whatever the tables. */
export async function replaceIn<Table extends string>(
  store: Store,
  tables: readonly Table[],
  boxes: readonly string[],
  rows: Readonly<Record<Table, readonly object[]>>,
): Promise<void> {
  if (boxes.length === 0) return;
  const clear = tables.map(
    (table) =>
      sql`${sql.ref(`${table}_gone`)} as (delete from ${sql.table(table)} where box_id = any(${boxes}::uuid[]))`,
  );
  await sql`with ${sql.join(clear)} select 1`.execute(store);
  await fillIn(store, tables, rows);
}

async function fillIn<Table extends string>(
  store: Store,
  tables: readonly Table[],
  rows: Readonly<Record<Table, readonly object[]>>,
): Promise<void> {
  const most = Math.max(...tables.map((table) => rows[table].length));
  for (let at = 0; at < most; at += ROWS_AT_ONCE) {
    const fill = tables.flatMap((table) => {
      const some = rows[table].slice(at, at + ROWS_AT_ONCE);
      return some.length === 0
        ? []
        : sql`${sql.ref(`${table}_new`)} as (insert into ${sql.table(table)}
            select * from json_populate_recordset(null::${sql.table(table)}, ${JSON.stringify(some)}))`;
    });
    if (fill.length > 0) await sql`with ${sql.join(fill)} select 1`.execute(store);
  }
}

/** Replaces all that waits to be settled about these boxes, rounds and yards. */
export async function replaceToSettle(
  store: Store,
  subjects: readonly string[],
  rows: ReadRows['toSettle'],
): Promise<void> {
  for (const some of chunks(subjects))
    await sql`delete from event_to_settle where subject_id = any(${some}::uuid[])`.execute(store);
  for (const some of chunks(rows)) await store.insertInto('event_to_settle').values(some).execute();
}

export async function replaceRoundRows(
  store: Store,
  rounds: readonly string[],
  rows: readonly RoundInsert[],
): Promise<void> {
  for (const some of chunks(rounds))
    await store.deleteFrom('round_state').where('round_id', 'in', some).execute();
  for (const some of chunks(rows)) await store.insertInto('round_state').values(some).execute();
}

export async function replaceWeatherRows(
  store: Store,
  yards: readonly string[],
  rows: readonly WeatherInsert[],
  /** Of these days alone; of all, where they are left out. */
  days?: readonly string[],
): Promise<void> {
  for (const some of chunks(yards))
    await store
      .deleteFrom('weather_day')
      .where('yard_id', 'in', some)
      .$if(days !== undefined, (q) => q.where(sql<boolean>`day = any(${days ?? []}::date[])`))
      .execute();
  for (const some of chunks(rows)) await store.insertInto('weather_day').values(some).execute();
}

/** Boxes that got cells of these rounds. */
export async function boxesWithAttemptsIn(store: Store, rounds: readonly string[]): Promise<string[]> {
  if (rounds.length === 0) return [];
  const rows = await store
    .selectFrom('attempt_state')
    .select('box_id')
    .distinct()
    .where('round_id', 'in', rounds)
    .execute();
  return rows.map(({ box_id }) => box_id);
}

/** Empties every read table of this breeder, before they are rebuilt from the log. */
export async function clearReadTables(store: Store): Promise<void> {
  for (const table of READ_TABLES) {
    await store.deleteFrom(table).execute();
  }
}

function chunks<T>(rows: readonly T[]): T[][] {
  const count = Math.ceil(rows.length / ROWS_AT_ONCE);
  return Array.from({ length: count }, (_, index) =>
    rows.slice(index * ROWS_AT_ONCE, (index + 1) * ROWS_AT_ONCE),
  );
}
