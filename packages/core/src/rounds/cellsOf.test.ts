import type { CellsTo, Round } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { barsOf, type CellFate, cellsLeft } from './cellsOf.ts';

type Counted = Pick<Round, 'accepted' | 'grafts' | 'moved'>;
const carried = (to: CellsTo, cells: number) => ({ on: '2026-05-24', to, cells });
const round = (grafts: number, cells?: number, moved: Counted['moved'] = []): Counted => ({
  grafts,
  moved,
  ...(cells === undefined ? {} : { accepted: { on: '2026-05-22', cells } }),
});
const counted = (bars: readonly (readonly CellFate[])[]): Partial<Record<CellFate, number>> => {
  const counts: Partial<Record<CellFate, number>> = {};
  for (const fate of bars.flat()) counts[fate] = (counts[fate] ?? 0) + 1;
  return counts;
};

describe('cells that are left of a round', () => {
  it('are those taken on, less what was given and thrown away; carried on they are still there', () => {
    const moved = [carried('finisher', 16), carried('incubator', 10), carried('bank', 2)];
    expect(cellsLeft(round(24, 16, moved), 5)).toBe(11);
    expect(cellsLeft(round(24, 16, [...moved, carried('discarded', 4)]), 5)).toBe(7);
    expect(cellsLeft(round(24, 16, [carried('discarded', 9), carried('discarded', 9)]), 5)).toBe(0);
    // Before they are counted all may be.
    expect(cellsLeft(round(24), 0)).toBe(24);
  });
});

describe('the bars of a round', () => {
  it('bear each graft once, given before left, thrown away and refused', () => {
    const bars = barsOf(round(24, 16, [carried('discarded', 3)]), 5, 15);
    expect(bars.map(({ length }) => length)).toEqual([15, 9]);
    expect(counted(bars)).toEqual({ given: 5, left: 8, discarded: 3, refused: 8 });
    expect(bars[0]?.slice(0, 6)).toEqual(['given', 'given', 'given', 'given', 'given', 'left']);
    expect(counted(barsOf(round(24), 0, 15))).toEqual({ uncounted: 24 });
  });

  it('have as many as were grafted, whatever was entered', () => {
    const few = fc.integer({ min: 0, max: 60 });
    fc.assert(
      fc.property(
        few,
        fc.option(few),
        few,
        few,
        fc.integer({ min: 1, max: 20 }),
        (grafts, cells, given, gone, each) => {
          const bars = barsOf(round(grafts, cells ?? undefined, [carried('discarded', gone)]), given, each);
          expect(bars.flat()).toHaveLength(grafts);
          expect(bars.slice(0, -1).every(({ length }) => length === each)).toBe(true);
        },
      ),
    );
  });
});
