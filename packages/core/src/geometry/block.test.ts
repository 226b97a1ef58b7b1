import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Block,
  commonBlock,
  cut,
  cutAll,
  largestFree,
  lengthOf,
  type Rect,
  type Span,
} from './block.ts';

const span = (most: number): fc.Arbitrary<Span> =>
  fc
    .tuple(fc.integer({ min: 0, max: most }), fc.integer({ min: 0, max: most }))
    .filter(([a, b]) => a !== b)
    .map(([a, b]): Span => [Math.min(a, b), Math.max(a, b)]);
const block: fc.Arbitrary<Block> = fc.record({ x: span(12), y: span(12), z: span(12) });
const rect: fc.Arbitrary<Rect> = fc.record({ u: span(14), v: span(14) });
const volume = ({ x, y, z }: Block): number => lengthOf(x) * lengthOf(y) * lengthOf(z);
const whole: Block = { x: [0, 12], y: [0, 12], z: [0, 12] };

describe('a block that is cut', () => {
  it('loses just what the hole takes, and its pieces do not overlap', () => {
    fc.assert(
      fc.property(block, block, (from, hole) => {
        const pieces = cut(from, hole);
        const gone = commonBlock(from, hole);
        const left = pieces.reduce((sum, piece) => sum + volume(piece), 0);
        expect(left).toBeCloseTo(volume(from) - (gone ? volume(gone) : 0), 9);
        for (const [index, piece] of pieces.entries()) {
          expect(commonBlock(piece, hole)).toBeUndefined();
          for (const other of pieces.slice(index + 1)) expect(commonBlock(piece, other)).toBeUndefined();
        }
      }),
    );
  });

  it('by many holes keeps every unit cube that no hole covers', () => {
    fc.assert(
      fc.property(fc.array(block, { maxLength: 5 }), (holes) => {
        const left = cutAll([whole], holes);
        let free = 0;
        for (let x = 0; x < 12; x++)
          for (let y = 0; y < 12; y++)
            for (let z = 0; z < 12; z++) {
              const cube: Block = { x: [x, x + 1], y: [y, y + 1], z: [z, z + 1] };
              if (!holes.some((hole) => commonBlock(hole, cube))) free += 1;
            }
        expect(left.reduce((sum, piece) => sum + volume(piece), 0)).toBeCloseTo(free, 6);
      }),
      { numRuns: 40 },
    );
  });
});

describe('the largest free square', () => {
  it('is the one that trying every place finds', () => {
    const within: Rect = { u: [0, 14], v: [0, 14] };
    fc.assert(
      fc.property(fc.array(rect, { maxLength: 5 }), (filled) => {
        const isFree = (u: number, v: number, side: number) =>
          !filled.some(
            (each) => each.u[0] < u + side && each.u[1] > u && each.v[0] < v + side && each.v[1] > v,
          );
        let best = 0;
        for (let side = 1; side <= 14; side++)
          for (let u = 0; u + side <= 14; u++)
            for (let v = 0; v + side <= 14; v++) if (isFree(u, v, side)) best = Math.max(best, side);
        expect(largestFree(within, filled)?.side ?? 0).toBe(best);
      }),
    );
  });

  it('is told with the free rectangle around it', () => {
    const found = largestFree({ u: [0, 100], v: [0, 20] }, [{ u: [0, 100], v: [0, 12] }]);
    expect(found).toEqual({ side: 8, rect: { u: [0, 100], v: [12, 20] } });
    expect(largestFree({ u: [0, 5], v: [0, 5] }, [{ u: [0, 5], v: [0, 5] }])).toBeUndefined();
  });
});
