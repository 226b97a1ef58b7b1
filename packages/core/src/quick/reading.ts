import type { EventKind } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';

/** An entry as a line says it: the box and the room by their names, no ids. */
export interface LineEntry {
  box: string;
  compartment?: string;
  on: Day;
  kind: EventKind;
  /** As in the contract's events, save ids: see docs/quick-line.md. */
  fields: Readonly<Record<string, unknown>>;
  note?: string;
  /** As a person is told of it. */
  words: string;
}
/** A way to answer a question: the line as it would be then. */
export interface Choice {
  says: string;
  line: string;
}
/** Part of a line, with what it was understood as. */
export interface Chip {
  start: number;
  end: number;
  says: string;
  is: 'place' | 'day' | 'said' | 'question';
}
export interface Unread {
  start: number;
  end: number;
  typed: string;
}
export interface Reading {
  /** Empty where anything must be asked: a line is never kept in part. */
  entries: LineEntry[];
  asks: string | null;
  choices: Choice[];
  unread: Unread[];
  chips: Chip[];
  /** Says nothing that could be kept: somebody looks for something. */
  looksFor: boolean;
}
