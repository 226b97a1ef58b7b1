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
