import type { Entry, EntryOf, EventKind } from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import { type Day, instantOf } from '@yellow-cell/core';
import type { Seed } from './seed.ts';
import { ZONE } from './yards.ts';

export const BREEDER = 'Wilma Feldspat';
const HELPER = 'Joss';

/** Collects the entries of the demo as its people make them. */
export interface Diary {
  write<K extends EventKind>(
    kind: K,
    on: Day,
    payload: EntryOf<K>['payload'],
    more?: { hour?: number; note?: string },
  ): void;
  entries(): Entry[];
}

export function newDiary(seed: Seed, device = 'yard-phone', zone = ZONE): Diary {
  const written: Entry[] = [];
  return {
    write(kind, on, payload, { hour, note } = {}) {
      const entry = {
        id: seed.id(),
        kind,
        kindVersion: kindVersionOf(kind),
        occurredAt: instantOf(on, hour ?? quietHour(seed), seed.between(0, 59), zone),
        zone,
        person: seed.chance(0.75) ? BREEDER : HELPER,
        device,
        deviceSeq: written.length,
        payload,
        ...(note === undefined ? {} : { note }),
      };
      written.push(entry as unknown as Entry);
    },
    entries: () =>
      [...written].sort(
        (a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt) || a.deviceSeq - b.deviceSeq,
      ),
  };
}

/** Boxes are opened before 11 or after 17 h: virgins may be out in between. */
const quietHour = (seed: Seed): number => (seed.chance(0.6) ? seed.between(8, 10) : seed.between(17, 18));
