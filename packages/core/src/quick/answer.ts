import type { EntryOf, EventKind } from '@yellow-cell/contract';

/** An entry without its envelope. */
export type QuickAct = {
  [K in EventKind]: { kind: K; payload: EntryOf<K>['payload']; note?: string | undefined };
}[EventKind];
export type QuickAnswer =
  | { is: 'entry'; words: string; acts: QuickAct[] }
  | { is: 'ask'; question: string; choices: string[]; instead?: string }
  /** No entry at all: somebody looks for something. */
  | { is: 'search' };

export const act = <K extends EventKind>(kind: K, payload: EntryOf<K>['payload'], note?: string): QuickAct =>
  ({ kind, payload, ...(note ? { note } : {}) }) as QuickAct;
/** `instead`: what was typed that a choice takes the place of; without it a choice is added to the line. */
export const ask = (question: string, choices: readonly string[] = [], instead?: string): QuickAnswer => ({
  is: 'ask',
  question,
  choices: [...choices],
  ...(instead === undefined ? {} : { instead }),
});

/** A note at the end of a line stays with its first entry. */
export function entry(title: string, words: string, acts: QuickAct[], note?: string): QuickAnswer {
  const [first, ...others] = acts;
  const kept = note && first ? [{ ...first, note } as QuickAct, ...others] : acts;
  return {
    is: 'entry',
    words: `${title}: ${words}${note && words !== 'note' ? ', with a note' : ''}`,
    acts: kept,
  };
}
