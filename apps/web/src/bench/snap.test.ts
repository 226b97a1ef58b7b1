import {
  dividerRange,
  equalPlaces,
  familyDesign,
  hasEqualSlack,
  mainBody,
  withoutPart,
} from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { snapBoard, withSnapped } from './snap.ts';

const design = familyDesign('threeWay');
const body = mainBody(design);
const board = body.boards[0]?.id ?? '';
const even = equalPlaces(body)[0]?.at_mm ?? 0;

describe('a dragged board', () => {
  it('is caught by equal slack when it comes near, and stands on half millimetres elsewhere', () => {
    expect(snapBoard(body, board, even + 0.8)).toEqual({
      at: even,
      caught: 'equal slack',
      groove: undefined,
    });
    expect(snapBoard(body, board, 90.3)).toEqual({ at: 90.5, caught: undefined, groove: undefined });
  });

  it('is caught where its frames have bee space at both sides', () => {
    // Three frames of 34.9 and twice 7.75.
    expect(snapBoard(body, board, 120.9)).toMatchObject({
      at: 3 * 34.9 + 15.5,
      caught: 'bee space at the left',
    });
  });

  it('goes over into an empty groove', () => {
    const pulled = withoutPart(design, board);
    const now = mainBody(pulled);
    const [left, right] = now.boards.map(({ id }) => id);
    expect(right).toBeUndefined();
    const snap = snapBoard(now, left ?? '', (now.grooves[0]?.at.mm ?? 0) + 2);
    expect(snap).toMatchObject({ caught: 'groove', groove: now.grooves[0]?.id });
    const moved = mainBody(withSnapped(pulled, left ?? '', snap));
    expect(moved.boards[0]?.groove).toBe(now.grooves[0]?.id);
  });

  it('stands where it was caught, and never outside what its neighbours leave', () => {
    const [least, most] = dividerRange(body, board);
    expect(least).toBeLessThan(even);
    expect(most).toBeGreaterThan(even);
    const moved = withSnapped(design, board, { at: 100, caught: undefined, groove: undefined });
    expect(mainBody(moved).grooves[0]?.at.mm).toBe(100);
    expect(hasEqualSlack(mainBody(withSnapped(moved, board, snapBoard(mainBody(moved), board, even))))).toBe(
      true,
    );
  });
});
