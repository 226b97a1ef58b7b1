import { type Read, SLOTS, type SlotName } from './slots.ts';
import type { Source } from './source.ts';
import { GROUPS } from './vocabulary.ts';

/**
 * How phrases are written down: words as they stand, `@group` for any word of the vocabulary's group, `{slot}` or
 * `{slot:name}` for what is read out of the line, `(this|or that)`, `?` after what may be left out, and ` ~ ` between
 * parts that may stand in any order, with `?` before a part that may be left out.
 */
export type Got = Readonly<Record<string, unknown>>;
export interface Found {
  next: number;
  got: Got;
}
export interface Matcher {
  /** The words that it may begin with, or `any` where that is read. */
  first: ReadonlySet<string> | 'any';
  /** True where it fits even where nothing stands. */
  empty: boolean;
  match: (source: Source, at: number) => readonly Found[];
}

export function matcherOf(pattern: string): Matcher {
  const parts = pattern.split(' ~ ').map((part) => {
    const optional = part.startsWith('?');
    return { optional, matcher: sequenceOf(new Notation(optional ? part.slice(1) : part)) };
  });
  const [only] = parts;
  if (parts.length === 1 && only) return only.matcher;
  return {
    first: firstOf(parts.map(({ matcher }) => matcher)),
    empty: false,
    match: inAnyOrder(parts.map(({ optional, matcher }) => ({ optional, match: matcher.match }))),
  };
}

function firstOf(matchers: readonly Matcher[]): Matcher['first'] {
  const words = new Set<string>();
  for (const { first } of matchers) {
    if (first === 'any') return 'any';
    for (const word of first) words.add(word);
  }
  return words;
}

/** Every word that the patterns know, for what is spelt amiss. */
export const wordsOf = (pattern: string): string[] =>
  pattern
    .replaceAll(/\{[^}]*\}/g, ' ')
    .split(/[\s()|~?]+/)
    .flatMap((word) => (word.startsWith('@') ? (GROUPS[word.slice(1)] ?? []) : [word]))
    .filter(Boolean);

class Notation {
  #pieces: readonly string[];
  #at = 0;
  constructor(text: string) {
    this.#pieces = text.match(/[()|?]|\{[^}]*\}|[^\s()|?]+/g) ?? [];
  }
  get piece(): string | undefined {
    return this.#pieces[this.#at];
  }
  take(): string | undefined {
    return this.#pieces[this.#at++];
  }
}

function sequenceOf(notation: Notation): Matcher {
  const elements: Matcher[] = [];
  while (notation.piece !== undefined && notation.piece !== ')' && notation.piece !== '|') {
    const element = atomOf(notation.take() ?? '', notation);
    const optional = notation.piece === '?';
    if (optional) notation.take();
    elements.push(
      optional
        ? {
            ...element,
            empty: true,
            match: (source, at) => [...element.match(source, at), { next: at, got: {} }],
          }
        : element,
    );
  }
  const needed = elements.findIndex(({ empty }) => !empty);
  return {
    first: firstOf(needed < 0 ? elements : elements.slice(0, needed + 1)),
    empty: needed < 0,
    match: (source, at) =>
      elements.reduce<readonly Found[]>(
        (founds, { match }) =>
          founds.flatMap(({ next, got }) =>
            match(source, next).map((found) => ({ next: found.next, got: { ...got, ...found.got } })),
          ),
        [{ next: at, got: {} }],
      ),
  };
}

function atomOf(piece: string, notation: Notation): Matcher {
  if (piece === '(') {
    const ways = [sequenceOf(notation)];
    while (notation.take() === '|') ways.push(sequenceOf(notation));
    return {
      first: firstOf(ways),
      empty: ways.some(({ empty }) => empty),
      match: (source, at) => ways.flatMap(({ match }) => match(source, at)),
    };
  }
  if (piece.startsWith('{')) {
    const [slot = '', name = slot] = piece.slice(1, -1).split(':');
    return {
      first: 'any',
      empty: false,
      match: (source, at) =>
        readOnce(slot as SlotName, source, at).map(({ next, value }) => ({ next, got: { [name]: value } })),
    };
  }
  const words = piece.startsWith('@') ? GROUPS[piece.slice(1)] : [piece];
  if (!words) throw new Error(`No group of words is called ${piece}.`);
  return {
    first: new Set(words),
    empty: false,
    match: ({ tokens }, at) => (words.includes(tokens[at]?.text ?? '') ? [{ next: at + 1, got: {} }] : []),
  };
}

/** What a slot reads at a token is the same for every phrase. */
const reads = new WeakMap<Source, Map<string, readonly Read<unknown>[]>>();
function readOnce(slot: SlotName, source: Source, at: number): readonly Read<unknown>[] {
  const known = reads.get(source) ?? new Map<string, readonly Read<unknown>[]>();
  reads.set(source, known);
  const key = `${slot} ${at}`;
  const found = known.get(key) ?? SLOTS[slot](source, at);
  known.set(key, found);
  return found;
}

function inAnyOrder(parts: readonly { optional: boolean; match: Matcher['match'] }[]): Matcher['match'] {
  return (source, at) =>
    parts.flatMap((part, index) => {
      const rest = parts.toSpliced(index, 1);
      const ends = rest.every(({ optional }) => optional);
      return part.match(source, at).flatMap(({ next, got }) => [
        ...(ends ? [{ next, got }] : []),
        ...(rest.length === 0 || next === at
          ? []
          : inAnyOrder(rest)(source, next).map((found) => ({
              next: found.next,
              got: { ...got, ...found.got },
            }))),
      ]);
    });
}
