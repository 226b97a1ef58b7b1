import type { FitAnswer, FitQuestion, FitVerdict, Problem } from '@yellow-cell/contract';
import { above, below, TOLERANCE } from '../numbers.ts';
import { refuse } from '../problems.ts';

/** Fit of frames in compartments (handbook 2, fit). Lengths in mm, x from the inside left wall. */
const DEFAULT_BAR_MM = 25;
/** Hung frames want a bee space beside each outer bar. */
const HUNG_SIDE_MM = 6;
/** One more frame may go in where this much stays free beside it. */
const ROOM_TO_LIFT_MM = 3;
/** Verdicts by slack: each holds up to, and without, its limit. */
const VERDICT_BELOW: readonly (readonly [number, FitVerdict])[] = [
  [0, 'impossible'],
  [3, 'jams'],
  [8, 'tight'],
  [16, 'right'],
];
const MOST_LOOSE_MM = 24;

type Spacing = Pick<FitQuestion, 'pitch_mm' | 'hung' | 'barWidth_mm'>;

/** Width that `count` frames take: pitch each where they space themselves, or hung apart by hand. */
export function framesWidth(
  count: number,
  { pitch_mm, hung = false, barWidth_mm = DEFAULT_BAR_MM }: Spacing,
): number {
  if (count === 0) return 0;
  return hung ? (count - 1) * pitch_mm + barWidth_mm + 2 * HUNG_SIDE_MM : count * pitch_mm;
}

export function fitVerdict(slack_mm: number): FitVerdict {
  const found = VERDICT_BELOW.find(([limit]) => below(slack_mm, limit));
  if (found) return found[1];
  return above(slack_mm, MOST_LOOSE_MM) ? 'board' : 'loose';
}

/**
 * Where each divider stands and the slack each compartment has. Places not given are chosen so that all
 * slacks are equal. Throws `ProblemsError` where `fitProblems` finds any.
 */
export function fit(question: FitQuestion): FitAnswer {
  refuse(fitProblems(question));
  const { insideWidth_mm, frames } = question;
  const dividers = placedDividers(question);
  const compartments = frames.map((count, index) => {
    const left = dividers[index - 1];
    const start = left ? left.at_mm + left.thickness_mm : 0;
    const width_mm = (dividers[index]?.at_mm ?? insideWidth_mm) - start;
    return fitOf(width_mm, count, question);
  });
  return { compartments, dividers };
}

/** The fit of `count` frames in a compartment so wide. */
export function fitOf(width_mm: number, count: number, spacing: Spacing): FitAnswer['compartments'][number] {
  const slack_mm = width_mm - framesWidth(count, spacing);
  return {
    width_mm,
    frames: count,
    slack_mm,
    verdict: fitVerdict(slack_mm),
    oneMoreFits: !below(slack_mm - spacing.pitch_mm, ROOM_TO_LIFT_MM),
  };
}

function placedDividers(question: FitQuestion): FitAnswer['dividers'] {
  const slack_mm = equalSlack(question);
  let face = 0;
  return question.dividers.map(({ thickness_mm, at_mm }, index) => {
    const placed = at_mm ?? face + framesWidth(question.frames[index] ?? 0, question) + slack_mm;
    face = placed + thickness_mm;
    return { at_mm: placed, thickness_mm };
  });
}

/** The slack that every compartment has when the dividers stand for it, in mm; below 0 where they cannot. */
function equalSlack(question: FitQuestion): number {
  let left = question.insideWidth_mm;
  for (const { thickness_mm } of question.dividers) left -= thickness_mm;
  for (const count of question.frames) left -= framesWidth(count, question);
  return left / question.frames.length;
}

/** What makes the question unanswerable beyond the range of single fields. An empty list: `fit` answers. */
export function fitProblems(question: FitQuestion): Problem[] {
  return [
    ...fitCountProblems(question),
    ...fitPlacesMissing(question),
    ...fitPlaceProblems(question),
    ...fitWidthProblems(question),
  ];
}

type HowMany = { readonly length: number };
export function fitCountProblems({ frames, dividers }: { frames: HowMany; dividers: HowMany }): Problem[] {
  if (frames.length === dividers.length + 1) return [];
  return [
    {
      path: 'frames',
      value: frames.length,
      sentence: `${dividers.length} divider${dividers.length === 1 ? ' makes' : 's make'} ${dividers.length + 1} compartments, but frames are given for ${frames.length}.`,
    },
  ];
}

type Dividers = Pick<FitQuestion, 'dividers'>;
const noneIsPlaced = ({ dividers }: Dividers): boolean => dividers.every(({ at_mm }) => at_mm === undefined);

export function fitPlacesMissing(question: Dividers): Problem[] {
  if (noneIsPlaced(question)) return [];
  return question.dividers.flatMap(({ at_mm }, index) =>
    at_mm === undefined
      ? [{ path: `dividers.${index}.at_mm`, sentence: 'Give the place of every divider or of none.' }]
      : [],
  );
}

export function fitWidthProblems(question: FitQuestion): Problem[] {
  if (!noneIsPlaced(question) || fitCountProblems(question).length > 0) return [];
  const slack_mm = equalSlack(question);
  return question.frames.flatMap((count, index) => {
    const width_mm = framesWidth(count, question) + slack_mm;
    if (!(width_mm <= TOLERANCE)) return [];
    const sentence = `Compartment ${index + 1} would have no width: it is short by ${figure(-width_mm)} mm.`;
    return [{ path: `frames.${index}`, value: count, sentence }];
  });
}

export function fitPlaceProblems({
  insideWidth_mm,
  dividers,
}: Pick<FitQuestion, 'insideWidth_mm' | 'dividers'>): Problem[] {
  const problems: Problem[] = [];
  let face = 0;
  dividers.forEach(({ at_mm, thickness_mm }, index) => {
    if (at_mm === undefined) return;
    const say = (sentence: string) =>
      problems.push({ path: `dividers.${index}.at_mm`, value: at_mm, sentence });
    const end = at_mm + thickness_mm;
    const last = index === dividers.length - 1;
    if (below(at_mm, 0)) say(`Divider ${index + 1} starts ${figure(-at_mm)} mm outside the left wall.`);
    else if (above(end, insideWidth_mm)) {
      say(`Divider ${index + 1} ends ${figure(end - insideWidth_mm)} mm outside the right wall.`);
    } else if (below(at_mm, face))
      say(`Divider ${index + 1} overlaps the one before it by ${figure(face - at_mm)} mm.`);
    else if (!above(at_mm, face)) say(`Compartment ${index + 1} would have no width.`);
    if (last && !above(insideWidth_mm, end) && !above(end, insideWidth_mm)) {
      say(`Compartment ${index + 2} would have no width.`);
    }
    face = Math.max(face, end);
  });
  return problems;
}

const figure = (mm: number): string => String(Math.round(mm * 100) / 100);
