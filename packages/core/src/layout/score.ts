import { fitVerdict, framesWidth } from '../box/fit.ts';
import { below } from '../numbers.ts';

interface Spacing {
  pitch_mm: number;
  thickness_mm: number;
  hung?: boolean | undefined;
  barWidth_mm?: number | undefined;
}

/** What a layout is worth, in parts that add up to 1 (docs/models.md, layouts). */
const WEIGHT = { slack: 0.4, frames: 0.25, entrances: 0.2, convertible: 0.15 };
/** The middle of "right", in mm: slack is worth most here and nothing at 0 and at twice this. */
const BEST_SLACK_MM = 12;
/** From this many frames a weak compartment can be put right (handbook 9, frames per mating compartment). */
const ROOM_TO_SWAP = 3;
const SIDES = 4;
const ROOM_TO_LIFT_MM = 3;
/** A colony of its own wants at least this many frames. */
const LEAST_MERGED = 4;

export type Scorer = (frames: readonly number[]) => { score: number; why: string };

/** Scores rows of the same divider and slack; what they share is worked out once. */
export function scorerFor(spacing: Spacing, slack_mm: number): Scorer {
  const slack = Math.max(0, 1 - Math.abs(slack_mm - BEST_SLACK_MM) / BEST_SLACK_MM);
  const opening = `slack ${Math.round(slack_mm * 10) / 10} mm each, ${VERDICT_WORDS[fitVerdict(slack_mm)]}`;
  const mergedBySum = new Map<number, number | null>();
  const mergedFor = (together: number): number | null => {
    let found = mergedBySum.get(together);
    if (found === undefined) {
      found = mergedFrames(spacing, together, slack_mm);
      mergedBySum.set(together, found);
    }
    return found;
  };
  return (frames) => {
    let roomy = 0;
    let useful = 0;
    let firstMerged: number | null = null;
    for (let index = 0; index < frames.length; index++) {
      const count = frames[index] ?? 0;
      roomy += count >= ROOM_TO_SWAP ? 1 : count === 2 ? 0.5 : 0;
      const merged = index === 0 ? null : mergedFor((frames[index - 1] ?? 0) + count);
      if (merged === null) continue;
      useful += 1;
      firstMerged ??= merged;
    }
    roomy /= frames.length;
    const entrances = Math.min(1, SIDES / frames.length);
    const convertible = frames.length === 1 ? 0 : useful / (frames.length - 1);
    const score =
      WEIGHT.slack * slack +
      WEIGHT.frames * roomy +
      WEIGHT.entrances * entrances +
      WEIGHT.convertible * convertible;
    return { score, why: whyOf(opening, frames.length, roomy, entrances, firstMerged) };
  };
}

/** Frames of the compartment that pulling one divider makes, or null where they would not stand well. */
function mergedFrames(spacing: Spacing, together: number, slack_mm: number): number | null {
  if (together < LEAST_MERGED) return null;
  const width = 2 * slack_mm + spacing.thickness_mm + widthOfTwo(spacing, together);
  const free = width - framesWidth(together, spacing);
  const count = below(free - spacing.pitch_mm, ROOM_TO_LIFT_MM) ? together : together + 1;
  const verdict = fitVerdict(width - framesWidth(count, spacing));
  return verdict === 'tight' || verdict === 'right' || verdict === 'loose' ? count : null;
}

/** Both neighbours' frames before the divider is pulled: hung frames in two rooms take their outer bee spaces twice. */
function widthOfTwo(spacing: Spacing, together: number): number {
  return spacing.hung
    ? framesWidth(together, spacing) + framesWidth(1, spacing) - spacing.pitch_mm
    : framesWidth(together, spacing);
}

function whyOf(
  opening: string,
  compartments: number,
  roomy: number,
  entrances: number,
  merged: number | null,
): string {
  const room =
    roomy === 1
      ? '; room to swap frames in every compartment'
      : roomy < 0.75
        ? '; little room to put a weak one right'
        : '';
  const sides = entrances === 1 ? '; a side for each entrance' : '; entrances must share sides';
  const pulled =
    merged === null
      ? '; pulling a divider leaves frames that do not stand well'
      : `; pulling a divider gives ${merged} frames together`;
  return `${opening}${room}${sides}${compartments > 1 ? pulled : ''}.`;
}

const VERDICT_WORDS = {
  impossible: 'impossible',
  jams: 'frames jam',
  tight: 'tight',
  right: 'lifts well',
  loose: 'loose',
  board: 'wants a board',
} as const;
