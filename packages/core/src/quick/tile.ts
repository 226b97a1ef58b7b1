import { type DayNamed, dayAtToken, dayPast } from './days.ts';
import { isQuestion, type Said } from './fact.ts';
import { matchers } from './grammar.ts';
import type { Matcher } from './pattern.ts';
import { type PlaceRead, placesAt } from './places.ts';
import type { Source } from './source.ts';
import { GROUPS } from './vocabulary.ts';

/** A run of tokens, read as one thing. */
export type Piece = { from: number; to: number } & (
  | { is: 'place'; place: PlaceRead }
  | { is: 'day'; named: DayNamed }
  | { is: 'said'; said: Said }
  /** A word between others, like “and”. */
  | { is: 'between' }
  | { is: 'unread' }
);

/** What speaks against a reading, the gravest first. */
type Cost = readonly [unread: number, questions: number, parted: number, pieces: number];
interface Tiling {
  cost: Cost;
  /** What it says; readings that say the same are one. */
  says: string;
  pieces: readonly Piece[];
}
/** More than this many readings that are as good are not told apart; two are asked about already. */
const MOST_READINGS = 12;

/**
 * All best ways to lay a line out in phrases, places and days, so that every word is in exactly one of them: first as few
 * words unread as can be, then as few questions, then as few commas within a phrase. Found from the end backwards: what
 * follows a token does not depend on what stood before it.
 */
export function tilings(source: Source): readonly (readonly Piece[])[] {
  const { tokens } = source;
  const from: Tiling[][] = [];
  from[tokens.length] = [{ cost: [0, 0, 0, 0], says: '', pieces: [] }];
  for (let at = tokens.length - 1; at >= 0; at--) {
    const all = piecesAt(source, at).flatMap((piece) => {
      const [cost, says] = [costOf(piece, source), meaning(piece)];
      return (from[piece.to] ?? []).map(
        (rest): Tiling => ({
          cost: plus(cost, rest.cost),
          says: says + rest.says,
          pieces: [piece, ...rest.pieces],
        }),
      );
    });
    from[at] = best(all);
  }
  return (from[0] ?? []).map(({ pieces }) => pieces);
}

function piecesAt(source: Source, at: number): Piece[] {
  const { tokens, on, measures } = source;
  const day = dayAtToken(tokens, tokens[at]?.text === 'on' ? at + 1 : at, on, measures.dates);
  const between = (GROUPS.and ?? []).includes(tokens[at]?.text ?? '');
  return [
    ...placesAt(source, at).map((place): Piece => ({ is: 'place', place, from: at, to: place.next })),
    ...(day ? [{ is: 'day', named: day.named, from: at, to: day.next } as const] : []),
    ...matchers.flatMap(({ phrase, matcher }) =>
      (mayBegin(matcher, tokens[at]?.text ?? '') ? matcher.match(source, at) : [])
        .filter(({ next }) => next > at)
        .map(
          ({ next, got }): Piece => ({
            is: 'said',
            said: phrase.means(got, typedOf(source, at, next)),
            from: at,
            to: next,
          }),
        ),
    ),
    ...(between ? [{ is: 'between', from: at, to: at + 1 } as const] : []),
    { is: 'unread', from: at, to: at + 1 },
  ];
}

const typedOf = ({ line, tokens }: Source, from: number, to: number): string =>
  line.slice(tokens[from]?.start ?? 0, tokens[to - 1]?.end ?? 0);
const mayBegin = ({ first }: Matcher, text: string): boolean => first === 'any' || first.has(text);

function costOf(piece: Piece, { tokens, on }: Source): Cost {
  const parted = tokens.slice(piece.from + 1, piece.to).filter(({ apart }) => apart).length;
  const asks =
    piece.is === 'said'
      ? isQuestion(piece.said)
      : piece.is === 'day' && (piece.named.is === 'either' || typeof dayPast(piece.named, on) !== 'string');
  return [piece.is === 'unread' ? 1 : 0, asks ? 1 : 0, parted, piece.is === 'between' ? 0 : 1];
}

const plus = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2], a[3] + b[3]];
function compare(a: Cost, b: Cost): number {
  for (const [index, cost] of a.entries()) {
    // Two readings that say different things are not told apart by the number of their phrases, unless they ask anyway.
    if (index === PIECES && a[0] + a[1] === 0) return 0;
    if (cost !== (b[index] ?? 0)) return cost - (b[index] ?? 0);
  }
  return 0;
}
const PIECES = 3;

function best(all: readonly Tiling[]): Tiling[] {
  const sorted = all.toSorted((a, b) => compare(a.cost, b.cost) || a.cost[PIECES] - b.cost[PIECES]);
  const [first] = sorted;
  const told = new Map<string, Tiling>();
  for (const each of sorted) {
    if (!first || compare(each.cost, first.cost) > 0) break;
    if (!told.has(each.says)) told.set(each.says, each);
    if (told.size === MOST_READINGS) break;
  }
  return [...told.values()];
}

/** What a piece says, wherever it stands; two facts of one phrase say the same as of two. */
function meaning(piece: Piece): string {
  if (piece.is === 'said')
    return isQuestion(piece.said)
      ? piece.said.question
      : piece.said.map((fact) => JSON.stringify(fact)).join('');
  if (piece.is === 'day') return JSON.stringify(piece.named);
  if (piece.is === 'unread') return String(piece.from);
  if (piece.is === 'place')
    return piece.place.is === 'box' ? piece.place.box.label : JSON.stringify({ ...piece.place, next: 0 });
  return '';
}
