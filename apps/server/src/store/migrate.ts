import { type Migration, Migrator } from 'kysely';
import type { Database } from './database.ts';
import * as ground from './migrations/001-ground.ts';
import * as sensors from './migrations/002-sensors.ts';
import * as standing from './migrations/003-standing.ts';
import * as safeGround from './migrations/004-safe-ground.ts';
import * as rounds from './migrations/005-rounds.ts';
import * as due from './migrations/006-due.ts';
import * as beside from './migrations/007-beside.ts';
import * as words from './migrations/008-words.ts';
import * as longWords from './migrations/009-long-words.ts';
import * as reckonWait from './migrations/010-reckon-wait.ts';
import * as workshop from './migrations/011-workshop.ts';

/** Forward only, in this order; a landed migration is never edited. */
const migrations: Record<string, Migration> = {
  '001-ground': ground,
  '002-sensors': sensors,
  '003-standing': standing,
  '004-safe-ground': safeGround,
  '005-rounds': rounds,
  '006-due': due,
  '007-beside': beside,
  '008-words': words,
  '009-long-words': longWords,
  '010-reckon-wait': reckonWait,
  '011-workshop': workshop,
};

export const latestMigration = Object.keys(migrations).at(-1) ?? '';

export async function migrate(database: Database): Promise<void> {
  const migrator = new Migrator({ db: database, provider: { getMigrations: async () => migrations } });
  const { error, results = [] } = await migrator.migrateToLatest();
  if (!error) return;
  const failed = results.find(({ status }) => status === 'Error')?.migrationName ?? 'the first';
  throw new Error(
    `The database could not be brought to level ${latestMigration}: migration ${failed} failed. ${(error as Error).message ?? error}`,
  );
}

/** The name of the last migration that this database has had, or null where it had none. */
export async function migrationLevel(database: Database): Promise<string | null> {
  const migrator = new Migrator({ db: database, provider: { getMigrations: async () => migrations } });
  const done = (await migrator.getMigrations()).filter(({ executedAt }) => executedAt);
  return done.at(-1)?.name ?? null;
}
