/** Versions of kinds whose meaning has changed since the first log; all others are in their first. */
const changed: Readonly<Record<string, number>> = { grafted: 2, strengthSeen: 2, roleSet: 2 };

/** The version in which this program writes entries of a kind; older ones are raised to it on reading (core, `raised`). */
export const kindVersionOf = (kind: string): number =>
  Object.hasOwn(changed, kind) ? (changed[kind] ?? 1) : 1;
