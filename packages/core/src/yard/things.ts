/** Those of some things that are meant, by id. */
export const only = <T extends { id: string }>(
  things: ReadonlyMap<string, T>,
  isMeant: (thing: T) => boolean,
): Map<string, T> => {
  const found = new Map<string, T>();
  for (const thing of things.values()) if (isMeant(thing)) found.set(thing.id, thing);
  return found;
};

/** The first of some things that is meant; they are not copied for it. */
export function firstOf<T>(things: ReadonlyMap<string, T>, isMeant: (thing: T) => boolean): T | undefined {
  for (const thing of things.values()) if (isMeant(thing)) return thing;
  return undefined;
}

/** By day and id: the same things are kept in the same order, however their story was told. */
export const inOrder = <T extends { id: string }>(things: Iterable<T>, dayOf: (thing: T) => string): T[] =>
  [...things].sort((a, b) => compare(dayOf(a), dayOf(b)) || compare(a.id, b.id));

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
