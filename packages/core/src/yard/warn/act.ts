import type { EventKind, Payload } from '@yellow-cell/contract';

/** Something about to be entered. */
export type Act = { [K in EventKind]: { kind: K; payload: Payload<K> } }[EventKind];
