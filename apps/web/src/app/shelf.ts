import type { Entry } from '@yellow-cell/contract';
import Dexie, { type EntityTable } from 'dexie';

/** What this device keeps in its own database through a reload, and without a network. */

/** A group of entries on its way to the server. */
export interface Parcel {
  id: string;
  title: string;
  entries: Entry[];
  /** True once nobody answered: it is sent as made without a connection, so that it is kept whatever it says. */
  late?: boolean;
}
interface KeptParcel extends Parcel {
  order: number;
}
interface Snapshot {
  key: string;
  value: unknown;
}

class Shelf extends Dexie {
  declare parcels: EntityTable<KeptParcel, 'order'>;
  declare snapshots: EntityTable<Snapshot, 'key'>;
  constructor() {
    super('yellow-cell');
    this.version(1).stores({ parcels: '++order, &id', snapshots: 'key' });
  }
}
const shelf = new Shelf();

/** What a browser that refuses its database keeps for this visit. */
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

export const allParcels = (): Promise<Parcel[]> =>
  onShelf<Parcel[]>(
    () => shelf.parcels.orderBy('order').toArray(),
    () => remembered,
  );

export const addParcel = (parcel: Parcel): Promise<void> =>
  onShelf(
    async () => void (await shelf.parcels.add({ ...parcel })),
    () => {
      remembered = [...remembered, parcel];
    },
  );

export const markLate = (id: string): Promise<void> =>
  onShelf(
    async () => void (await shelf.parcels.where('id').equals(id).modify({ late: true })),
    () => {
      remembered = remembered.map((each) => (each.id === id ? { ...each, late: true } : each));
    },
  );

export const removeParcels = (ids: readonly string[]): Promise<void> =>
  onShelf(
    async () => void (await shelf.parcels.where('id').anyOf(ids).delete()),
    () => {
      remembered = remembered.filter(({ id }) => !ids.includes(id));
    },
  );

export const readSnapshot = <T>(key: string): Promise<T | undefined> =>
  onShelf<T | undefined>(
    async () => (await shelf.snapshots.get(key))?.value as T | undefined,
    () => undefined,
  );

export const keepSnapshot = (key: string, value: unknown): Promise<void> =>
  onShelf(
    async () => void (await shelf.snapshots.put({ key, value })),
    () => undefined,
  );
