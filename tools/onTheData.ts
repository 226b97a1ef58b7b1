import { resolve } from 'node:path';
import { type Context, type Database, openDatabase, prepare, realClock } from '@yellow-cell/server';
import { startOptions } from './options.ts';
import { runningUrl, startCluster } from './postgres/cluster.ts';

/** A command's work on the database that the start command uses; `alongside` the program, where it runs, or alone. */
export async function withDatabase(
  args: readonly string[],
  work: (database: Database, empty: boolean) => Promise<void>,
  { alongside = false } = {},
): Promise<void> {
  const { dataDir, empty } = startOptions(args);
  const running = process.env.DATABASE_URL ?? (alongside ? runningUrl(dataDir) : undefined);
  const cluster = running ? undefined : await startCluster(dataDir);
  const database = openDatabase(running ?? cluster?.url ?? '', (error) => console.error(error.message));
  try {
    await work(database, empty);
  } finally {
    await database.destroy();
    cluster?.close();
  }
}

/** The same as the breeder whose data it is. */
export const onTheData = (
  args: readonly string[],
  work: (context: Context) => Promise<void>,
  options: { alongside?: boolean } = {},
): Promise<void> =>
  withDatabase(
    args,
    async (database, empty) => work(await prepare(database, realClock(process.env.YC_TODAY), empty)),
    options,
  );

/** A file named on the command line, from where the command was given. */
export const fileFrom = (typed: string): string => resolve(process.env.INIT_CWD ?? process.cwd(), typed);
