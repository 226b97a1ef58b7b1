import { actsOf } from './acts.ts';
import { ask, type QuickAnswer } from './answer.ts';
import type { QuickContext } from './context.ts';
import { readWords } from './readWords.ts';
import { boxIn, compartmentIn } from './where.ts';
import { type Meaning, meaningsOf } from './words.ts';

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

/** The line once a question of it is answered: what was typed amiss gives way, and nothing gets into the note. */
export function withChoice(
  line: string,
  { instead }: Extract<QuickAnswer, { is: 'ask' }>,
  choice: string,
): string {
  const [, spoken = line, note] = NOTE.exec(line) ?? [];
  const at = instead === undefined ? -1 : spoken.lastIndexOf(instead);
  const said =
    instead === undefined || at < 0
      ? `${spoken.trim()} ${choice}`
      : `${spoken.slice(0, at)}${choice}${spoken.slice(at + instead.length)}`.trim();
  return note === undefined ? said : `${said} note ${note}`;
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
  'stock',
  'seams',
  'queen',
  'marked',
  'wild',
  'virgin',
  'weigh',
  'cover',
  'trouble',
];
const isVerb = (word: string): boolean =>
  meaningsOf(word.toLowerCase()).some(({ meaning }) => verbs.includes(meaning.is));
