import { describe, expect, it } from 'vitest';
import { scorerFor } from './score.ts';

const spacing = { pitch_mm: 34.9, thickness_mm: 9.5 };
const score = (frames: number[], slack_mm = 12) => scorerFor(spacing, slack_mm)(frames);

describe('the score of a layout', () => {
  it('is best in the middle of "right", and falls to either side', () => {
    for (const other of [0, 3, 8, 16, 24])
      expect(score([9], 12).score).toBeGreaterThan(score([9], other).score);
    expect(score([9], 24).score).toBeCloseTo(score([9], 40).score, 9);
  });

  it('prefers room to swap, and a side for each entrance', () => {
    expect(score([3, 3, 3]).score).toBeGreaterThan(score([3, 3, 2]).score);
    expect(score([2, 2, 2, 2]).score).toBeGreaterThan(score([2, 2, 2, 2, 2]).score);
    expect(score([1, 1, 1]).score).toBeLessThan(score([2, 2, 2]).score);
  });

  it('counts a divider as convertible where pulling it leaves frames that stand well', () => {
    // Two fives at 7.25 mm and 9.5 of board leave 24 mm: ten frames stand loose.
    expect(score([5, 5], 7.25).why).toContain('gives 10 frames together');
    // Two threes at 13.3 leave 36.1 mm: one more frame fits, though only just.
    expect(score([3, 3], 13.3).why).not.toContain('6 frames together');
    expect(score([1, 1], 12).why).toContain('do not stand well');
  });

  it('stays between 0 and 1 and always says why', () => {
    for (const frames of [[1], [9], [2, 2], [0, 0, 0], [5, 4, 3, 2, 1]]) {
      for (const slack of [0, 5, 12, 30]) {
        const { score: value, why } = score(frames, slack);
        expect(value).toBeGreaterThanOrEqual(0);
        expect(value).toBeLessThanOrEqual(1);
        expect(why).toMatch(/^slack .*\.$/);
      }
    }
  });
});
