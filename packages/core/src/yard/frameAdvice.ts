import type { CombSide, Frame } from '@yellow-cell/contract';
import type { Constants } from '../constants/registry.ts';

/** What becomes of a frame where the cavity is reduced (handbook 7, frame by frame). */
export type FrameVerdict = 'keep' | 'turn' | 'out';
export interface FrameAdvice {
  verdict: FrameVerdict;
  reason: string;
}

const sum = (side: CombSide, ...of: (keyof CombSide)[]): number =>
  of.reduce((all, each) => all + (side[each] ?? 0), 0);

/**
 * The verdict on a frame by what its sides hold, in the order of the handbook's table: brood before stores before
 * pollen before comb. `inward` is the side that looks to the nest, where that is known.
 */
export function frameAdvice(
  { sides }: NonNullable<Frame['audit']>,
  { worthFeeling, drawnShare }: Constants,
  inward?: 0 | 1,
): FrameAdvice {
  const most = (...of: (keyof CombSide)[]): number => Math.max(...sides.map((side) => sum(side, ...of)));
  if (most('eggs', 'openBrood', 'sealed', 'drone') >= worthFeeling)
    return { verdict: 'keep', reason: 'brood on it; in the middle, its order kept.' };
  const undrawn = sides.map((side) => sum(side, 'partDrawn', 'foundation') >= drawnShare);
  const [first, other] = undrawn;
  if (most('stores') >= worthFeeling) {
    const open = first === other ? undefined : first ? 0 : 1;
    if (open !== undefined && inward !== undefined && open !== inward)
      return {
        verdict: 'turn',
        reason: 'stores on one side, the other not drawn: the undrawn side inward, to be finished.',
      };
    return { verdict: 'keep', reason: 'stores worth feeling; to the stores side, the heaviest outermost.' };
  }
  if (most('pollen') >= worthFeeling) return { verdict: 'keep', reason: 'pollen; next to the brood.' };
  if (sides.every((side) => (side.foundation ?? 0) >= drawnShare))
    return { verdict: 'out', reason: 'foundation.' };
  if (undrawn.some(Boolean)) return { verdict: 'out', reason: 'part drawn, and nothing in it.' };
  return {
    verdict: 'out',
    reason: 'empty drawn comb; as many stay as the feed still to be given will fill.',
  };
}

/** Which side of each frame looks to the nest: towards the middle of the frames with brood; none where there is no brood. */
export function inwardSides(
  audits: readonly (Frame['audit'] | undefined)[],
  { worthFeeling }: Constants,
): (0 | 1 | undefined)[] {
  const brood = audits.flatMap((audit, index) =>
    audit?.sides.some((side) => sum(side, 'eggs', 'openBrood', 'sealed', 'drone') >= worthFeeling)
      ? [index]
      : [],
  );
  const [low, high] = [brood[0], brood.at(-1)];
  return audits.map((_, index) => {
    if (low === undefined || high === undefined) return undefined;
    return index < low ? 1 : index > high ? 0 : undefined;
  });
}
