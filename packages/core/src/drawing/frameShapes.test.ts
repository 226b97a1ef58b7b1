import type { Family, Slot } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import type { FrameSolid } from '../box/solids.ts';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { frameCutOpen, frameFromAbove } from './frameShapes.ts';
import type { RectShape } from './shapes.ts';

const HOLDS: readonly Slot['holds'][] = ['comb', 'feeder', 'grafts', 'bank', 'display'];
const frameOf = (family: Family, holds: Slot['holds']): FrameSolid => {
  const [frame] = deriveBox(familyDesign(family)).frames;
  if (!frame) throw new Error('A box without frames.');
  return { ...frame, holds };
};
const counted = (shapes: readonly RectShape[], role: RectShape['role']): number =>
  shapes.filter((shape) => shape.role === role).length;
const beyond = (shapes: readonly RectShape[], x: readonly [number, number], y: readonly [number, number]) =>
  shapes.filter(
    (shape) =>
      shape.x < x[0] - 1e-9 ||
      shape.x + shape.width > x[1] + 1e-9 ||
      shape.y < y[0] - 1e-9 ||
      shape.y + shape.height > y[1] + 1e-9 ||
      shape.width <= 0 ||
      shape.height <= 0,
  );

describe('what hangs in a frame’s place', () => {
  it.each(HOLDS)('is a %s no larger than a frame there, in every view and family', (holds) => {
    for (const { family } of families) {
      const frame = frameOf(family, holds);
      expect([family, beyond(frameFromAbove(frame), frame.x, frame.bar)]).toEqual([family, []]);
      expect([family, beyond(frameCutOpen(frame, 'across'), frame.x, frame.z)]).toEqual([family, []]);
      expect([family, beyond(frameCutOpen(frame, 'along'), frame.bar, frame.z)]).toEqual([family, []]);
    }
  });

  it('is three bars of fifteen cells, or of sixteen cages, in a Langstroth deep', () => {
    const cells = frameCutOpen(frameOf('threeWay', 'grafts'), 'along');
    expect([counted(cells, 'bar'), counted(cells, 'cell')]).toEqual([3, 45]);
    const cages = frameCutOpen(frameOf('threeWay', 'bank'), 'along');
    expect([counted(cages, 'bar'), counted(cages, 'cage')]).toEqual([3, 48]);
    // Across one of each bar is seen, from above one row.
    expect(counted(frameCutOpen(frameOf('threeWay', 'grafts'), 'across'), 'cell')).toBe(3);
    expect(counted(frameFromAbove(frameOf('threeWay', 'bank')), 'cage')).toBe(16);
    // A shallow one has fewer bars.
    const shallow = { ...frameOf('threeWay', 'grafts'), z: [0, 137] as const };
    expect(counted(frameCutOpen(shallow, 'along'), 'cell')).toBe(15);
  });

  it('hangs each cell from its bar, and none into the next', () => {
    const cells = frameCutOpen(frameOf('threeWay', 'grafts'), 'along');
    const bars = cells.filter(({ role }) => role === 'bar').map(({ y }) => y);
    const ends = [...new Set(cells.filter(({ role }) => role === 'cell').map(({ y, height }) => y + height))];
    expect(ends).toEqual(bars);
  });

  it('is a trough three quarters full, or comb within its wood', () => {
    const frame = frameOf('threeWay', 'feeder');
    const feed = frameCutOpen(frame, 'along').find(({ role }) => role === 'feed');
    expect((feed?.y ?? 0) + (feed?.height ?? 0)).toBeCloseTo(
      frame.z[0] + 0.75 * (frame.z[1] - frame.z[0]),
      9,
    );
    const comb = frameCutOpen(frameOf('threeWay', 'comb'), 'along').find(({ role }) => role === 'frame');
    expect(comb?.width).toBeCloseTo(frame.y[1] - frame.y[0] - 16, 9);
  });
});
