import type { Store } from './database.ts';
import type { ReadRows, RoundInsert, WeatherInsert } from './tables.ts';

/** Rows in one statement stay far below PostgreSQL's 65,535 parameters. */
const ROWS_AT_ONCE = 2_000;

/** Replaces all that the read tables say of these boxes. */
export async function replaceBoxRows(store: Store, boxes: readonly string[], rows: ReadRows): Promise<void> {
  for (const table of ['box_state', 'compartment_state', 'attempt_state', 'event_to_settle'] as const) {
    for (const some of chunks(boxes)) await store.deleteFrom(table).where('box_id', 'in', some).execute();
  }
  for (const some of chunks(rows.boxes)) await store.insertInto('box_state').values(some).execute();
  for (const some of chunks(rows.compartments))
    await store.insertInto('compartment_state').values(some).execute();
  for (const some of chunks(rows.attempts)) await store.insertInto('attempt_state').values(some).execute();
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

/** Boxes of a yard with an attempt begun between two days, on which weather from then on may bear. */
export async function boxesWaitingIn(
  store: Store,
  yard: string,
  from: string,
  to: string,
): Promise<string[]> {
  const rows = await store
    .selectFrom('attempt_state as attempt')
    .innerJoin('box_state as box', (join) =>
      join.onRef('box.breeder_id', '=', 'attempt.breeder_id').onRef('box.box_id', '=', 'attempt.box_id'),
    )
    .select('attempt.box_id')
    .distinct()
    .where('box.yard_id', '=', yard)
    .where('attempt.given_on', '>=', from)
    .where('attempt.given_on', '<=', to)
    .execute();
  return rows.map(({ box_id }) => box_id);
}

/** Empties every read table of this breeder, before they are rebuilt from the log. */
export async function clearReadTables(store: Store): Promise<void> {
  for (const table of [
    'box_state',
    'compartment_state',
    'attempt_state',
    'event_to_settle',
    'round_state',
    'weather_day',
  ] as const) {
    await store.deleteFrom(table).execute();
  }
}

function chunks<T>(rows: readonly T[]): T[][] {
  const count = Math.ceil(rows.length / ROWS_AT_ONCE);
  return Array.from({ length: count }, (_, index) =>
    rows.slice(index * ROWS_AT_ONCE, (index + 1) * ROWS_AT_ONCE),
  );
}
