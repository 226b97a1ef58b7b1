import type { Measure, Reading, ReadingFlag } from '@yellow-cell/contract';
import { currentBreeder, type Store } from './database.ts';

/** Readings since an instant, oldest first; of all boxes, or the weights of one. */
export async function readingsSince(store: Store, since: string, scale?: string): Promise<Reading[]> {
  let query = store
    .selectFrom('sensor_reading')
    .select(['box', 'measure', 'at', 'value', 'raw', 'flag'])
    .where('at', '>=', since)
    .orderBy('at');
  if (scale !== undefined) query = query.where('box', '=', scale).where('measure', '=', 'weight_kg');
  return (await query.execute()).map(({ measure, flag, at, ...row }) => ({
    ...row,
    at: new Date(at).toISOString(),
    measure: measure as Measure,
    flag: flag as ReadingFlag | null,
  }));
}

export async function newestReading(store: Store): Promise<string | undefined> {
  const row = await store
    .selectFrom('sensor_reading')
    .select('at')
    .orderBy('at', 'desc')
    .limit(1)
    .executeTakeFirst();
  return row && new Date(row.at).toISOString();
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
