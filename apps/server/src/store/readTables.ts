import type { Store } from './database.ts';
import type { ReadRows, RoundInsert, WeatherInsert } from './tables.ts';

/** Rows in one statement stay far below PostgreSQL's 65,535 parameters. */
const ROWS_AT_ONCE = 2_000;

/** Rows of these stand for one box each, or for what lives in it. */
const STATE_TABLES = ['box_state', 'compartment_state', 'attempt_state', 'queen_state', 'due_state'] as const;
const BOX_TABLES = [...STATE_TABLES, 'event_to_settle'] as const;

/** Replaces all that the read tables say of these boxes. */
export async function replaceBoxRows(store: Store, boxes: readonly string[], rows: ReadRows): Promise<void> {
  for (const table of BOX_TABLES)
    for (const some of chunks(boxes)) await store.deleteFrom(table).where('box_id', 'in', some).execute();
  for (const some of chunks(rows.boxes)) await store.insertInto('box_state').values(some).execute();
  for (const some of chunks(rows.compartments))
    await store.insertInto('compartment_state').values(some).execute();
  for (const some of chunks(rows.attempts)) await store.insertInto('attempt_state').values(some).execute();
  for (const some of chunks(rows.queens)) await store.insertInto('queen_state').values(some).execute();
  for (const some of chunks(rows.due)) await store.insertInto('due_state').values(some).execute();
  for (const some of chunks(rows.toSettle)) await store.insertInto('event_to_settle').values(some).execute();
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

/** What is left to settle of these boxes, as it stands. */
export async function toSettleOf(store: Store, boxes: readonly string[]): Promise<ReadRows['toSettle']> {
  if (boxes.length === 0) return [];
  return store.selectFrom('event_to_settle').selectAll().where('box_id', 'in', boxes).execute();
}

/** Empties every read table of this breeder, before they are rebuilt from the log. */
export async function clearReadTables(store: Store): Promise<void> {
  for (const table of [...BOX_TABLES, 'round_state', 'weather_day'] as const) {
    await store.deleteFrom(table).execute();
  }
}

function chunks<T>(rows: readonly T[]): T[][] {
  const count = Math.ceil(rows.length / ROWS_AT_ONCE);
  return Array.from({ length: count }, (_, index) =>
    rows.slice(index * ROWS_AT_ONCE, (index + 1) * ROWS_AT_ONCE),
  );
}
