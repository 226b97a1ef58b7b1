import { markFolded } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import { lockLog, subjectsOfKind } from '../store/events.ts';
import { clearReadTables } from '../store/readTables.ts';
import { refresh } from './refresh.ts';

/** Raised whenever the same log would give other read rows: where theirs is another, they are made anew at the start. */
export const FOLD_VERSION = 10;

/** Recomputes every read table of the breeder from the log. Must give the rows that stood there. */
export async function rebuild(store: Store, breeder: string): Promise<{ boxes: number }> {
  await lockLog(store);
  const boxes = new Set(await subjectsOfKind(store, 'box'));
  const rounds = new Set(await subjectsOfKind(store, 'round'));
  const yards = await subjectsOfKind(store, 'yard');
  await clearReadTables(store);
  await refresh(store, breeder, { boxes, rounds, yards: new Set(yards), seasons: new Set(yards) });
  await markFolded(store, FOLD_VERSION);
  return { boxes: boxes.size };
}
