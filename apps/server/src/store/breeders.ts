import type { SettingFields } from '@yellow-cell/contract';
import { knownFigures, measuresRaised } from '@yellow-cell/core';
import type { Store } from './database.ts';

export interface BreederRow {
  breeder_id: string;
  name: string;
  demo_anchor: string | null;
  demo_loaded_at: string | null;
  loaded: boolean;
  settings: SettingFields;
  settings_version: number;
  fold_version: number;
}

export async function findBreeder(store: Store): Promise<BreederRow | undefined> {
  const row = await store.selectFrom('breeder').selectAll().executeTakeFirst();
  return row && { ...row, settings: raised(row.settings as SettingFields) };
}

/** Settings as they were kept before, as this program has them. */
const raised = (stored: SettingFields): SettingFields => ({
  ...measuresRaised(stored),
  constants: Object.fromEntries(
    Object.entries(stored.constants).map(([yard, own]) => [yard, knownFigures(own)]),
  ),
});

export async function addBreeder(store: Store, breeder: BreederRow): Promise<void> {
  await store
    .insertInto('breeder')
    .values({ ...breeder, settings: JSON.stringify(breeder.settings) })
    .onConflict((conflict) => conflict.doNothing())
    .execute();
}

export async function markFolded(store: Store, fold_version: number): Promise<void> {
  await store.updateTable('breeder').set({ fold_version }).execute();
}

export async function markLoaded(store: Store): Promise<void> {
  await store.updateTable('breeder').set({ loaded: true }).execute();
}

/** Where the demo's clock stands, and since when it runs on from there. */
export async function moveAnchor(store: Store, demo_anchor: string, demo_loaded_at: string): Promise<void> {
  await store.updateTable('breeder').set({ demo_anchor, demo_loaded_at }).execute();
}

/** False where the version is no longer the one given: somebody else wrote in between. */
export async function replaceSettings(
  store: Store,
  settings: SettingFields,
  version: number,
): Promise<boolean> {
  const { numUpdatedRows } = await store
    .updateTable('breeder')
    .set({ settings: JSON.stringify(settings), settings_version: version + 1 })
    .where('settings_version', '=', version)
    .executeTakeFirst();
  return numUpdatedRows > 0n;
}
