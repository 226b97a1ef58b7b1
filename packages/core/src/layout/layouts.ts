import type { Layout, LayoutsAnswer, LayoutsQuestion, Problem } from '@yellow-cell/contract';
import { framesWidth } from '../box/fit.ts';
import { above, below, TOLERANCE } from '../numbers.ts';
import { refuse } from '../problems.ts';
import { scorerFor } from './score.ts';

/** More answers than this are no help to choose from, and would only fill memory. */
const MOST_LAYOUTS = 200_000;

/**
 * Every layout of a body with equal slack within the bounds: all numbers of compartments, all frames in each,
 * one divider thickness throughout; of two mirror images the one that reads larger; best first.
 * Throws `ProblemsError`.
 */
export function layouts(question: LayoutsQuestion): LayoutsAnswer {
  return { layouts: [...layoutGroups(question)].flat().sort(byScore) };
}

/** The same as it is found, one group for each thickness and number of compartments, so that a screen can show the first at once. */
export function* layoutGroups(question: LayoutsQuestion): Generator<Layout[]> {
  refuse(layoutsProblems(question));
  for (const thickness_mm of distinct(question.thicknesses_mm)) {
    for (let count = question.compartments.min; count <= question.compartments.max; count++) {
      const found: Layout[] = [];
      for (const sum of sumsThatFit(question, thickness_mm, count)) {
        const { slack_mm } = sum;
        const score = scorerFor({ ...question, thickness_mm }, slack_mm);
        eachRow(question, count, sum, (frames) => {
          if (!isMirrored(frames))
            found.push({ thickness_mm, frames: [...frames], slack_mm, ...score(frames) });
        });
      }
      yield found;
    }
  }
}

/** Better first; then the thinner divider, then the frames that read larger, so that the order never depends on chance. */
function byScore(a: Layout, b: Layout): number {
  return b.score - a.score || a.thickness_mm - b.thickness_mm || compareFrames(b.frames, a.frames);
}

function compareFrames(a: readonly number[], b: readonly number[]): number {
  const at = a.findIndex((count, index) => count !== b[index]);
  return at === -1 ? a.length - b.length : (a[at] ?? 0) - (b[at] ?? 0);
}

/** True where the same layout read from the other side is larger. */
function isMirrored(frames: readonly number[]): boolean {
  for (let left = 0, right = frames.length - 1; left < right; left++, right--) {
    const difference = (frames[left] ?? 0) - (frames[right] ?? 0);
    if (difference !== 0) return difference < 0;
  }
  return false;
}

/** Frames in all, and how many compartments have none: rows alike in both are as wide as each other. */
interface Sum {
  frames: number;
  empty: number;
}

function sumsThatFit(
  question: LayoutsQuestion,
  thickness_mm: number,
  count: number,
): (Sum & { slack_mm: number })[] {
  const { framesEach, slack_mm: bounds } = question;
  const found: (Sum & { slack_mm: number })[] = [];
  for (let empty = 0; empty <= (framesEach.min === 0 ? count : 0); empty++) {
    const filled = count - empty;
    for (let frames = filled * Math.max(1, framesEach.min); frames <= filled * framesEach.max; frames++) {
      const slack_mm = slackOf(question, thickness_mm, count, { frames, empty });
      if (empty > 0 && !above(slack_mm, 0)) continue; // an empty compartment would have no width
      if (!below(slack_mm, bounds.min) && !above(slack_mm, bounds.max))
        found.push({ frames, empty, slack_mm });
    }
  }
  return found;
}

function slackOf(
  question: LayoutsQuestion,
  thickness_mm: number,
  count: number,
  { frames, empty }: Sum,
): number {
  const { hung, pitch_mm, insideWidth_mm } = question;
  const ends = hung ? (count - empty) * (framesWidth(1, question) - pitch_mm) : 0;
  return (insideWidth_mm - (count - 1) * thickness_mm - frames * pitch_mm - ends) / count;
}

/** Walks every row of `count` compartments with just these frames in all; no branch is entered that has no end. */
function eachRow(
  { framesEach }: LayoutsQuestion,
  count: number,
  sum: Sum,
  visit: (frames: readonly number[]) => void,
): void {
  const least = Math.max(1, framesEach.min);
  const row = new Array<number>(count).fill(0);
  const place = (index: number, frames: number, empty: number): void => {
    if (index === count) {
      visit(row);
      return;
    }
    const after = count - index - 1;
    const goesOn = (left: number, emptyLeft: number): boolean => {
      const filled = after - emptyLeft;
      return emptyLeft >= 0 && filled >= 0 && left >= filled * least && left <= filled * framesEach.max;
    };
    if (goesOn(frames, empty - 1)) {
      row[index] = 0;
      place(index + 1, frames, empty - 1);
    }
    for (let each = least; each <= framesEach.max; each++) {
      if (!goesOn(frames - each, empty)) continue;
      row[index] = each;
      place(index + 1, frames - each, empty);
    }
  };
  place(0, sum.frames, sum.empty);
}

const distinct = (values: readonly number[]): number[] =>
  values.filter(
    (value, index) => values.findIndex((other) => Math.abs(other - value) <= TOLERANCE) === index,
  );

/** What makes the question unanswerable beyond the range of single fields. */
export function layoutsProblems(question: LayoutsQuestion): Problem[] {
  const upsideDown = RANGES.flatMap((field) => rangeProblems(field, question));
  return upsideDown.length > 0 ? upsideDown : tooManyLayouts(question);
}

export const RANGES = ['compartments', 'framesEach', 'slack_mm'] as const;
type Range = (typeof RANGES)[number];
export function rangeProblems<F extends Range>(field: F, question: Pick<LayoutsQuestion, F>): Problem[] {
  const { min, max } = question[field];
  return above(min, max)
    ? [{ path: `${field}.max`, value: max, sentence: `The most (${max}) is below the least (${min}).` }]
    : [];
}

export function tooManyLayouts(question: LayoutsQuestion): Problem[] {
  if (countUpTo(question, MOST_LAYOUTS) <= MOST_LAYOUTS) return [];
  const sentence = `More than ${MOST_LAYOUTS.toLocaleString('en')} layouts fit; ask for fewer compartments, frames or less slack.`;
  return [{ path: 'compartments.max', value: question.compartments.max, sentence }];
}

/** How many layouts there are, each mirror image counted as half of one, without walking them; exact up to `enough`. */
function countUpTo(question: LayoutsQuestion, enough: number): number {
  const { compartments } = question;
  let total = 0;
  let ways: Ways = [Float64Array.of(1)];
  for (let count = 1; count <= compartments.max && total <= enough; count++) {
    ways = withOneMore(ways, question, 4 * enough);
    if (count < compartments.min) continue;
    for (const thickness_mm of distinct(question.thicknesses_mm))
      for (const { frames, empty } of sumsThatFit(question, thickness_mm, count))
        total += (ways[empty]?.[frames] ?? 0) / 2;
  }
  return total;
}

/** In how many rows there are so many frames in all (second index), and so many compartments without any (first). */
type Ways = readonly Float64Array[];

/** The same with one compartment more; what passes `cap` is only known to. */
function withOneMore(ways: Ways, { framesEach }: LayoutsQuestion, cap: number): Ways {
  const least = Math.max(1, framesEach.min);
  const empties = framesEach.min === 0 ? ways.length + 1 : ways.length;
  const mostFrames = (ways[0]?.length ?? 1) - 1 + framesEach.max;
  return Array.from({ length: empties }, (_, empty) => {
    const before = ways[empty] ?? NONE;
    const oneEmptyLess = framesEach.min === 0 ? (ways[empty - 1] ?? NONE) : NONE;
    const next = new Float64Array(mostFrames + 1);
    // Rows that get from `least` to the most frames in the new compartment: a window that moves along.
    let inWindow = 0;
    for (let frames = 0; frames <= mostFrames; frames++) {
      if (framesEach.max >= least)
        inWindow += (before[frames - least] ?? 0) - (before[frames - framesEach.max - 1] ?? 0);
      next[frames] = Math.min(cap, inWindow + (oneEmptyLess[frames] ?? 0));
    }
    return next;
  });
}
const NONE = new Float64Array();
