import type { Board, Body, DesignContent, Hole } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { familyDesign } from '../families/build.ts';
import { deriveBox } from './model.ts';
import { withBody, withLayers, withPart } from './parts.ts';
import { coverSheet, mm } from './plainParts.ts';
import { mainBody } from './stack.ts';
import { standardDesign } from './standardDesign.ts';

const two = (): DesignContent =>
  standardDesign({ format: 'langstroth-deep', thickness: mm(6), frames: [5, 5] });
const board = (patch: Partial<Board>, design = two()) =>
  withPart(design, mainBody(design).boards[0]?.id ?? '', patch);
const body = (change: (body: Body) => Body, design = two()) => withBody(design, mainBody(design).id, change);
const told = (design: DesignContent) => {
  const { passages, spaces } = deriveBox(design);
  const name = (id: string) => spaces.find((space) => space.id === id)?.name ?? id;
  return passages
    .filter(({ gap_mm }) => gap_mm >= 3)
    .map(
      ({ between, gap_mm, reason }) =>
        `${between.map(name).join(' – ')}: ${Math.round(gap_mm * 100) / 100} ${reason}`,
    );
};

describe('passages of one divider', () => {
  it.each<readonly [string, () => DesignContent, string[]]>([
    ['closed on all edges', two, []],
    ['short of the floor by the lip', () => board({ down: mm(0) }), ['Left – Right: 10 under']],
    ['short of the floor by more than the lip', () => board({ down: mm(-5) }), ['Left – Right: 15 under']],
    ['below the cover', () => board({ up: mm(-7), ears: true }), ['Left – Right: 7 over']],
    // Rebate 9.5 wide and 16 deep (handbook 2); the board reaches 4.8 into it: 4.7 by 16 stay free.
    [
      'without ears, in its groove',
      () => board({ ears: false }),
      ['Left – Right: 4.7 rebate', 'Left – Right: 4.7 rebate'],
    ],
    [
      'without ears and without grooves',
      () =>
        body(
          (now) => ({ ...now, grooves: now.grooves.map((groove) => ({ ...groove, depth: mm(0) })) }),
          board({ ears: false }),
        ),
      ['Left – Right: 9.5 rebate', 'Left – Right: 9.5 rebate'],
    ],
    [
      'in a groove 9 mm too wide',
      () => body((now) => ({ ...now, grooves: now.grooves.map((groove) => ({ ...groove, play: mm(9) })) })),
      ['Left – Right: 4.5 groove'],
    ],
    ['an excluder', () => board({ kind: 'excluder', slot: 4.2 }), ['Left – Right: 4.2 slots']],
    ['a screen passes no bee', () => board({ kind: 'screen', slot: 2.5 }), []],
  ])('%s', (_, make, expected) => {
    expect(told(make())).toEqual(expected);
  });

  it('by an entrance across it are as wide as the narrower side, or the wall past its end', () => {
    const place = mainBody(two()).grooves[0]?.at.mm ?? 0;
    const across = (along: number) =>
      body((now) => ({
        ...now,
        entrances: now.entrances
          .slice(0, 1)
          .map((entrance) => ({ ...entrance, side: 'front', along: mm(along) })),
      }));
    // 25 mm hole, board 6 thick: centred, 9.5 on either side.
    expect(told(across(place + 3))).toEqual(['Left – Right: 9.5 entrance']);
    expect(told(across(place + 8))).toEqual(['Left – Right: 4.5 entrance']);
    expect(told(across(place + 40))).toEqual([]);
  });

  it('by two holes that break into its groove are there as soon as both do, and lie behind its end', () => {
    const place = mainBody(two()).grooves[0]?.at.mm ?? 0;
    const [depth, play] = [5, 2];
    /** Two holes of 16 mm in the front, so far from either face of the board, which is 6 mm thick. */
    const besides = (off: number) => {
      const design = body((now) => ({
        ...now,
        grooves: now.grooves.map((groove) => ({ ...groove, depth: mm(depth), play: mm(play) })),
        entrances: now.entrances.slice(0, 2).map((entrance, index) => ({
          ...entrance,
          side: 'front',
          width: mm(16),
          along: mm(index === 0 ? place - off - 8 : place + 6 + off + 8),
        })),
      }));
      return deriveBox(design);
    };
    const through = (off: number) => {
      const { passages, boards } = besides(off);
      const end = boards[0]?.y[0] ?? 0;
      return passages.filter(({ reason, at, gap_mm }) => reason === 'groove' && gap_mm > 0 && at.y[1] <= end);
    };
    // The groove is 1 mm wider than the board on each side, and the board ends 1 mm before its bottom.
    expect(through(0.5).map(({ gap_mm }) => gap_mm)).toEqual([1]);
    expect(through(1.5)).toEqual([]);
    const [{ at } = { at: undefined }] = through(0.5);
    expect(at?.x).toEqual([place - 1, place + 7]);
    expect(at && at.y[1] - at.y[0]).toBeCloseTo(1, 9);
  });

  it('over open storeys add up where both boards fall short', () => {
    const stacked = (design: DesignContent, up: number, down: number) =>
      withLayers(design, (layers) => {
        const [first, ...rest] = layers as [Body];
        const upper: Body = {
          ...first,
          id: 'upper',
          entrances: [],
          grooves: first.grooves.map((groove) => ({ ...groove, id: `u-${groove.id}` })),
          boards: first.boards.map((each) => ({
            ...each,
            id: `u-${each.id}`,
            groove: `u-${each.groove}`,
            down: mm(down),
          })),
          bays: first.bays.map((bay) => ({
            ...bay,
            id: `u-${bay.id}`,
            frames: bay.frames.map((slot) => ({ ...slot, id: `u-${slot.id}` })),
          })),
        };
        return [{ ...first, boards: first.boards.map((each) => ({ ...each, up: mm(up) })) }, upper, ...rest];
      });
    const widest = (design: DesignContent) =>
      Math.max(
        ...deriveBox(design)
          .passages.filter(({ reason }) => reason === 'over' || reason === 'under')
          .map(({ gap_mm }) => gap_mm),
        0,
      );
    expect(widest(stacked(two(), 0, 0))).toBe(0);
    expect(widest(stacked(two(), -3, 0))).toBeCloseTo(3, 9);
    expect(widest(stacked(two(), -3, -3))).toBeCloseTo(6, 9);
  });
});

describe('passages between layers', () => {
  const over = (sheet: Parameters<typeof coverSheet>[1]) =>
    withLayers({ ...two(), roof: { ...two().roof, room: mm(40) } }, (layers, ids) => [
      ...layers.filter(({ kind }) => kind === 'body'),
      coverSheet(ids.next('sheet'), sheet),
    ]);
  const hole = (x: number, closedBy: Hole['closedBy'], width = 60) => ({
    id: 'hole',
    x: mm(x),
    y: mm(200),
    width: mm(width),
    length: mm(60),
    closedBy,
  });

  it('are what a hole lets through, by what closes it', () => {
    const gap = (closedBy: Parameters<typeof hole>[1]) =>
      told(over({ thickness: mm(12), holes: [hole(90, closedBy)] }));
    expect(gap('nothing')).toEqual(['Left – Under the roof: 60 hole']);
    expect(gap('excluder')).toEqual(['Left – Under the roof: 4.2 hole']);
    expect(gap('escape')).toEqual(['Left – Under the roof: 8 hole']);
    for (const closer of ['jar', 'mesh', 'plug'] as const) expect(gap(closer)).toEqual([]);
  });

  it('under a jar that stands over a divider lead round its top inside the board', () => {
    const middle = (mainBody(two()).grooves[0]?.at.mm ?? 0) + 3;
    expect(told(over({ thickness: mm(12), holes: [hole(middle, 'jar')] }))).toEqual([
      'Left – Right: 11.5 hole',
    ]);
    expect(told(over({ thickness: mm(12), holes: [hole(middle, 'plug')] }))).toEqual([]);
  });

  it('are all of an open joint, and the slots of an excluder', () => {
    expect(told(over({ slot: 4.2, what: 'excluder' }))).toEqual([
      'Left – Under the roof: 4.2 slots',
      'Right – Under the roof: 4.2 slots',
    ]);
    const bare = { ...over({}), layers: two().layers.filter(({ kind }) => kind === 'body') };
    expect(told(bare)).toEqual(['Left – Under the roof: 183.5 joint', 'Right – Under the roof: 183.5 joint']);
  });

  it('behind cheeks open where the rebate is cut wider than the cheek is thick', () => {
    const changer = familyDesign('changer');
    const thin = withPart(changer, mainBody(changer).id, { cheeks: { inset: mm(47.5), thickness: mm(25) } });
    expect(told(changer).filter((line) => line.includes('cheek'))).toEqual([]);
    expect(told(thin).filter((line) => line.endsWith('cheek'))).toEqual([
      'Behind the front cheek – Old format: 6.5 cheek',
      'Behind the back cheek – Old format: 6.5 cheek',
    ]);
  });
});
