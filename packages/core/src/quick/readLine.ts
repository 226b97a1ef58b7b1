import { showDay } from '../calendar/showDay.ts';
import { clausesOf } from './clauses.ts';
import { dayPast } from './days.ts';
import { entriesOf } from './entries.ts';
import { isQuestion } from './fact.ts';
import { isWord, words } from './grammar.ts';
import type { LineContext } from './lineContext.ts';
import { type PlaceKnown, placeNames } from './placeNames.ts';
import { roomsCalled } from './places.ts';
import type { Chip, Choice, Reading, Unread } from './reading.ts';
import { inPlace, type Span } from './rewrite.ts';
import type { Source } from './source.ts';
import { meantAs } from './spelling.ts';
import { type Piece, tilings } from './tile.ts';
import { type Token, tokensOf } from './tokens.ts';

/**
 * Reads a line as entries, or says what must be asked first. Every word is in an entry, or is told as unread; a line is
 * never kept in part, and what can be read in two ways is asked (docs/quick-line.md).
 */
export function readLine(line: string, context: LineContext): Reading {
  const { spoken, note } = partsOf(line);
  const tokens = line.length > MOST_CHARACTERS ? [] : tokensOf(spoken);
  if (line.length > MOST_CHARACTERS || tokens.length > MOST_TOKENS)
    return asked('This is too long for one entry: say it in pieces, or after “note”.', {
      unread: line
        .split(/\s+/)
        .filter(Boolean)
        .slice(0, 1)
        .map((typed) => ({ start: 0, end: line.length, typed })),
    });
  const source: Source = {
    line: spoken,
    tokens,
    on: context.on,
    measures: context.measures,
    names: placeNames(context.places),
    isWord,
  };
  const ways = tilings(source);
  const [pieces = []] = ways;
  const here = context.places.find(({ label }) => label === context.here?.box);
  const unread = unreadIn(line, pieces, tokens);
  const known = { chips: chipsOf(pieces, source, here), unread };
  const saysSomething = note !== undefined || pieces.some(({ is }) => is === 'said');
  const namesBox = pieces.some((piece) => piece.is === 'place' && piece.place.is === 'box');
  if (!saysSomething && (!namesBox || unread.length === 0))
    return {
      ...asked(namesBox ? 'What happened there?' : 'Nothing in this line can be kept as an entry.', known),
      looksFor: true,
    };
  if (unread.length > 0)
    return askUnread(line, unread, known, context, asNote(line, pieces, tokens), (other) => {
      const { spoken: said } = partsOf(other);
      const [way = []] = tilings({ ...source, line: said, tokens: tokensOf(said) });
      return way.filter(({ is }) => is === 'unread').length;
    });
  const question = pieces.find((piece) => piece.is === 'said' && isQuestion(piece.said));
  if (question?.is === 'said' && isQuestion(question.said)) {
    const at = spanOf(question, tokens);
    return asked(question.said.question, {
      ...known,
      choices: question.said.choices.map((says) => ({ says, line: inPlace(line, at, says) })),
    });
  }
  const readings = ways.map((way) =>
    entriesOf(clausesOf(way, here), {
      ...context,
      line,
      note,
      span: (piece) => spanOf(piece, tokens),
      leads: way.find(({ is }) => is !== 'between'),
    }),
  );
  const kept = readings.filter((reading) => Array.isArray(reading));
  const [entries] = kept;
  const [refused] = readings;
  if (entries && new Set(kept.map((each) => JSON.stringify(each))).size === 1)
    return { entries, asks: null, choices: [], looksFor: false, ...known };
  if (!entries && refused && 'question' in refused)
    return asked(refused.question, { ...known, choices: refused.choices });
  return askWhichWay(line, ways, tokens, known, note);
}

/** Words that a question names. */
const MOST_TOLD = 5;
const MOST_CHARACTERS = 5_000;
/** A line of more words than this is a story, not an entry. */
const MOST_TOKENS = 60;
/** What stands after “note” is kept as it was typed. */
const NOTE = /^(.*?)(?:^|[\s,;])note:?\s+(.+)$/isu;
export function partsOf(line: string): { spoken: string; note: string | undefined } {
  const [, spoken = line, note] = NOTE.exec(line) ?? [];
  return { spoken, note: note?.trim() };
}

function asked(question: string, found: Partial<Reading>): Reading {
  return { entries: [], asks: question, choices: [], unread: [], chips: [], looksFor: false, ...found };
}

const spanOf = ({ from, to }: Piece, tokens: readonly Token[]): Span => ({
  start: tokens[from]?.start ?? 0,
  end: tokens[to - 1]?.end ?? 0,
});
function unreadIn(line: string, pieces: readonly Piece[], tokens: readonly Token[]): Unread[] {
  return pieces
    .filter(({ is }) => is === 'unread')
    .map((piece) => {
      const { start, end } = spanOf(piece, tokens);
      return { start, end, typed: line.slice(start, end) };
    });
}
/** Unread words that stand together are told together. */
function runsOf(unread: readonly Unread[], line: string): string[] {
  const runs: Span[] = [];
  for (const { start, end } of unread) {
    const last = runs.at(-1);
    if (last && line.slice(last.end, start).trim() === '') last.end = end;
    else runs.push({ start, end });
  }
  return [...new Set(runs.map(({ start, end }) => line.slice(start, end)))];
}

function chipsOf(
  pieces: readonly Piece[],
  { line, tokens, on }: Source,
  here: PlaceKnown | undefined,
): Chip[] {
  let box = here;
  return pieces.flatMap((piece): Chip[] => {
    const span = spanOf(piece, tokens);
    const typed = line.slice(span.start, span.end);
    if (piece.is === 'place') {
      const { place } = piece;
      if (place.is === 'box') box = place.box;
      const called = place.is === 'room' ? roomsCalled(place.typed, box?.compartments ?? [], isWord) : [];
      const says = place.is === 'box' ? place.box.label : called.length === 1 ? called[0] : typed;
      return [{ ...span, is: 'place', says: says ?? typed }];
    }
    if (piece.is === 'day') {
      const day = piece.named.is === 'either' ? undefined : dayPast(piece.named, on);
      return [{ ...span, is: 'day', says: typeof day === 'string' ? showDay(day, on) : typed }];
    }
    if (piece.is !== 'said') return [];
    return isQuestion(piece.said)
      ? [{ ...span, is: 'question', says: `${typed}?` }]
      : [{ ...span, is: 'said', says: piece.said.map(({ words: told }) => told).join(', ') }];
  });
}

/** All that was said, kept as a note of the same place: nothing of it is taken for an entry. */
function asNote(line: string, pieces: readonly Piece[], tokens: readonly Token[]): Choice {
  const textOf = (piece: Piece): string => {
    const { start, end } = spanOf(piece, tokens);
    return line.slice(start, end);
  };
  const isPlace = ({ is }: Piece): boolean => is === 'place' || is === 'day';
  const { note } = partsOf(line);
  const said = pieces.filter((piece) => !isPlace(piece));
  const [first, last] = [said[0], said.at(-1)];
  const between = first && last ? line.slice(spanOf(first, tokens).start, spanOf(last, tokens).end) : '';
  const whole = pieces.slice(pieces.indexOf(first as Piece), pieces.indexOf(last as Piece)).some(isPlace)
    ? said.map(textOf).join(' ')
    : between;
  return {
    says: `note ${whole}`,
    line: [...pieces.filter(isPlace).map(textOf), 'note', whole, ...(note === undefined ? [] : [note])].join(
      ' ',
    ),
  };
}

function askUnread(
  line: string,
  unread: readonly Unread[],
  known: Partial<Reading>,
  context: LineContext,
  noted: Choice,
  leftOver: (line: string) => number,
): Reading {
  const names = context.places.flatMap(({ label, compartments }) => [label, ...compartments]);
  const vocabulary = [...new Set([...words, ...names.map((each) => each.toLowerCase())])];
  for (const slip of unread) {
    const near = isWord(slip.typed.toLowerCase()) ? [] : meantAs(slip.typed.toLowerCase(), vocabulary);
    // A word that would be left over as well is no answer.
    const meant = near.filter((word) => leftOver(inPlace(line, slip, word)) < unread.length);
    if (meant.length > 0)
      return asked(`“${slip.typed}”: is ${meant.map((word) => `“${word}”`).join(' or ')} meant?`, {
        ...known,
        choices: [...meant.map((says) => ({ says, line: inPlace(line, slip, says) })), noted],
      });
  }
  const runs = runsOf(unread, line);
  const label = runs.find((run) => /^\p{L}{1,3}\d{1,4}$/u.test(run));
  if (label) return asked(`There is no box ${label.toUpperCase()} in this yard.`, known);
  return asked(
    `“${runs.slice(0, MOST_TOLD).join('”, “')}” is not understood; after “note” anything can stand.`,
    { ...known, choices: [noted] },
  );
}

/** Where commas would make it plain, they are offered. */
function askWhichWay(
  line: string,
  ways: readonly (readonly Piece[])[],
  tokens: readonly Token[],
  known: Partial<Reading>,
  note: string | undefined,
): Reading {
  const lines = ways.map((pieces) => {
    const phrases = pieces.filter(({ is }) => is !== 'between').map((piece) => spanOf(piece, tokens));
    const said = phrases.map(({ start, end }) => line.slice(start, end).replaceAll(/[,;]/g, '')).join(', ');
    return note === undefined ? said : `${said} note ${note}`;
  });
  return asked('This can be read in two ways.', {
    ...known,
    choices: [...new Set(lines)].map((each) => ({ says: each, line: each })),
  });
}
