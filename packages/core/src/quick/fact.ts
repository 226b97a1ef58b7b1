import type { EventKind } from '@yellow-cell/contract';
import type { Got } from './pattern.ts';

/** What a phrase says happened: fields as in the contract's events, without ids. */
export interface Fact {
  kind: EventKind;
  fields: Readonly<Record<string, unknown>>;
  /** As a person is told of it. */
  words: string;
  /** Of the whole box, not of one of its rooms. */
  ofBox?: true;
  /** What was typed is kept as the entry's note, since its fields do not say it all. */
  asTyped?: true;
}
/** What must be answered before anything is kept; each choice takes the place of the phrase. */
export interface Question {
  question: string;
  choices: readonly string[];
}
export type Said = readonly Fact[] | Question;

export interface Phrase {
  says: readonly string[];
  /** `typed` is the phrase as it stands in the line. */
  means: (got: Got, typed: string) => Said;
}

export const isQuestion = (said: Said): said is Question => 'question' in said;
export const fact = (
  kind: EventKind,
  words: string,
  fields: Readonly<Record<string, unknown>> = {},
): Fact => ({ kind, words, fields });
export const ask = (question: string, ...choices: readonly string[]): Question => ({ question, choices });
