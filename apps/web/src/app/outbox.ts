import type { PostedEntries, Problem } from '@yellow-cell/contract';
import { useSyncExternalStore } from 'react';
import { ApiError, sendJson } from './api.ts';
import { refreshAfterEntry } from './queries.ts';
import { addParcel, allParcels, markParcel, type Parcel, removeParcels } from './shelf.ts';

/**
 * Entries on their way to the server. Each group is kept on this device until the server has answered, so
 * that neither a lost connection nor a reload loses one; its ids make sending twice harmless. What it refuses
 * later, when nobody waits for the answer, is set aside until a person has seen why. A global store, since an
 * entry outlives the screen on which it was made.
 */
export type Delivery = { state: 'stored' } | { state: 'kept' } | { state: 'refused'; problems: Problem[] };

const RETRY_MS = 2_000;
const REFRESH_MS = 4_000;
interface Kept {
  waiting: readonly Parcel[];
  setAside: readonly Parcel[];
}
let kept: Kept = { waiting: [], setAside: [] };
const listeners = new Set<() => void>();
const refusals = new Map<string, Problem[]>();
/** Parcels whose maker still waits for the answer; all others are sent as made without a connection, and so are kept whatever they say. */
const awaited = new Set<string>();
/** Answered, and shown from here until the screens have read the server again. */
const answered = new Set<string>();
let sending: Promise<void> | undefined;
let tidying: Promise<unknown> = Promise.resolve();
/** True where nobody answered the last time. */
let away = false;

function show(parcels: readonly Parcel[]): void {
  kept = {
    waiting: parcels.filter(({ refused }) => refused === undefined),
    setAside: parcels.filter(({ refused }) => refused !== undefined),
  };
  for (const listener of listeners) listener();
}

/** Sends a group of entries, all or none. */
export async function deliver(parcel: Parcel): Promise<Delivery> {
  await ready;
  await addParcel(parcel);
  show([...kept.waiting, parcel, ...kept.setAside]);
  awaited.add(parcel.id);
  await flush().finally(() => awaited.delete(parcel.id));
  await tidying;
  const problems = refusals.get(parcel.id);
  refusals.delete(parcel.id);
  if (problems) return { state: 'refused', problems };
  return (await allParcels()).some(({ id }) => id === parcel.id) ? { state: 'kept' } : { state: 'stored' };
}

/** Sends what waits, in order, one group at a time; stops at the first that nobody answers. */
export async function flush(): Promise<void> {
  if (sending) {
    await sending;
    // What came while it was ending is sent in another go; where nobody answers, the next try is soon enough.
    if (away || !(await next())) return;
  }
  sending ??= alone(sendAll).finally(() => {
    sending = undefined;
    if (away) setTimeout(() => void flush(), RETRY_MS);
  });
  await sending;
}

/** One tab sends at a time, where the browser can see to that; sending twice would be harmless. */
const alone = (work: () => Promise<void>): Promise<void> =>
  globalThis.navigator?.locks ? navigator.locks.request('yc-outbox', work) : work();

async function sendAll(): Promise<void> {
  const done: string[] = [];
  away = false;
  for (let parcel = await next(); parcel && !away; parcel = await next()) {
    const { id, entries } = parcel;
    const synced = !awaited.has(id);
    try {
      await sendJson<PostedEntries>('POST', '/events', synced ? { entries, synced } : { entries });
    } catch (error) {
      away = !(error instanceof ApiError) || error.passing;
      if (!(error instanceof ApiError)) throw error;
      if (away) break;
      const problems = error.details?.problems ?? [{ path: '', sentence: error.message }];
      if (synced) {
        await markParcel(id, problems.map(({ sentence }) => sentence).join(' '));
        continue;
      }
      refusals.set(id, problems);
    }
    answered.add(id);
    done.push(id);
  }
  tidying = Promise.all([tidying, tidy(done)]);
  if (done.length === 0) await tidying;
}

/** What is answered is kept until the screens have read it from the server; meanwhile more can be sent. */
async function tidy(done: readonly string[]): Promise<void> {
  if (done.length > 0) {
    await Promise.race([refreshAfterEntry(), new Promise((over) => setTimeout(over, REFRESH_MS))]);
    await removeParcels(done);
    for (const id of done) answered.delete(id);
  }
  show(await allParcels());
}

/** What is kept on the device leads: another tab may have put its own in. */
const next = async (): Promise<Parcel | undefined> =>
  (await allParcels()).find(({ id, refused }) => refused === undefined && !answered.has(id));

/** Once more to the server, after all that waits. */
export async function sendAgain(id: string): Promise<void> {
  await markParcel(id, undefined);
  await flush();
  await tidying;
}

export async function letGo(id: string): Promise<void> {
  await removeParcels([id]);
  show(await allParcels());
}

const useKept = (): Kept =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => kept,
  );
/** Entries that the server has not answered for yet. */
export const useOutbox = (): readonly Parcel[] => useKept().waiting;
/** Entries that the server did not take, with its reason. */
export const useSetAside = (): readonly Parcel[] => useKept().setAside;

const ready = allParcels().then((parcels) => {
  show(parcels);
  if (kept.waiting.length > 0) void flush();
});
