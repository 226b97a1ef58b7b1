import type { FitAnswer, FitVerdict, Units } from '@yellow-cell/contract';
import { showLength } from '../units/length.ts';

/** The verdict in one word, for a tight place. */
export const fitWord: Readonly<Record<FitVerdict, string>> = {
  impossible: 'Impossible',
  jams: 'Jams',
  tight: 'Tight',
  right: 'Good',
  loose: 'Loose',
  board: 'Wants a board',
};

/** The verdict on one compartment in plain words, with its figure (handbook 2, fit). */
export function fitSentence(
  { slack_mm, verdict, oneMoreFits }: FitAnswer['compartments'][number],
  units: Units,
): string {
  const slack = showLength(Math.abs(slack_mm), units);
  switch (verdict) {
    case 'impossible':
      return `The frames need ${slack} more than there is.`;
    case 'jams':
      return `Only ${slack} to spare: frames jam, and the first one out rolls bees, perhaps the queen.`;
    case 'tight':
      return `${slack} to spare: lift slowly; propolis will close it.`;
    case 'right':
      return `${slack} to spare: frames lift well.`;
    case 'loose':
      return `${slack} to spare: brace comb on the outer faces; set the frames to the middle or add a thin dummy.`;
    case 'board':
      return oneMoreFits
        ? `${slack} to spare: one more frame fits, or a dummy.`
        : `${slack} to spare: a dummy or a follower is due.`;
  }
}
