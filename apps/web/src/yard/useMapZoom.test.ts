// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { useMapZoom } from './useMapZoom.ts';

const SIZE = { width: 900, height: 600 };
const point = fc.record({
  x: fc.double({ min: 0, max: SIZE.width, noNaN: true }),
  y: fc.double({ min: 0, max: SIZE.height, noNaN: true }),
});
const step = fc.oneof(
  fc.record({ times: fc.double({ min: 0.2, max: 5, noNaN: true }), about: point }),
  fc.record({
    dx: fc.double({ min: -2_000, max: 2_000, noNaN: true }),
    dy: fc.double({ min: -2_000, max: 2_000, noNaN: true }),
  }),
  fc.record({ centre: point }),
);

describe('looking nearer at a map', () => {
  it('never shows beyond its edges, nor nearer than is of use, whatever is done', () => {
    fc.assert(
      fc.property(
        fc.array(step, { maxLength: 12 }),
        fc.double({ min: 1, max: 9, noNaN: true }),
        (steps, nearest) => {
          const { result } = renderHook(() => useMapZoom(SIZE, nearest));
          for (const each of steps) {
            act(() => {
              if ('times' in each) result.current.zoomBy(each.times, each.about);
              else if ('centre' in each) result.current.centreOn(each.centre.x, each.centre.y);
              else result.current.moveBy(each.dx, each.dy);
            });
            const { k, x, y } = result.current.at;
            expect(k).toBeGreaterThanOrEqual(1);
            expect(k).toBeLessThanOrEqual(nearest);
            for (const [edge, size] of [
              [x, SIZE.width],
              [y, SIZE.height],
            ] as const) {
              expect(edge).toBeLessThanOrEqual(0);
              expect(edge + size * k).toBeGreaterThanOrEqual(size - 1e-6);
            }
          }
          act(() => result.current.whole());
          expect(result.current.at).toEqual({ k: 1, x: 0, y: 0 });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('leaves what lies under the hand where it is, and brings a point to the middle', () => {
    const { result } = renderHook(() => useMapZoom(SIZE, 8));
    const under = (hand: { x: number; y: number }) => {
      const { k, x, y } = result.current.at;
      return [(hand.x - x) / k, (hand.y - y) / k];
    };
    const hand = { x: 300, y: 450 };
    act(() => result.current.zoomBy(2, { x: 600, y: 200 }));
    const before = under(hand);
    act(() => result.current.zoomBy(1.7, hand));
    const after = under(hand);
    expect(after[0]).toBeCloseTo(before[0] ?? 0, 6);
    expect(after[1]).toBeCloseTo(before[1] ?? 0, 6);
    act(() => result.current.centreOn(450, 300));
    expect(under({ x: SIZE.width / 2, y: SIZE.height / 2 })).toEqual([450, 300]);
  });
});
