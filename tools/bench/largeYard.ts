import type { Entry, LogEvent } from '@yellow-cell/contract';
import { subjectsOf } from '@yellow-cell/contract/subjects';
import { BOXES_A_ROW, largeYard } from '@yellow-cell/demo/large';
import { appendEvents, asBreeder, HOME_BREEDER, openDatabase, rebuild } from '@yellow-cell/server';
import pg from 'pg';
import type { Stage } from '../stage.ts';

/** A yard as large as the largest breeder's, and what it took to make its read rows from the log. */
export interface LargeYard {
  yard: string;
  boxes: number;
  events: number;
  rebuild_s: number;
  rebuild_MB: number;
  bytesAnEvent: number;
}

const YEARS = 4;
const UNTIL = '2026-05-31T04:00:00Z';
const AT_ONCE = 2_000;

/**
 * Fills an empty place with three seasons and a spring of a yard in rows of forty boxes: givers serve their row, combs
 * and queens move, queens are kept in banks, entries are noted and put right. The log is written as it is stored; its
 * read rows are made by the program's own rebuild.
 */
export async function fillLargeYard(stage: Stage, rows: number): Promise<LargeYard> {
  const { yard, designs, weather, row } = largeYard(UNTIL, YEARS);
  await post(stage, '/yards', yard);
  for (const design of designs) await post(stage, '/designs', design);
  const database = openDatabase(stage.cluster.url, () => undefined);
  let events = 0;
  const append = async (entries: readonly Entry[]) => {
    for (let at = 0; at < entries.length; at += AT_ONCE)
      await asBreeder(database, HOME_BREEDER, (store) =>
        appendEvents(store, entries.slice(at, at + AT_ONCE).map(asStored)),
      );
    events += entries.length;
  };
  await append(weather);
  for (let number = 0; number < rows; number++) await append(row(number));
  await administer(stage, 'vacuum analyze', 'checkpoint');
  const started = performance.now();
  let rebuild_MB = 0;
  await asBreeder(database, HOME_BREEDER, (store) =>
    rebuild(store, HOME_BREEDER, () => {
      rebuild_MB = Math.max(rebuild_MB, process.memoryUsage().rss / 1e6);
    }),
  );
  const rebuild_s = (performance.now() - started) / 1_000;
  await database.destroy();
  // Else the database tidies up after the filling while it is measured.
  await administer(stage, 'vacuum analyze', 'checkpoint');
  const [size] = await administer(stage, 'select pg_database_size(current_database())::float8 as bytes');
  return {
    yard: yard.id,
    boxes: rows * BOXES_A_ROW,
    events,
    rebuild_s,
    rebuild_MB,
    bytesAnEvent: Number(size?.bytes) / events,
  };
}

const asStored = (entry: Entry): LogEvent =>
  ({
    ...entry,
    breeder: HOME_BREEDER,
    recordedAt: entry.occurredAt,
    subjects: subjectsOf(entry),
  }) as LogEvent;

async function post(stage: Stage, path: string, body: object): Promise<void> {
  const answer = await fetch(`${stage.url}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${await answer.text()}`);
}

/** Statements as the administrator of the database; the rows of the last. */
export async function administer(
  { cluster }: Pick<Stage, 'cluster'>,
  ...statements: string[]
): Promise<Record<string, unknown>[]> {
  const admin = new pg.Client({ connectionString: cluster.adminUrl.replace(/[^/]+$/, 'yellow_cell') });
  await admin.connect();
  try {
    let rows: Record<string, unknown>[] = [];
    for (const statement of statements) ({ rows } = await admin.query(statement));
    return rows;
  } finally {
    await admin.end();
  }
}
