import type { EventKind } from './entry.ts';

/** Versions of kinds whose meaning has changed since the first log; all others are in their first. */
const changed: Readonly<Partial<Record<EventKind, number>>> = { grafted: 2 };

/** The version in which this program writes entries of a kind; older ones are raised to it on reading (core, `raised`). */
export const kindVersionOf = (kind: EventKind): number => changed[kind] ?? 1;
