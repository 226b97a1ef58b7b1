import type { Feed } from '@yellow-cell/contract';
import { ask, type QuickAnswer } from './answer.ts';
import { type Meaning, meaningsOf } from './words.ts';

export interface Read {
  meanings: Meaning[];
  /** With the word as it was typed. */
  numbers: { value: number; unit: string; typed: string }[];
  feedRatio?: Feed;
  /** Seams of bees, and frames of brood, where a number stands beside the word. */
  seams?: number;
  broodFrames?: number;
  note?: string;
  date?: string;
  /** Words that stand for themselves, like the name of a product. */
  names: string[];
}

/** Every word's meaning; what has none, or more than one, is asked. */
export function readWords(words: readonly string[]): Read | QuickAnswer {
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
      const counts = number[1] || unit !== '' ? undefined : countedBy(words[index - 1], words[index + 1]);
      const count = Number(number[2]?.replace(',', '.'));
      if (counts === 'seams' || (counts === 'broodFrames' && count <= MOST_BROOD_FRAMES)) {
        read[counts] = count;
        continue;
      }
      read.numbers.push({
        value: Number(number[2]?.replace(',', '.')),
        unit: number[1] ? 'round' : unit,
        typed,
      });
    } else {
      const named = read.meanings.some(({ is }) => is === 'strips');
      const found = meaningsOf(lower).filter(({ word }) => !named || word === lower);
      if (found.length > 1)
        return ask(
          `“${typed}” may mean two things.`,
          found.map(({ word }) => word),
          typed,
        );
      const [only] = found;
      if (only) read.meanings.push(only.meaning);
      else if (named) read.names.push(typed);
      else return ask(`“${typed}” is not understood; after “note” anything can stand.`);
    }
  }
  return read;
}

/** “Brood 85” is a pattern, “brood 2” are frames: no compartment has more. */
const MOST_BROOD_FRAMES = 12;
/** What a bare number counts, by the word before it, or after it. */
function countedBy(
  before: string | undefined,
  after: string | undefined,
): 'seams' | 'broodFrames' | undefined {
  const [one, other] = [before?.toLowerCase() ?? '', after?.toLowerCase() ?? ''];
  if (BEES.includes(one) || SEAMS.includes(other)) return 'seams';
  return one === 'brood' ? 'broodFrames' : undefined;
}
const SEAMS = ['seam', 'seams'];
const BEES = ['bees', ...SEAMS];

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
