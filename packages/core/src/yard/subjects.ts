import type { Entry, Subject } from '@yellow-cell/contract';

/** Everything that an entry is about, each once, indexed so that its story can be found again. */
export function subjectsOf(entry: Entry): Subject[] {
  const found = new Map<string, Subject>();
  const look = (value: unknown): void => {
    if (value === null || typeof value !== 'object') return;
    for (const [field, inner] of Object.entries(value)) {
      const kind = FIELDS[field];
      if (kind !== undefined && typeof inner === 'string') found.set(inner, { kind, id: inner });
      else look(inner);
    }
  };
  look(entry.payload);
  return [...found.values()];
}

/** Fields that name something, at whatever depth of a payload. */
const FIELDS: Readonly<Record<string, Subject['kind']>> = {
  box: 'box',
  intoBox: 'box',
  onto: 'box',
  toBox: 'box',
  colony: 'colony',
  into: 'colony',
  attempt: 'attempt',
  round: 'round',
  yard: 'yard',
  queen: 'queen',
  donorQueen: 'queen',
  frame: 'frame',
  trial: 'trial',
};
