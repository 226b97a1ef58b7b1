import { describe, expect, it } from 'vitest';
import { hasEqualSlack, withDividerAt } from './editDesign.ts';
import {
  framesOf,
  rearranged,
  thicknessOf,
  withCompartmentCount,
  withFramesIn,
  withThickness,
} from './reviseDesign.ts';
import { standardDesign } from './standardDesign.ts';

const threeWay = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [3, 2, 3] });
const moved = withDividerAt(threeWay, threeWay.boards[0]?.id ?? '', { mm: 130, typed: '13 cm' });

describe('revising a design', () => {
  it('keeps the frames there are when compartments come or go', () => {
    expect(framesOf(withCompartmentCount(threeWay, 4))).toEqual([3, 2, 3, 3]);
    expect(framesOf(withCompartmentCount(threeWay, 2))).toEqual([3, 2]);
    expect(framesOf(withFramesIn(threeWay, 1, 4))).toEqual([3, 4, 3]);
  });

  it('spreads dividers again where they stood at equal slack, and leaves them where somebody put them', () => {
    const wider = { insideWidth: { mm: 380 } };
    expect(hasEqualSlack(rearranged(threeWay, { ...threeWay, ...wider }))).toBe(true);
    expect(rearranged(moved, { ...moved, ...wider }).grooves).toEqual(moved.grooves);
    expect(withThickness(moved, { mm: 4 }).grooves).toEqual(moved.grooves);
    expect(hasEqualSlack(withThickness(threeWay, { mm: 4 }))).toBe(true);
  });

  it('gives all dividers one thickness, as it was typed', () => {
    const thin = withThickness(threeWay, { mm: 3.175, typed: '1/8"' });
    expect(thin.boards.map(({ thickness }) => thickness)).toEqual([
      { mm: 3.175, typed: '1/8"' },
      { mm: 3.175, typed: '1/8"' },
    ]);
    expect(thicknessOf(withCompartmentCount(thin, 1))).toEqual({ mm: 9.5 });
  });
});
