import type { PostedEntries, Problem } from '@yellow-cell/contract';
import { subjectsOf } from '@yellow-cell/contract/subjects';
import { useSyncExternalStore } from 'react';
import { ApiError, sendJson } from './api.ts';
import { refreshAfterEntry } from './queries.ts';
import { addParcel, allParcels, countFailure, markParcel, type Parcel, removeParcels } from './shelf.ts';

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
  /** Shown before the server's own, until the screens have read it again. */
  waiting: readonly Parcel[];
  /** Those of them that the server has not answered for. */
  unanswered: readonly Parcel[];
  setAside: readonly Parcel[];
}
let kept: Kept = { waiting: [], unanswered: [], setAside: [] };
const listeners = new Set<() => void>();
const refusals = new Map<string, Problem[]>();
/** Parcels whose maker still waits for the answer; all others are sent as made without a connection, and so are kept whatever they say. */
const awaited = new Set<string>();
/** Answered, and when: shown from here until the screens have read the server again. */
const answered = new Map<string, number>();
let sending: Promise<void> | undefined;
let tidying: Promise<unknown> = Promise.resolve();
/** True where something waits for another go. */
let away = false;
/** Until the next go. */
let wait_ms = RETRY_MS;

function show(parcels: readonly Parcel[]): void {
  const waiting = parcels.filter(({ refused }) => refused === undefined);
  tell({ waiting, setAside: parcels.filter(({ refused }) => refused !== undefined) });
}

function tell(next: Omit<Kept, 'unanswered'>): void {
  kept = { ...next, unanswered: next.waiting.filter(({ id }) => !answered.has(id)) };
  for (const listener of listeners) listener();
}

/** Sends a group of entries, all or none. */
export async function deliver(parcel: Parcel): Promise<Delivery> {
  await ready;
  await addParcel(parcel);
  awaited.add(parcel.id);
  if (takesBackAnswered(parcel)) {
    await tidying;
    show(await allParcels());
  } else show([...kept.waiting, parcel, ...kept.setAside]);
  await flush().finally(() => awaited.delete(parcel.id));
  await tidying;
  const problems = refusals.get(parcel.id);
  refusals.delete(parcel.id);
  if (problems) return { state: 'refused', problems };
  return (await allParcels()).some(({ id }) => id === parcel.id) ? { state: 'kept' } : { state: 'stored' };
}

/**
 * Whether it takes back, or corrects, what the server has answered for and the screens are just reading: shown before
 * they have, it would be undone from here, done from the server, and undone again.
 */
const takesBackAnswered = ({ entries }: Parcel): boolean =>
  entries.some(({ corrects }) =>
    kept.waiting.some((each) => answered.has(each.id) && each.entries.some(({ id }) => id === corrects)),
  );

/** Sends what waits, in order, one group at a time; stops at the first that nobody answers. */
export async function flush(): Promise<void> {
  if (sending) {
    await sending;
    // What came while it was ending is sent in another go; where nobody answers, the next try is soon enough.
    if (away || !(await next({ done: [], failed: new Set(), held: new Set(), inRow: 0 }))) return;
  }
  sending ??= alone(sendAll).finally(() => {
    sending = undefined;
    if (away) setTimeout(() => void flush(), wait_ms);
  });
  await sending;
}

/** One tab sends at a time, where the browser can see to that; sending twice would be harmless. */
const alone = (work: () => Promise<void>): Promise<void> =>
  globalThis.navigator?.locks ? navigator.locks.request('yc-outbox', work) : work();

/**
 * One go over all that waits, oldest first. What the server has looked at is stored or refused; any other answer means
 * later, and ends the go. Where the server fails at one entry, what is about the same boxes waits behind it, and the
 * rest goes on; an entry at which it failed three times while it took others is overtaken by all.
 */
async function sendAll(): Promise<void> {
  const go: Go = { done: [], failed: new Set(), held: new Set(), inRow: 0 };
  away = false;
  wait_ms = RETRY_MS;
  for (let parcel = await next(go); parcel && !away; parcel = await next(go)) await sendOne(parcel, go);
  if (go.failed.size > 0) {
    if (go.done.length > 0) await countFailure([...go.failed]);
    away = true;
    show(await allParcels());
  }
  tidying = Promise.all([tidying, tidy(go.done)]);
  if (go.done.length === 0) await tidying;
}

interface Go {
  done: string[];
  failed: Set<string>;
  /** What the entries are about that wait behind one at which the server failed. */
  held: Set<string>;
  /** Failures one after the other: the second says that it is not the entry. */
  inRow: number;
}

async function sendOne({ id, entries }: Parcel, go: Go): Promise<void> {
  const synced = !awaited.has(id);
  try {
    const answer = await sendJson<Partial<PostedEntries>>(
      'POST',
      '/events',
      synced ? { entries, synced } : { entries },
    );
    if (!Array.isArray(answer.stored)) throw new ApiError(0, undefined); // JSON, but of somebody else
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    if (!error.judged) {
      const fails = error.status >= 500 && error.status !== 503;
      if (fails && go.inRow === 0) {
        go.inRow += 1;
        go.failed.add(id);
        return;
      }
      if (fails) go.failed.clear();
      away = true;
      wait_ms = Math.max(RETRY_MS, error.retryAfter_ms);
      return;
    }
    const problems = error.details?.problems ?? [{ path: '', sentence: error.message }];
    if (synced) {
      await markParcel(id, problems.map(({ sentence }) => sentence).join(' '));
      go.inRow = 0;
      return;
    }
    refusals.set(id, problems);
  }
  go.inRow = 0;
  answered.set(id, Date.now());
  tell(kept);
  go.done.push(id);
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

/** What is kept on the device leads: another tab may have put its own in. What was overtaken comes last. */
async function next({ failed, held }: Go): Promise<Parcel | undefined> {
  const waiting = (await allParcels()).filter(
    ({ id, refused }) => refused === undefined && !answered.has(id),
  );
  const overtaken = waiting.filter(isOvertaken);
  held.clear();
  for (const parcel of [...waiting.filter((each) => !isOvertaken(each)), ...overtaken]) {
    const about = aboutOf(parcel);
    const waits = failed.has(parcel.id) || about.some((thing) => held.has(thing));
    if (!waits) return parcel;
    if (!isOvertaken(parcel)) for (const thing of about) held.add(thing);
  }
  return undefined;
}

const OVERTAKEN_AFTER = 3;
/** The server fails at it and not at others: they no longer wait for it. */
export const isOvertaken = ({ failures = 0 }: Parcel): boolean => failures >= OVERTAKEN_AFTER;

/** What holds entries in their order: the boxes and yards that they are about, themselves, and what they correct. */
const aboutOf = ({ entries }: Parcel): string[] =>
  entries.flatMap((entry) => [
    entry.id,
    ...(entry.corrects ? [entry.corrects] : []),
    ...subjectsOf(entry)
      .filter(({ kind }) => kind === 'box' || kind === 'yard' || kind === 'round')
      .map(({ id }) => id),
  ]);

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

/** Whether what was read from the server at an instant holds a group of entries already: it had answered before. */
export const isIn = ({ id }: Pick<Parcel, 'id'>, readAt: number): boolean =>
  (answered.get(id) ?? Number.POSITIVE_INFINITY) < readAt;

const useKept = <K extends keyof Kept>(which: K): Kept[K] =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => kept[which],
  );
/** Entries that are not among what was read from the server yet. */
export const useOutbox = (): readonly Parcel[] => useKept('waiting');
/** Entries that the server has not answered for yet. */
export const useUnanswered = (): readonly Parcel[] => useKept('unanswered');
/** Entries that the server did not take, with its reason. */
export const useSetAside = (): readonly Parcel[] => useKept('setAside');

const ready = allParcels().then((parcels) => {
  show(parcels);
  if (kept.waiting.length > 0) void flush();
});
