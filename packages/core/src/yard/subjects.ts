import type { Entry, Subject } from '@yellow-cell/contract';

/** Everything that an entry is about, indexed so that its story can be found again. */
export function subjectsOf(entry: Entry): Subject[] {
  const payload: Readonly<Record<string, unknown>> = entry.payload;
  return FIELDS.flatMap(([field, kind]) => {
    const id = payload[field];
    return typeof id === 'string' ? [{ kind, id }] : [];
  });
}

const FIELDS: readonly (readonly [string, Subject['kind']])[] = [
  ['box', 'box'],
  ['intoBox', 'box'],
  ['colony', 'colony'],
  ['into', 'colony'],
  ['attempt', 'attempt'],
  ['round', 'round'],
  ['yard', 'yard'],
];
