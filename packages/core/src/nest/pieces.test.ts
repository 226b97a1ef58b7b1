import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random.ts';
import { fills, fitsIn, laid, type NestBlock, type PlacedPart, single } from './block.ts';
import { joined } from './join.ts';
import { type Fit, fill, fitRules, pack, type Split, splitRules } from './pack.ts';
import { sawn } from './saw.ts';

const part = (kind: number, width: number, height: number, turn = false) => single(kind, width, height, turn);
const HAIR = 1e-7;

describe('a block', () => {
  const block = { width: 100, height: 50, turn: false };

  it('fits to a hair, and turned only where its grain allows it', () => {
    expect(fitsIn(block, { width: 100 - HAIR, height: 50 })).toBe(true);
    expect(fitsIn(block, { width: 99.9, height: 200 })).toBe(false);
    expect(fitsIn(block, { width: 100, height: 49.9 })).toBe(false);
    expect(fitsIn(block, { width: 50, height: 100 })).toBe(false);
    expect(fitsIn({ ...block, turn: true }, { width: 50, height: 100 })).toBe(true);
    expect(fitsIn({ ...block, turn: true }, { width: 50, height: 99 })).toBe(false);
  });

  it('fills what is its own size alone', () => {
    expect(fills(part(0, 100, 50), { width: 100, height: 50 + HAIR })).toBe(true);
    expect(fills(part(0, 100, 50), { width: 101, height: 50 })).toBe(false);
    expect(fills(part(0, 100, 50), { width: 100, height: 51 })).toBe(false);
    expect(fills(part(0, 100, 50), { width: 50, height: 100 })).toBe(false);
    expect(fills(part(0, 100, 50, true), { width: 50, height: 100 })).toBe(true);
  });

  it('of two lies with the cut between them, along or up, turned as a whole or piece by piece', () => {
    const two = (axis: 'x' | 'y', turned = false): NestBlock => ({
      width: 0,
      height: 0,
      turn: true,
      kind: -1,
      joint: {
        axis,
        kerf: 3,
        first: { block: part(0, 100, 50), turned: false },
        second: { block: part(1, 40, 50), turned },
      },
    });
    const at = (block: NestBlock, turned: boolean) => {
      const into: PlacedPart[] = [];
      laid({ block, turned }, 10, 20, into);
      return into.map(({ kind, x, y, width, height }) => [kind, x, y, width, height]);
    };
    expect(at(two('x'), false)).toEqual([
      [0, 10, 20, 100, 50],
      [1, 113, 20, 40, 50],
    ]);
    expect(at(two('y'), false)).toEqual([
      [0, 10, 20, 100, 50],
      [1, 10, 73, 40, 50],
    ]);
    expect(at(two('x'), true)).toEqual([
      [0, 10, 20, 50, 100],
      [1, 10, 123, 50, 40],
    ]);
    expect(at(two('y', true), true)).toEqual([
      [0, 10, 20, 50, 100],
      [1, 63, 20, 40, 50],
    ]);
  });
});

describe('packing', () => {
  const rules = (fit: Fit, split: Split, kerf = 0) => ({ fit, split, kerf });
  const places = (
    blocks: readonly NestBlock[],
    width: number,
    height: number,
    by: ReturnType<typeof rules>,
  ) => pack(blocks, { width, height }, by)?.map(({ parts }) => parts.map(({ kind, x, y }) => [kind, x, y]));

  it('saws what is left by its rule: the second part lies where the first cut leaves it room', () => {
    // Beside a part of 60 × 50 on 100 × 80, 40 are left across and 30 up: a part of 40 × 80 wants the cut upright.
    const tall = [part(0, 60, 50), part(1, 40, 80)];
    const wide = [part(0, 60, 50), part(1, 100, 30)];
    const whole = (blocks: readonly NestBlock[], split: Split) =>
      places(blocks, 100, 80, rules('area', split))?.length === 1;
    expect(splitRules.filter((split) => whole(tall, split))).toEqual(['shortLeft', 'largeRest']);
    expect(splitRules.filter((split) => whole(wide, split))).toEqual(['longLeft', 'smallRest']);
    // 40 across and 40 up: alike, the cut lies; 60 × 40 leaves less above than beside.
    const even = [part(0, 60, 60), part(1, 40, 100)];
    const evenWide = [part(0, 60, 60), part(1, 100, 40)];
    const on = (blocks: readonly NestBlock[], split: Split) =>
      places(blocks, 100, 100, rules('area', split))?.length === 1;
    expect(splitRules.filter((split) => on(even, split))).toEqual(['longLeft', 'smallRest']);
    expect(splitRules.filter((split) => on(evenWide, split))).toEqual(['shortLeft', 'largeRest']);
  });

  it('lays each where its rule fits best, and keeps the saw cut beside and above it', () => {
    // After 60 × 100 and a cut of 5, 35 × 100 is free beside it and 100 × 95 above.
    const first = part(0, 60, 100);
    const at = (fit: Fit, width: number, height: number) =>
      places([first, part(1, width, height)], 100, 200, rules(fit, 'shortLeft', 5))?.[0]?.[1];
    const [beside, above] = [
      [1, 65, 0],
      [1, 0, 105],
    ];
    // 35 × 20 leaves 0 and 80 beside, 65 and 75 above; 33 × 95 leaves 2 and 5 beside, 67 and 0 above.
    expect(fitRules.map((fit) => [fit, at(fit, 35, 20)])).toEqual([
      ['shortSide', beside],
      ['area', beside],
      ['longSide', above],
    ]);
    expect(fitRules.map((fit) => [fit, at(fit, 33, 95)])).toEqual([
      ['shortSide', above],
      ['area', beside],
      ['longSide', beside],
    ]);
    expect(at('area', 36, 20)).toEqual(above);
    expect(at('area', 35, 101)).toBeUndefined();
  });

  it('turns a part that may be, and opens a sheet for what fits none, up to a number', () => {
    expect(places([part(0, 30, 90, true)], 100, 40, rules('area', 'shortLeft'))).toEqual([[[0, 0, 0]]]);
    const three = [part(0, 80, 80), part(1, 80, 80), part(2, 80, 80)];
    expect(pack(three, { width: 100, height: 100 }, rules('area', 'shortLeft'), 3)).toHaveLength(3);
    expect(pack(three, { width: 100, height: 100 }, rules('area', 'shortLeft'), 2)).toBeUndefined();
    expect(pack([part(0, 101, 10)], { width: 100, height: 100 }, rules('area', 'shortLeft'))).toBeUndefined();
  });

  it('fills one sheet with what goes on it, and leaves the rest in its order', () => {
    const { bin, left } = fill(
      [part(0, 60, 60), part(1, 60, 60), part(2, 40, 60), part(3, 100, 41)],
      { width: 100, height: 100 },
      rules('area', 'shortLeft'),
    );
    expect(bin.parts.map(({ kind }) => kind)).toEqual([0, 2]);
    expect(left.map(({ kind }) => kind)).toEqual([1, 3]);
    expect([fitRules.length, splitRules.length]).toEqual([3, 4]);
  });
});

describe('the cuts that free the parts', () => {
  const placed = (kind: number, x: number, y: number, width: number, height: number): PlacedPart => ({
    kind,
    x,
    y,
    width,
    height,
  });
  const sheet = { x: 0, y: 0, width: 100, height: 80 };

  it('set free the largest rest first, then part what is left most evenly', () => {
    const found = sawn(sheet, [placed(0, 0, 0, 40, 30), placed(1, 43, 0, 40, 30)], 3);
    expect(found?.cuts).toEqual([
      { axis: 'x', at_mm: 30, from_mm: 0, to_mm: 100 },
      { axis: 'y', at_mm: 83, from_mm: 0, to_mm: 30 },
      { axis: 'y', at_mm: 40, from_mm: 0, to_mm: 30 },
    ]);
    expect(found?.rests).toEqual([
      { x: 0, y: 33, width: 100, height: 47 },
      { x: 86, y: 0, width: 14, height: 30 },
    ]);
  });

  it('are none for a part that is the sheet, and all of it is left where nothing lies on it', () => {
    expect(sawn(sheet, [placed(0, 0, 0, 100, 80)], 3)).toEqual({ cuts: [], rests: [] });
    expect(sawn(sheet, [], 3)).toEqual({ cuts: [], rests: [sheet] });
  });

  it('leave no rest thinner than the saw, and free a part that lies behind a gap', () => {
    // 2 mm are left beside it: the cut of 3 takes them.
    expect(sawn(sheet, [placed(0, 0, 0, 98, 80)], 3)?.rests).toEqual([]);
    expect(sawn(sheet, [placed(0, 60, 0, 40, 80)], 3)).toEqual({
      cuts: [{ axis: 'y', at_mm: 57, from_mm: 0, to_mm: 80 }],
      rests: [{ x: 0, y: 0, width: 57, height: 80 }],
    });
  });

  it('are not found where no saw goes from edge to edge', () => {
    const ring = [
      placed(0, 0, 0, 60, 30),
      placed(1, 63, 0, 37, 47),
      placed(2, 40, 50, 60, 30),
      placed(3, 0, 33, 37, 47),
    ];
    expect(sawn(sheet, ring, 3)).toBeUndefined();
  });
});

describe('parts of equal edge', () => {
  const sheet = { width: 203, height: 100 };
  const one = (blocks: readonly NestBlock[], repairs = 0) =>
    joined(blocks, sheet, 3, seededRandom(1), repairs);

  it('become one block with the cut between them, and a whole sheet where they were one', () => {
    const [block, ...rest] = one([part(0, 100, 100), part(1, 100, 100)]);
    expect(rest).toEqual([]);
    expect(block).toMatchObject({ width: 203, height: 100, turn: false, kind: -1 });
    expect(block?.joint).toMatchObject({ axis: 'x', kerf: 3 });
  });

  it('are turned to meet where they may be, and not where both grains forbid it', () => {
    const meet = (turnOne: boolean, turnOther: boolean) =>
      one([part(0, 100, 60, turnOne), part(1, 40, 100, turnOther)]).map(({ width, height, turn }) => [
        width,
        height,
        turn,
      ]);
    expect(meet(false, false)).toHaveLength(2);
    // The one that may not be turned says how the block lies: 100 wide, and higher than the sheet with both.
    expect(meet(false, true)).toHaveLength(2);
    expect(meet(true, true)).toEqual([[103, 100, true]]);
  });

  it('stay apart where together they are larger than the sheet', () => {
    expect(one([part(0, 150, 100), part(1, 60, 100)])).toHaveLength(2);
  });

  it('of a sheet sawn in three find back to it, with no repair', () => {
    const [block, ...rest] = one([part(0, 120, 60), part(1, 80, 100), part(2, 120, 37)]);
    expect(rest).toEqual([]);
    expect([block?.width, block?.height]).toEqual([203, 100]);
  });
});
