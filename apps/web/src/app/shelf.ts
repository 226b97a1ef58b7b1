import type { Entry } from '@yellow-cell/contract';
import { createStore, get, set, type UseStore, update } from 'idb-keyval';

/** What this device keeps in its own database (IndexedDB) through a reload, and without a network. */

/** A group of entries on its way to the server. */
export interface Parcel {
  id: string;
  title: string;
  entries: Entry[];
  /** Why the server did not take it, where its maker was no longer there to be told. */
  refused?: string;
  /** Times that the server failed at it while it took others. */
  failures?: number;
}

const PARCELS = 'parcels';
let opened: UseStore | undefined;
/** Opened when it is first wanted: a browser that refuses its database does so here. */
const shelf = (): UseStore => {
  opened ??= createStore('yellow-cell', 'kept');
  return opened;
};

/** What a browser without a database keeps for this visit. */
let remembered: Parcel[] = [];
let refused = false;
async function onShelf<T>(work: () => Promise<T>, instead: () => T): Promise<T> {
  if (refused) return instead();
  try {
    return await work();
  } catch {
    refused = true;
    return instead();
  }
}

/** In the order in which they were made. */
export const allParcels = (): Promise<Parcel[]> =>
  onShelf(
    async () => (await get<Parcel[]>(PARCELS, shelf())) ?? [],
    () => remembered,
  );

/** One transaction from reading to writing: another tab's parcels are not lost. */
const changeParcels = (change: (now: readonly Parcel[]) => Parcel[]): Promise<void> =>
  onShelf(
    () => update<Parcel[]>(PARCELS, (now = []) => change(now), shelf()),
    () => {
      remembered = change(remembered);
    },
  );

export const addParcel = (parcel: Parcel): Promise<void> => changeParcels((now) => [...now, parcel]);

export const removeParcels = (ids: readonly string[]): Promise<void> =>
  changeParcels((now) => now.filter(({ id }) => !ids.includes(id)));

/** Set aside with the server's reason, or with none sent once more. */
export const markParcel = (id: string, refused: string | undefined): Promise<void> =>
  changeParcels((now) =>
    now.map((each) => {
      if (each.id !== id) return each;
      const { refused: _, failures: __, ...plain } = each;
      return refused === undefined ? plain : { ...plain, refused };
    }),
  );

/** The server failed once more at these, and not at others. */
export const countFailure = (ids: readonly string[]): Promise<void> =>
  changeParcels((now) =>
    now.map((each) => (ids.includes(each.id) ? { ...each, failures: (each.failures ?? 0) + 1 } : each)),
  );

export const readSnapshot = <T>(key: string): Promise<T | undefined> =>
  onShelf<T | undefined>(
    () => get<T>(key, shelf()),
    () => undefined,
  );

export const keepSnapshot = (key: string, value: unknown): Promise<void> =>
  onShelf(
    () => set(key, value, shelf()),
    () => undefined,
  );
