import { boxFromAbove, deriveBox, standardDesign } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { centreOf, lying, standing } from './place.ts';

const drawing = boxFromAbove(
  deriveBox(standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [3, 3, 3] })),
);
const wall = (id: string) => {
  const found = drawing.rects.find((rect) => rect.role === 'wall' && rect.id === id);
  if (!found) throw new Error(`no ${id} wall`);
  return found;
};

describe('a box lying on the sheet', () => {
  const { rect } = lying(2, 100, 50, drawing);
  it('has its front at the left and x = 0 at the top', () => {
    expect(rect(wall('front')).x).toBe(100);
    expect(rect(wall('left')).y).toBe(50);
    expect(centreOf(rect(wall('front'))).x).toBeLessThan(centreOf(rect(wall('back'))).x);
    expect(centreOf(rect(wall('left'))).y).toBeLessThan(centreOf(rect(wall('right'))).y);
  });
  it('is to scale: twice as many units as millimetres', () => {
    expect(rect(wall('back')).width).toBeCloseTo(2 * 19, 9);
    expect(rect(wall('left')).width).toBeCloseTo(2 * 465, 9);
  });
});

describe('a box standing in the yard', () => {
  const { rect } = standing(0.5, drawing);
  it('has its front towards the viewer, is centred, and is not mirrored', () => {
    expect(centreOf(rect(wall('front'))).y).toBeGreaterThan(centreOf(rect(wall('back'))).y);
    expect(centreOf(rect(wall('left'))).x).toBeLessThan(centreOf(rect(wall('right'))).x);
    expect(centreOf(rect(wall('left'))).x).toBeCloseTo(-centreOf(rect(wall('right'))).x, 9);
  });
  it('keeps distances', () => {
    const across = centreOf(rect(wall('right'))).x - centreOf(rect(wall('left'))).x;
    expect(across).toBeCloseTo((373 + 19) * 0.5, 9);
  });
});
