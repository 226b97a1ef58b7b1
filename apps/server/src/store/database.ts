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

/** One transaction in which only this breeder's rows exist. Everything the application reads or writes goes through here. */
export function asBreeder<T>(
  database: Database,
  breeder: string,
  work: (store: Store) => Promise<T>,
  isolation: 'read committed' | 'repeatable read' = 'read committed',
): Promise<T> {
  return database
    .transaction()
    .setIsolationLevel(isolation)
    .execute(async (store) => {
      await sql`select set_config('role', ${APP_ROLE}, true), set_config('app.breeder', ${breeder}, true)`.execute(
        store,
      );
      return work(store);
    });
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/**
 * The same for reading alone, with as few round trips as can be: the transaction begins in one with its role and
 * breeder, and nobody waits for its end, which the connection sees to before it does anything else.
 */
export function readAsBreeder<T>(
  database: Database,
  breeder: string,
  work: (store: Store) => Promise<T>,
): Promise<T> {
  if (!UUID.test(breeder)) throw new Error('A breeder is named by a UUID.');
  return database.connection().execute(async (connection) => {
    const begin = `begin read only; set local role ${APP_ROLE}; set local app.breeder = '${breeder}'`;
    await sql.raw(begin).execute(connection);
    try {
      return await work(connection as unknown as Store);
    } finally {
      sql`rollback`.execute(connection).catch(() => undefined);
    }
  });
}

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
