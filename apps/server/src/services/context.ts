import { asBreeder, type Database, readAsBreeder, type Store } from '../store/database.ts';
import type { Clock } from './clock.ts';

/** What every service works with: the database as one breeder sees it, and that breeder's clock. */
export interface Context {
  breeder: string;
  clock: Clock;
  within<T>(work: (store: Store) => Promise<T>): Promise<T>;
  /** For what changes the log or refreshes read rows: one at a time, and whoever waits holds no connection. */
  writing<T>(work: (store: Store) => Promise<T>): Promise<T>;
  /** For what only reads, and is waited for by a screen. */
  reading<T>(work: (store: Store) => Promise<T>): Promise<T>;
  /** For what reads much, all of it as of one moment. */
  snapshot<T>(work: (store: Store) => Promise<T>): Promise<T>;
}

export function contextOf(database: Database, breeder: string, clock: Clock): Context {
  // In this process they queue here; another process on the same database waits for the lock.
  let last: Promise<unknown> = Promise.resolve();
  return {
    breeder,
    clock,
    within: (work) => asBreeder(database, breeder, work),
    writing: (work) => {
      const turn = last.then(() => asBreeder(database, breeder, work, 'log'));
      last = turn.catch(() => undefined);
      return turn;
    },
    reading: (work) => readAsBreeder(database, breeder, work),
    snapshot: (work) => asBreeder(database, breeder, work, 'repeatable read'),
  };
}
