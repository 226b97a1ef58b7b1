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
  'event_to_settle',
  'round_state',
  'weather_day',
] as const;

/** What is reckoned from weather and figures, beside what is told of the boxes themselves. */
const RECKONED_TABLES = ['compartment_state', 'attempt_state', 'due_state'] as const;

/** Replaces all that the read tables say of these boxes. */
export async function replaceBoxRows(store: Store, boxes: readonly string[], rows: ReadRows): Promise<void> {
  await replaceToSettle(store, boxes, rows.toSettle);
  await replaceIn(store, BOX_TABLES, boxes, byTable(rows));
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

export type ReckonedRows = Pick<ReadRows, 'compartments' | 'attempts' | 'due'>;

/** Replaces what is due in these boxes, and nothing that is told of them. */
export const replaceReckonedRows = (
  store: Store,
  boxes: readonly string[],
  rows: ReckonedRows,
): Promise<void> =>
  replaceIn(store, RECKONED_TABLES, boxes, {
    compartment_state: rows.compartments,
    attempt_state: rows.attempts,
    due_state: rows.due,
  });

/** One statement to clear and one to fill, whatever the tables. */
async function replaceIn<Table extends string>(
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
    await sql`with ${sql.join(fill)} select 1`.execute(store);
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
): Promise<void> {
  for (const some of chunks(yards))
    await store.deleteFrom('weather_day').where('yard_id', 'in', some).execute();
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
