import type { EntryOf, EventKind } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import type { Chip, Choice, Unread } from './reading.ts';

/** An entry without its envelope; `on` where it was not today. */
export type QuickAct = {
  [K in EventKind]: { kind: K; payload: EntryOf<K>['payload']; note?: string; on?: Day };
}[EventKind];

interface Understood {
  chips: Chip[];
  unread: Unread[];
}
export type QuickAnswer =
  | ({ is: 'entry'; words: string; acts: QuickAct[] } & Understood)
  | ({ is: 'ask'; question: string; choices: Choice[] } & Understood)
  /** No entry at all: somebody looks for something. */
  | { is: 'search' };
