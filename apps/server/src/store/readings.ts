import type { Measure, Reading, ReadingFlag } from '@yellow-cell/contract';
import { currentBreeder, type Store } from './database.ts';

/** Readings since an instant, oldest first. */
export async function readingsSince(store: Store, since: string): Promise<Reading[]> {
  const rows = await store
    .selectFrom('sensor_reading')
    .select(['box', 'measure', 'at', 'value', 'raw', 'flag'])
    .where('at', '>=', since)
    .orderBy('at')
    .execute();
  return rows.map(({ measure, flag, at, ...row }) => ({
    ...row,
    at: new Date(at).toISOString(),
    measure: measure as Measure,
    flag: flag as ReadingFlag | null,
  }));
}

export async function addReadings(store: Store, readings: readonly Reading[]): Promise<void> {
  if (readings.length === 0) return;
  await store
    .insertInto('sensor_reading')
    .values(readings.map((reading) => ({ breeder_id: currentBreeder, ...reading })))
    .onConflict((conflict) => conflict.doNothing())
    .execute();
}

/** Old readings go: they would only fill the disk. */
export async function dropReadingsBefore(store: Store, instant: string): Promise<void> {
  await store.deleteFrom('sensor_reading').where('at', '<', instant).execute();
}
