import type { Entry, PostedEntries, Problem } from '@yellow-cell/contract';
import { useSyncExternalStore } from 'react';
import { ApiError, sendJson } from './api.ts';
import { keep, readKept } from './kept.ts';
import { refreshAfterEntry } from './queries.ts';

/**
 * Entries on their way to the server. Each group is kept on this device until the server has answered, so
 * that neither a lost connection nor a reload loses one; its ids make sending twice harmless. A global store,
 * since an entry outlives the screen on which it was made.
 */
export interface Parcel {
  id: string;
  title: string;
  entries: Entry[];
}

export type Delivery = { state: 'stored' } | { state: 'kept' } | { state: 'refused'; problems: Problem[] };

const KEY = 'yc-outbox';
const RETRY_MS = 2_000;
let parcels: readonly Parcel[] = readKept<Parcel[]>(KEY) ?? [];
let sending: Promise<void> | undefined;
const listeners = new Set<() => void>();
const refusals = new Map<string, Problem[]>();

/** What is kept on the device leads: another tab may have put its own in. Without storage, what this tab remembers. */
function update(change: (now: readonly Parcel[]) => readonly Parcel[]): void {
  parcels = change(readKept<Parcel[]>(KEY) ?? parcels);
  keep(KEY, parcels);
  for (const listener of listeners) listener();
}

/** Sends a group of entries, all or none. */
export async function deliver(parcel: Parcel): Promise<Delivery> {
  update((now) => [...now, parcel]);
  await flush();
  const problems = refusals.get(parcel.id);
  refusals.delete(parcel.id);
  if (problems) return { state: 'refused', problems };
  return parcels.some(({ id }) => id === parcel.id) ? { state: 'kept' } : { state: 'stored' };
}

/** Sends what waits, in order, one group at a time; stops at the first that nobody answers. */
export function flush(): Promise<void> {
  sending ??= sendAll().finally(() => {
    sending = undefined;
    if (parcels.length > 0) setTimeout(() => void flush(), RETRY_MS);
  });
  return sending;
}

async function sendAll(): Promise<void> {
  for (let parcel = parcels[0]; parcel; parcel = parcels[0]) {
    const { id, entries } = parcel;
    try {
      await sendJson<PostedEntries>('POST', '/events', { entries });
      await refreshAfterEntry();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.passing) return;
      refusals.set(id, error.details?.problems ?? [{ path: '', sentence: error.message }]);
    }
    update((now) => now.filter((each) => each.id !== id));
  }
}

/** Entries that the server has not answered for yet. */
export function useOutbox(): readonly Parcel[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => parcels,
  );
}

if (parcels.length > 0) void flush();
