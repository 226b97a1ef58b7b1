import type { KeptFrame, PreparedFrame } from '@yellow-cell/core';

/** The frames that stay, in their order from the left. */
export const keptOf = (frames: readonly PreparedFrame[]): KeptFrame[] =>
  frames
    .filter(({ to }) => to !== null)
    .sort((a, b) => (a.to ?? 0) - (b.to ?? 0))
    .map(({ slot, turned }) => ({ slot: slot.slot, turned }));

/** A frame put where another stands; one that was out stays from then on. */
export function carried(kept: readonly KeptFrame[], from: string, to: string): KeptFrame[] {
  const frame = kept.find(({ slot }) => slot === from) ?? { slot: from, turned: false };
  const at = kept.findIndex(({ slot }) => slot === to);
  const others = kept.filter(({ slot }) => slot !== from);
  return others.toSpliced(at < 0 ? others.length : at, 0, frame);
}

/** A frame that stays after all goes back beside those that stood left of it. */
export function besideItsOwn(
  frames: readonly PreparedFrame[],
  kept: readonly KeptFrame[],
  frame: KeptFrame,
): KeptFrame[] {
  const numberOf = (slot: string): number => frames.find((each) => each.slot.slot === slot)?.slot.number ?? 0;
  const at = kept.findIndex(({ slot }) => numberOf(slot) > numberOf(frame.slot));
  return kept.toSpliced(at < 0 ? kept.length : at, 0, frame);
}

/** What is dragged and dropped beside frames: the follower, and the part that it leaves empty. */
export const FOLLOWER = 'the follower';
export const BEYOND = 'beyond the follower';

/**
 * The follower put where a frame stands: that one and all beyond it come out, but for the last. Put beyond them, the
 * nearest frame that was out stays again.
 */
export function withFollowerAt(
  frames: readonly PreparedFrame[],
  kept: readonly KeptFrame[],
  over: string,
  end: 'left' | 'right',
): KeptFrame[] {
  const at = kept.findIndex(({ slot }) => slot === over);
  if (at >= 0)
    return end === 'left' ? kept.slice(0, Math.max(1, at)) : kept.slice(Math.min(at + 1, kept.length - 1));
  const out = frames.filter(({ slot }) => !kept.some((each) => each.slot === slot.slot));
  const edge = frames.find(({ slot }) => slot.slot === (end === 'left' ? kept.at(-1) : kept[0])?.slot);
  const far = ({ slot }: PreparedFrame): number => Math.abs(slot.number - (edge?.slot.number ?? 0));
  const [nearest] = out.sort((a, b) => far(a) - far(b));
  if (over !== BEYOND || !nearest) return [...kept];
  const frame = { slot: nearest.slot.slot, turned: false };
  return end === 'left' ? [...kept, frame] : [frame, ...kept];
}
