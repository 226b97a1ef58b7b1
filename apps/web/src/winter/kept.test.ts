import type { PreparedFrame } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { BEYOND, carried, keptOf, withFollowerAt } from './kept.ts';

/** Six frames, the second to the fifth of which stay, as they hang. */
const frames = [1, 2, 3, 4, 5, 6].map(
  (number) =>
    ({
      slot: { slot: `s${number}`, number },
      to: number > 1 && number < 6 ? number - 1 : null,
      turned: number === 3,
    }) as unknown as PreparedFrame,
);
const kept = keptOf(frames);
const slots = (some: readonly { slot: string }[]) => some.map(({ slot }) => slot).join(' ');

describe('frames that stay', () => {
  it('are in their places, and carried to another', () => {
    expect(slots(kept)).toBe('s2 s3 s4 s5');
    expect(slots(carried(kept, 's5', 's2'))).toBe('s5 s2 s3 s4');
    expect(slots(carried(kept, 's6', 's3'))).toBe('s2 s6 s3 s4 s5');
  });

  it('end at the follower: all beyond it come out, from either end, and what stays is not turned anew', () => {
    const left = withFollowerAt(frames, kept, 's4', 'left');
    expect(slots(left)).toBe('s2 s3');
    expect(left[1]?.turned).toBe(true);
    expect(slots(withFollowerAt(frames, kept, 's3', 'right'))).toBe('s4 s5');
    // One stays at least.
    expect(slots(withFollowerAt(frames, kept, 's2', 'left'))).toBe('s2');
    expect(slots(withFollowerAt(frames, kept, 's5', 'right'))).toBe('s5');
  });

  it('are one more where the follower is put beyond them, and as they were where no frame is out', () => {
    expect(slots(withFollowerAt(frames, kept, BEYOND, 'left'))).toBe('s2 s3 s4 s5 s6');
    expect(slots(withFollowerAt(frames, kept, BEYOND, 'right'))).toBe('s1 s2 s3 s4 s5');
    const all = frames.map(({ slot }) => ({ slot: slot.slot, turned: false }));
    expect(slots(withFollowerAt(frames, all, BEYOND, 'left'))).toBe(slots(all));
    expect(slots(withFollowerAt(frames, kept, 'elsewhere', 'left'))).toBe(slots(kept));
  });
});
