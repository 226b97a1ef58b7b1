import { Kysely, PostgresDialect, sql, type Transaction } from 'kysely';
import pg from 'pg';
import type { Tables } from './tables.ts';

export type Database = Kysely<Tables>;
export type Store = Transaction<Tables>;

/** The role under which every query of the application runs: neither owner nor superuser, so row security holds. */
export const APP_ROLE = 'yellow_cell_app';

/** Reads the rows of all breeders, and nothing else: for `pg_dump`. */
export const DUMP_ROLE = 'yellow_cell_dump';

/** Days stay text, and instants become ISO text, whatever the machine's own zone. */
const types: pg.CustomTypesConfig = {
  getTypeParser: ((oid: number, format?: 'text' | 'binary') => {
    if (oid === pg.types.builtins.DATE) return (text: string) => text;
    if (oid === pg.types.builtins.TIMESTAMPTZ) return (text: string) => new Date(text).toISOString();
    return pg.types.getTypeParser(oid, format as 'text');
  }) as pg.CustomTypesConfig['getTypeParser'],
};

export function openDatabase(url: string, onIdleError: (error: Error) => void): Database {
  const pool = new pg.Pool({ connectionString: url, max: 10, connectionTimeoutMillis: 3_000, types });
  // A database that goes away must not take this process with it: neither by a connection at rest, nor by one in use.
  pool.on('error', onIdleError);
  pool.on('connect', (client) => client.on('error', onIdleError));
  return new Kysely<Tables>({ dialect: new PostgresDialect({ pool }) });
}

/** How a transaction begins: `log` is for one writer at a time, whose fold must not change under it. */
type Begins = 'read committed' | 'repeatable read' | 'log';

/** One transaction in which only this breeder's rows exist. Everything the application reads or writes goes through here. */
export function asBreeder<T>(
  database: Database,
  breeder: string,
  work: (store: Store) => Promise<T>,
  begins: Begins = 'read committed',
): Promise<T> {
  return database.connection().execute(async (connection) => {
    try {
      const isolation = begins === 'log' ? 'read committed' : begins;
      const lock = begins === 'log' ? `; ${LOCK_LOG}` : '';
      await begin(connection, `begin isolation level ${isolation}`, breeder, lock);
      const done = await work(connection as unknown as Store);
      await sql`commit`.execute(connection);
      return done;
    } catch (error) {
      await sql`rollback`.execute(connection).catch(() => undefined);
      throw error;
    }
  });
}

/**
 * The same for reading alone: nobody waits for its end, which the connection sees to before it does anything else.
 */
export function readAsBreeder<T>(
  database: Database,
  breeder: string,
  work: (store: Store) => Promise<T>,
): Promise<T> {
  return database.connection().execute(async (connection) => {
    await begin(connection, 'begin read only', breeder);
    try {
      return await work(connection as unknown as Store);
    } finally {
      sql`rollback`.execute(connection).catch(() => undefined);
    }
  });
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** The transaction, its role and its breeder in one round trip. */
async function begin(connection: Database, how: string, breeder: string, then = ''): Promise<void> {
  if (!UUID.test(breeder)) throw new Error('A breeder is named by a UUID.');
  await sql
    .raw(`${how}; set local role ${APP_ROLE}; set local app.breeder = '${breeder}'${then}`)
    .execute(connection);
}

/** One writer at a time for each breeder: what a fold read must not change before its rows are written. */
const LOCK_LOG = "select pg_advisory_xact_lock(hashtextextended(current_setting('app.breeder'), 0))";
export const lockLog = (store: Store): Promise<unknown> => sql.raw(LOCK_LOG).execute(store);

/** The breeder of this transaction, as the row policies see it. */
export const currentBreeder = sql<string>`current_setting('app.breeder')::uuid`;

/** True for errors that say the database is not there, as against ones it answered with. */
export function isDatabaseGone(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code } = error as { code?: string };
  if (code && (GONE_CODES.includes(code) || GONE_CLASSES.some((start) => code.startsWith(start))))
    return true;
  return error instanceof AggregateError
    ? error.errors.some(isDatabaseGone)
    : GONE_MESSAGE.test(error.message);
}
const GONE_CODES = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOTFOUND', 'ETIMEDOUT', '53300'];
/** Connections that broke, and a database that shuts down, recovers, or has no room on its disk. */
const GONE_CLASSES = ['08', '57P', '53100', '58'];
/** pg gives these no code. */
const GONE_MESSAGE =
  /connection terminated|connection error and is not queryable|timeout exceeded when trying to connect|client was closed/i;
