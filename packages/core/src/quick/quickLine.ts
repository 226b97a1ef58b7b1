import type { EntryOf, EventKind, FailReason, Feed } from '@yellow-cell/contract';
import { failWords, fateWords, feedWords } from '../yard/statusWords.ts';
import { editDistance, type Meaning, meaningsOf } from './words.ts';

/** What the line may speak of: the boxes of a yard as they stand, and the rounds there are. */
export interface QuickContext {
  boxes: readonly QuickBox[];
  rounds: readonly { id: string; number: number }[];
  /** The box and compartment on screen, meant where the line names none. */
  chosen?: { box: string; compartment?: number | undefined } | undefined;
  today: string;
}
export interface QuickBox {
  id: string;
  label: string;
  compartments: readonly QuickCompartment[];
  /** Dividers in order from x = 0. */
  boards: readonly string[];
}
export interface QuickCompartment {
  name: string;
  colony?: string | undefined;
  /** The attempt that is still going on. */
  attempt?: string | undefined;
  entrances: readonly string[];
}

/** An entry without its envelope. */
export type QuickAct = {
  [K in EventKind]: { kind: K; payload: EntryOf<K>['payload']; note?: string | undefined };
}[EventKind];
export type QuickAnswer =
  | { is: 'entry'; words: string; acts: QuickAct[] }
  | { is: 'ask'; question: string; choices: string[] }
  /** No entry at all: somebody looks for something. */
  | { is: 'search' };

const act = <K extends EventKind>(kind: K, payload: EntryOf<K>['payload'], note?: string): QuickAct =>
  ({ kind, payload, ...(note ? { note } : {}) }) as QuickAct;
const ask = (question: string, choices: readonly string[] = []): QuickAnswer => ({
  is: 'ask',
  question,
  choices: [...choices],
});

interface Read {
  meanings: Meaning[];
  numbers: { value: number; unit: string }[];
  feedRatio?: Feed;
  note?: string;
  date?: string;
  /** Words that stand for themselves, like the name of a product. */
  names: string[];
}

/**
 * Reads a typed line as an entry, shown before it is kept: words in any order, metric or imperial, small slips of
 * spelling forgiven. What could mean two things is asked, never guessed. `idFor` names a new attempt.
 */
export function readQuickLine(line: string, context: QuickContext, idFor: () => string): QuickAnswer {
  const whole = line.trim().slice(0, MOST_CHARACTERS);
  const [, spoken = whole, note] = NOTE.exec(whole) ?? [];
  // A comma between digits is a decimal one.
  const tokens = spoken.split(/\s+|;|,(?!\d)|(?<!\d),/u).filter(Boolean);
  const at = boxIn(tokens, context);
  if (!at) return tokens.some(isVerb) ? ask('Which box?') : { is: 'search' };
  const { box, rest } = at;
  // On a box's page people still look for others: without its name a line must say that something was done.
  if (!at.named && note === undefined && !tokens.some((word) => isVerb(word) || word.endsWith('%')))
    return { is: 'search' };
  if (rest.length === 0 && note === undefined) return { is: 'search' };
  const where = compartmentIn(rest, box, at.chosen);
  const read = readWords(where.rest);
  if ('is' in read) return read;
  const empty = read.meanings.length + read.numbers.length === 0 && read.feedRatio === undefined;
  if (empty && note === undefined) return { is: 'search' };
  return actsOf({ ...read, ...(note === undefined ? {} : { note }) }, { ...where, box, context, idFor });
}
const MOST_CHARACTERS = 5_000;
/** What stands after “note” is kept as it was typed. */
const NOTE = /^(.*?)(?:^|\s)note:?\s+(.+)$/isu;

const verbs: readonly Meaning['is'][] = [
  'eggs',
  'pattern',
  'cell',
  'opened',
  'failed',
  'fed',
  'strips',
  'taken',
  'combine',
  'pull',
  'set',
  'reason',
  'state',
];
const isVerb = (word: string): boolean =>
  meaningsOf(word.toLowerCase()).some(({ meaning }) => verbs.includes(meaning.is));

function boxIn(
  tokens: readonly string[],
  { boxes, chosen }: QuickContext,
): { box: QuickBox; rest: string[]; chosen: number | undefined; named: boolean } | undefined {
  for (const [index, token] of tokens.entries()) {
    const box = boxes.find(({ label }) => label.toLowerCase() === token.toLowerCase());
    if (box) return { box, rest: tokens.toSpliced(index, 1), chosen: undefined, named: true };
  }
  const box = boxes.find(({ id }) => id === chosen?.box);
  return box && { box, rest: [...tokens], chosen: chosen?.compartment, named: false };
}

interface Where {
  compartment: QuickCompartment | undefined;
  /** A second one that is named, to combine with. */
  other: QuickCompartment | undefined;
  rest: string[];
  unsure: readonly string[];
}

/** A compartment by its name or as much of it as tells it from the others. */
function compartmentIn(tokens: readonly string[], box: QuickBox, chosen: number | undefined): Where {
  const found: QuickCompartment[] = [];
  const rest: string[] = [];
  let unsure: string[] = [];

  for (const token of tokens) {
    const typed = token.toLowerCase();

    const named = box.compartments.filter(({ name }) => isNamed(name, typed));
    if (named.length === 1 && named[0]) found.push(named[0]);
    else if (named.length > 1) unsure = named.map(({ name }) => name);
    else rest.push(token);
  }
  const only = box.compartments.length === 1 ? box.compartments[0] : undefined;
  const usual = chosen === undefined ? only : box.compartments[chosen];
  const [first, second] = found;
  return first && usual && !second && rest.some((word) => meansCombine(word))
    ? { compartment: usual === first ? first : usual, other: first, rest, unsure }
    : { compartment: first ?? usual, other: second, rest, unsure };
}
const meansCombine = (word: string): boolean =>
  meaningsOf(word.toLowerCase()).some(({ meaning }) => meaning.is === 'combine');

function isNamed(name: string, typed: string): boolean {
  const bare = (word: string): string => word.toLowerCase().replaceAll('-', '');
  const [full, said] = [bare(name), bare(typed)];
  if (full === said) return true;
  if (meaningsOf(typed).some(({ word }) => word === typed)) return false;
  if (full.startsWith(said)) return true;
  return said.length >= 3 && editDistance(full, said) <= 1;
}

/** Every word's meaning; what has none, or more than one, is asked. */
function readWords(words: readonly string[]): Read | QuickAnswer {
  const read: Read = { meanings: [], numbers: [], names: [] };
  for (let index = 0; index < words.length; index++) {
    const typed = words[index] ?? '';
    const lower = typed.toLowerCase();

    if (read.date === undefined) {
      const date = dateIn(words.slice(index));
      if (date) {
        read.date = date.date;
        index += date.words - 1;
        continue;
      }
    }
    const ratio = /^([12]):1$/.exec(lower);
    const number = /^([rR]?)(\d+(?:[.,]\d+)?)(%|[a-z]*)$/.exec(lower);
    if (ratio) read.feedRatio = ratio[1] === '2' ? 'syrup21' : 'syrup11';
    else if (number) {
      const unit = number[3] || (number[1] ? 'round' : unitIn(words[index + 1]));
      if (!number[3] && unitIn(words[index + 1])) index += 1;
      read.numbers.push({ value: Number(number[2]?.replace(',', '.')), unit: number[1] ? 'round' : unit });
    } else {
      const named = read.meanings.some(({ is }) => is === 'strips');
      const found = meaningsOf(lower).filter(({ word }) => !named || word === lower);
      if (found.length > 1)
        return ask(
          `“${typed}” may mean two things.`,
          found.map(({ word }) => word),
        );
      const [only] = found;
      if (only) read.meanings.push(only.meaning);
      else if (named) read.names.push(typed);
      else return ask(`“${typed}” is not understood; after “note” anything can stand.`);
    }
  }
  return read;
}

const UNITS = ['kg', 'g', 'lb', 'lbs', 'oz', '%', 'percent'];
const unitIn = (word: string | undefined): string =>
  word && UNITS.includes(word.toLowerCase()) ? word.toLowerCase() : '';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** 2026-07-12, or 12 Jul with the year to come left out. */
function dateIn(words: readonly string[]): { date: string; words: number } | undefined {
  const [first = '', second = ''] = words;
  if (/^\d{4}-\d{2}-\d{2}$/.test(first)) return { date: first, words: 1 };
  const month = MONTHS.indexOf(second.toLowerCase().slice(0, 3));
  if (!/^\d{1,2}\.?$/.test(first) || month < 0 || second.length < 3) return undefined;
  return {
    date: `-${String(month + 1).padStart(2, '0')}-${String(Number.parseInt(first, 10)).padStart(2, '0')}`,
    words: 2,
  };
}

const KG_PER: Readonly<Record<string, number>> = {
  kg: 1,
  g: 0.001,
  lb: 0.453592,
  lbs: 0.453592,
  oz: 0.0283495,
};

interface Given extends Where {
  box: QuickBox;
  context: QuickContext;
  idFor: () => string;
}

function actsOf(read: Read, given: Given): QuickAnswer {
  const { box } = given;
  const has = (is: Meaning['is']): boolean => read.meanings.some((meaning) => meaning.is === is);
  if ((has('pull') || has('set')) && (has('divider') || !has('strips')))
    return dividerAct(read, given, has('pull'));
  const { compartment } = given;
  if (!compartment) {
    if (read.note !== undefined && read.meanings.length === 0)
      return entry(box.label, 'note', [act('noted', { box: box.id }, read.note)]);
    return ask(
      given.unsure.length > 0
        ? `Which one: ${given.unsure.join(' or ')}?`
        : `Which compartment of ${box.label}?`,
      given.unsure.length > 0 ? given.unsure : box.compartments.map(({ name }) => name),
    );
  }
  const title = box.compartments.length > 1 ? `${box.label} ${compartment.name}` : box.label;
  const state = read.meanings.find((meaning) => meaning.is === 'state');
  if (state) {
    if (compartment.entrances.length === 0) return ask(`${title} has no entrance of its own.`);
    return entry(
      title,
      `entrance ${state.state}`,
      compartment.entrances.map((entrance) =>
        act('entranceSet', { box: box.id, entrance, state: state.state }),
      ),
      read.note,
    );
  }
  if (!compartment.colony) return ask(`No bees are recorded in ${title}: stock it first.`);
  return beesAct(read, given, compartment, title);
}

function dividerAct({ numbers, note }: Read, { box }: Given, pull: boolean): QuickAnswer {
  const wanted = numbers[0]?.value;
  const board =
    box.boards.length === 1 && wanted === undefined ? box.boards[0] : box.boards[(wanted ?? 0) - 1];
  if (!board)
    return ask(
      box.boards.length === 0
        ? `${box.label} has no divider.`
        : `Which divider of ${box.label}, counted from the left?`,
      box.boards.map((_, index) => String(index + 1)),
    );
  return entry(
    box.label,
    `divider ${box.boards.indexOf(board) + 1} ${pull ? 'pulled' : 'set'}`,
    [act('dividerSet', { box: box.id, board, stands: !pull })],
    note,
  );
}

function beesAct(read: Read, given: Given, compartment: QuickCompartment, title: string): QuickAnswer {
  const { box, context, idFor, other } = given;
  const colony = compartment.colony ?? '';
  const inColony = { box: box.id, colony };
  const of = { ...inColony, ...(compartment.attempt ? { attempt: compartment.attempt } : {}) };
  const has = (is: Meaning['is']): boolean => read.meanings.some((meaning) => meaning.is === is);
  const find = <Is extends Meaning['is']>(is: Is) =>
    read.meanings.find((meaning): meaning is Extract<Meaning, { is: Is }> => meaning.is === is);
  const keep = (words: string, ...acts: QuickAct[]): QuickAnswer => entry(title, words, acts, read.note);
  const reason = find('reason')?.reason;
  const wholes = (['failed', 'fed', 'strips', 'taken', 'combine'] as const).filter(has);
  if (wholes.length > 1) return ask(`Two things at once, ${wholes.join(' and ')}: say them one by one.`);

  if (has('combine')) {
    if (!other?.colony || other === compartment)
      return ask(
        `Combine ${title} with which compartment?`,
        given.box.compartments.filter((each) => each !== compartment && each.colony).map(({ name }) => name),
      );
    return keep(
      `combined into ${other.name}`,
      act('combined', { ...inColony, intoBox: box.id, into: other.colony }),
    );
  }
  if (has('strips')) return stripsAct(read, inColony, context, title, has('out'));
  if (has('fed') || (find('feed') && read.numbers.length > 0)) return fedAct(read, inColony, title);
  if (has('taken') || find('fate')) {
    const fate = find('fate')?.fate;
    if (!fate) return ask('Where did the queen go?', Object.keys(fateWords));
    return keep(`queen taken, ${fateWords[fate]}`, act('queenTaken', { ...of, to: fate, beesRemain: true }));
  }
  if (has('failed') || reason) {
    const why: FailReason = reason ?? (has('no') && has('opened') ? 'cellNotOpened' : 'unknown');
    return keep(`failed, ${failWords[why]}`, act('failed', { ...of, reason: why }));
  }
  if (has('no') && has('eggs'))
    return entry(title, 'no eggs seen (a note)', [
      act('noted', inColony, read.note ? `No eggs seen. ${read.note}` : 'No eggs seen.'),
    ]);
  if (has('no') && has('opened'))
    return ask('Not opened: failed, or still to be looked at?', ['failed', 'note']);
  if (has('opened')) {
    if (!compartment.attempt) return ask(`No cell is recorded in ${title}.`);
    return keep('cell seen opened', act('cellOpened', { ...inColony, attempt: compartment.attempt }));
  }
  if (has('cell') || (has('round') && !has('eggs'))) {
    const number = read.numbers.find(({ unit }) => unit === 'round' || unit === '')?.value;
    const round = context.rounds.find((each) => each.number === number);
    if (number !== undefined && !round)
      return ask(
        `There is no round ${number}.`,
        context.rounds.map((each) => String(each.number)),
      );
    return keep(
      `cell given${round ? ` of round ${round.number}` : ''}`,
      act('cellGiven', { ...inColony, attempt: idFor(), ...(round ? { round: round.id } : {}) }),
    );
  }
  return broodAct(read, of, inColony, title, has);
}

function broodAct(
  read: Read,
  of: { box: string; colony: string; attempt?: string },
  inColony: { box: string; colony: string },
  title: string,
  has: (is: Meaning['is']) => boolean,
): QuickAnswer {
  const share = read.numbers.find(({ unit }) => unit === '%' || unit === 'percent' || unit === '');
  if (has('pattern') && !share) return ask('A pattern of how many per cent?');
  if (share && !(share.value >= 0 && share.value <= 100)) return ask(`${share.value} is no share of 100.`);
  const eggs = has('eggs') ? [act('eggsSeen', of)] : [];
  const pattern =
    share && (has('pattern') || has('eggs') || share.unit !== '')
      ? [act('patternScored', { ...of, pattern_pct: share.value })]
      : [];
  const acts = [...eggs, ...pattern];
  if (acts.length > 0) {
    const words = [eggs.length > 0 ? 'eggs seen' : '', pattern.length > 0 ? `pattern ${share?.value} %` : '']
      .filter(Boolean)
      .join(', ');
    return entry(title, words, acts, read.note);
  }
  if (read.note !== undefined) return entry(title, 'note', [act('noted', inColony, read.note)]);
  if (share) return ask(`${share.value} of what?`, ['pattern', 'fed']);
  return ask('What happened there?', ['eggs', 'pattern', 'cell', 'opened', 'failed', 'fed']);
}

function fedAct(read: Read, inColony: { box: string; colony: string }, title: string): QuickAnswer {
  const feed = read.feedRatio ?? read.meanings.find((meaning) => meaning.is === 'feed')?.feed;
  const amount = read.numbers.find(({ unit }) => unit in KG_PER);
  const bare = read.numbers[0];
  if (!amount)
    return ask(bare ? `${bare.value} of which: kg or lb?` : 'How much was fed?', bare ? ['kg', 'lb'] : []);
  if (!feed) return ask('What was fed?', ['syrup 1:1', 'syrup 2:1', 'fondant', 'patty', 'sugar']);
  const kg = amount.value * (KG_PER[amount.unit] ?? 1);
  if (!(kg > 0 && kg <= 30)) return ask(`${amount.value} ${amount.unit} is not fed at once.`);
  const amount_kg = Number(kg.toFixed(3));
  return entry(
    title,
    `fed ${amount_kg} kg of ${feedWords[feed]}`,
    [act('fed', { ...inColony, feed, amount_kg })],
    read.note,
  );
}

function stripsAct(
  read: Read,
  inColony: { box: string; colony: string },
  { today }: QuickContext,
  title: string,
  out: boolean,
): QuickAnswer {
  if (read.date === undefined)
    return out && read.names.length === 0
      ? entry(title, 'strips out', [act('stripsOut', inColony)], read.note)
      : ask('Out by which day, as the label says?');
  const year = Number(today.slice(0, 4));
  const dated = read.date.startsWith('-') ? `${year}${read.date}` : read.date;
  const outBy = read.date.startsWith('-') && dated <= today ? `${year + 1}${read.date}` : dated;
  if (Number.isNaN(Date.parse(outBy)) || new Date(outBy).toISOString().slice(0, 10) !== outBy)
    return ask(`${outBy} is no day.`);
  if (outBy <= today) return ask('Strips come out on a day that is still to come.');
  const product = read.names.join(' ') || 'Strips';
  return entry(
    title,
    `${product} put in, out by ${outBy}`,
    [act('stripsPut', { ...inColony, product, outBy })],
    read.note,
  );
}

/** A note at the end of a line stays with its first entry. */
function entry(title: string, words: string, acts: QuickAct[], note?: string): QuickAnswer {
  const [first, ...others] = acts;
  const kept = note && first ? [{ ...first, note } as QuickAct, ...others] : acts;
  return {
    is: 'entry',
    words: `${title}: ${words}${note && words !== 'note' ? ', with a note' : ''}`,
    acts: kept,
  };
}
