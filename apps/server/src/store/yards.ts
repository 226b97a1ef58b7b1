import type { Yard, YardFields } from '@yellow-cell/contract';
import { sql } from 'kysely';
import { currentBreeder, type Store } from './database.ts';

export async function listYards(store: Store): Promise<Yard[]> {
  return store
    .selectFrom('yard')
    .select([
      'id',
      'name',
      'latitude_deg',
      'longitude_deg',
      'zone',
      'version',
      sql<number>`(select count(*)::int from box_state box
        where box.breeder_id = yard.breeder_id and box.yard_id = yard.id)`.as('boxes'),
      sql<number>`(select count(*)::int from box_state box join compartment_state using (breeder_id, box_id)
        where box.breeder_id = yard.breeder_id and box.yard_id = yard.id)`.as('compartments'),
    ])
    .orderBy('name')
    .execute();
}

export async function findYard(
  store: Store,
  id: string,
): Promise<(YardFields & { id: string; version: number }) | undefined> {
  return store
    .selectFrom('yard')
    .select(['id', 'name', 'latitude_deg', 'longitude_deg', 'zone', 'version'])
    .where('id', '=', id)
    .executeTakeFirst();
}

export async function yardIds(store: Store): Promise<Set<string>> {
  return new Set((await store.selectFrom('yard').select('id').execute()).map(({ id }) => id));
}

export async function addYard(store: Store, id: string, fields: YardFields): Promise<void> {
  await store
    .insertInto('yard')
    .values({ breeder_id: currentBreeder, id, ...fields, version: 1 })
    .onConflict((conflict) => conflict.doNothing())
    .execute();
}

/** False where the version is no longer the one given. */
export async function replaceYard(
  store: Store,
  id: string,
  version: number,
  fields: YardFields,
): Promise<boolean> {
  const { numUpdatedRows } = await store
    .updateTable('yard')
    .set({ ...fields, version: version + 1 })
    .where('id', '=', id)
    .where('version', '=', version)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}
