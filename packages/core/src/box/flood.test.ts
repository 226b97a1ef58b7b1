import type { Board, DesignContent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { familyDesigns } from '../families/build.ts';
import { groupSpaces } from '../reach/groups.ts';
import { designProblems } from './designProblems.ts';
import { floodGroups } from './flood.test.kit.ts';
import { gap } from './gap.ts';
import { deriveBox } from './model.ts';
import { withBody, withLayers } from './parts.ts';
import { coverSheet, mm } from './plainParts.ts';
import { mainBody } from './stack.ts';
import { standardDesign } from './standardDesign.ts';

/** Just large enough for each: a worker, a laying queen (above 4.5), a drone. In mm. */
const WALKERS = { worker: 4.1, queen: 4.500001, drone: 5.4 } as const;
const walkers = Object.keys(WALKERS) as (keyof typeof WALKERS)[];

function derivedGroups(design: DesignContent, who: keyof typeof WALKERS): string[][] {
  const { spaces, passages } = deriveBox(design);
  return groupSpaces(
    spaces.map(({ id }) => id),
    passages.filter(({ gap_mm }) => gap({ gap_mm }).passes.includes(who)),
  );
}

const quarterMm = (min: number, max: number) =>
  fc.integer({ min: min * 4, max: max * 4 }).map((quarters) => quarters / 4);
const rarely = <T>(usual: T, other: fc.Arbitrary<T>) =>
  fc.oneof({ weight: 2, arbitrary: fc.constant(usual) }, { weight: 1, arbitrary: other });

const boardWays = fc.record({
  up: rarely(0, quarterMm(-12, 0)),
  short: rarely(0, quarterMm(0, 14)),
  ends: rarely(0, quarterMm(0, 8)),
  ears: fc.boolean(),
  grooveDepth: fc.constantFrom(0, 5, 8),
  play: rarely(0.5, quarterMm(0, 16)),
  slot: rarely<number | null>(null, fc.constantFrom(2.5, 4.2, 4.8, 7)),
  window: fc.boolean(),
});
const holes = fc.record({
  along: quarterMm(20, 350),
  height: quarterMm(18, 60),
  size: quarterMm(8, 40),
  side: fc.constantFrom('front' as const, 'back' as const),
});
const coverHoles = fc.record({
  x: quarterMm(30, 340),
  size: quarterMm(10, 60),
  closedBy: fc.constantFrom(
    'nothing' as const,
    'jar' as const,
    'mesh' as const,
    'excluder' as const,
    'plug' as const,
  ),
});

const boxes = fc
  .record({
    boards: fc.array(boardWays, { minLength: 1, maxLength: 3 }),
    upper: fc.option(
      fc.record({
        boards: fc.array(boardWays, { minLength: 1, maxLength: 3 }),
        sheet: fc.option(fc.constantFrom(null, 4.2, 2.5)),
        shift: fc.constantFrom(0, 0, 3, 20),
      }),
    ),
    lip: quarterMm(0, 16),
    rebate: fc.record({ width: quarterMm(6, 14), depth: quarterMm(4, 18) }),
    entrances: fc.array(holes, { maxLength: 3 }),
    covers: fc.array(coverHoles, { maxLength: 2 }),
    coverThick: quarterMm(2, 14),
    room: fc.constantFrom(0, 30),
  })
  .map(boxFrom);

type Ways = Pick<Board, 'ears' | 'slot'> & {
  up: number;
  short: number;
  ends: number;
  grooveDepth: number;
  play: number;
  window: boolean;
};

function boxFrom({
  boards,
  upper,
  lip,
  rebate,
  entrances,
  covers,
  coverThick,
  room,
}: {
  boards: Ways[];
  upper: { boards: Ways[]; sheet: number | null | null; shift: number } | null;
  lip: number;
  rebate: { width: number; depth: number };
  entrances: { along: number; height: number; size: number; side: 'front' | 'back' }[];
  covers: { x: number; size: number; closedBy: 'nothing' | 'jar' | 'mesh' | 'excluder' | 'plug' }[];
  coverThick: number;
  room: number;
}): DesignContent {
  const plain = standardDesign({
    format: 'langstroth-deep',
    thickness: mm(9.5),
    frames: boards.map(() => 1).concat(1),
  });
  const body = mainBody(plain);
  const fitted = (design: DesignContent, id: string, ways: Ways[], room_: number, shift: number) =>
    withBody(design, id, (now) => ({
      ...now,
      rebate: { width: mm(rebate.width), depth: mm(rebate.depth) },
      grooves: now.grooves.map((groove, index) => ({
        ...groove,
        at: mm(Math.round(groove.at.mm) + shift),
        depth: mm(ways[index]?.grooveDepth ?? 0),
        play: mm(ways[index]?.play ?? 0),
      })),
      boards: now.boards.map((board, index) => {
        const way = ways[index] as Ways;
        return {
          ...board,
          up: mm(way.up),
          down: mm(room_ - way.short),
          ends: mm(way.ends),
          ears: way.ears,
          slot: way.slot,
          window: way.window ? { width: mm(120), height: mm(80) } : null,
        };
      }),
    }));
  const lower = fitted(
    { ...plain, floor: { ...plain.floor, lip: mm(lip) }, roof: { ...plain.roof, room: mm(room) } },
    body.id,
    boards,
    lip,
    0,
  );
  const drilled = withBody(lower, body.id, (now, ids) => ({
    ...now,
    // Holes that run into one another are one hole: only the first of such is drilled.
    entrances: apart(entrances).map(({ along, height, size, side }) => ({
      id: ids.next('entrance'),
      side,
      along: mm(along),
      height: mm(height),
      shape: 'round',
      width: mm(size),
      tall: mm(size),
      state: 'closed',
      mark: null,
    })),
  }));
  return withLayers(drilled, (layers, ids) => {
    const first = layers[0];
    if (first?.kind !== 'body') return layers;
    const storey = upper
      ? (() => {
          const design = standardDesign({
            format: 'langstroth-deep',
            thickness: mm(9.5),
            frames: upper.boards.map(() => 1).concat(1),
          });
          const made = mainBody(fitted(design, mainBody(design).id, upper.boards, 0, upper.shift));
          const name = (id: string) => `upper-${id}`;
          return [
            ...(upper.sheet === undefined || upper.sheet === null
              ? []
              : [coverSheet(ids.next('sheet'), { slot: upper.sheet, thickness: mm(2) })]),
            {
              ...made,
              id: name(made.id),
              entrances: [],
              grooves: made.grooves.map((groove) => ({ ...groove, id: name(groove.id) })),
              boards: made.boards.map((board) => ({
                ...board,
                id: name(board.id),
                groove: name(board.groove),
              })),
              bays: made.bays.map((bay) => ({
                ...bay,
                id: name(bay.id),
                frames: bay.frames.map((slot) => ({ ...slot, id: name(slot.id) })),
              })),
            },
          ];
        })()
      : [];
    const cover = coverSheet(ids.next('sheet'), {
      thickness: mm(coverThick),
      holes: covers.map(({ x, size, closedBy }, index) => ({
        id: ids.next('hole'),
        x: mm(x),
        y: mm(150 + 120 * index),
        width: mm(size),
        length: mm(size),
        closedBy,
      })),
    });
    return [first, ...storey, cover];
  });
}

const plainBoard: Ways = {
  up: 0,
  short: 0,
  ends: 0,
  ears: false,
  grooveDepth: 0,
  play: 0.5,
  slot: null,
  window: false,
};
const plainBox = { boards: [plainBoard], upper: null, lip: 0, rebate: { width: 6, depth: 4 }, room: 0 };
/** What chance found once, in thousands of boxes. */
const found = {
  'two holes that break into a groove, and so meet behind the end of its board': boxFrom({
    ...plainBox,
    boards: [{ ...plainBoard, ends: 0.25, grooveDepth: 5, play: 7.75 }, plainBoard],
    entrances: [
      { along: 127.75, height: 18, size: 8, side: 'back' },
      { along: 97.75, height: 18, size: 32.75, side: 'back' },
    ],
    covers: [],
    coverThick: 2,
  }),
  'a board that falls short above, beside one that falls short below in the next storey': boxFrom({
    ...plainBox,
    boards: [plainBoard, plainBoard, { ...plainBoard, up: -0.25 }],
    upper: { boards: [plainBoard, { ...plainBoard, short: 4 }], sheet: null, shift: 20 },
    entrances: [],
    covers: [],
    coverThick: 2,
  }),
};

function apart<H extends { along: number; height: number; size: number; side: string }>(
  drilled: readonly H[],
): H[] {
  return drilled.filter((hole, index) =>
    drilled
      .slice(0, index)
      .every(
        (other) =>
          other.side !== hole.side ||
          Math.abs(other.along - hole.along) > (other.size + hole.size) / 2 ||
          Math.abs(other.height - hole.height) > (other.size + hole.size) / 2,
      ),
  );
}

describe('who can go where', () => {
  it('is what a cube finds that is moved through the air between the parts', () => {
    let joined = 0;
    fc.assert(
      fc.property(boxes, (design) => {
        fc.pre(designProblems(design).length === 0);
        const model = deriveBox(design);
        for (const who of walkers) {
          const derived = derivedGroups(design, who);
          expect(derived).toEqual(floodGroups(model, WALKERS[who]));
          if (derived.length < model.spaces.length) joined += 1;
        }
      }),
      { numRuns: 300 },
    );
    expect(joined).toBeGreaterThan(50);
  });

  it.each(Object.entries(found))('is so at %s', (_, design) => {
    for (const who of walkers)
      expect(derivedGroups(design, who)).toEqual(floodGroups(deriveBox(design), WALKERS[who]));
  });

  it.each(Object.entries(familyDesigns))('is so in a sound box of the family %s', (_, make) => {
    const design = make();
    const model = deriveBox(design);
    // A narrower body on a wider one leaves outside air between the flood's own walls.
    const sameFoot = model.stack.bodies.every(({ outside }) => outside.x[1] === model.stack.foot.x[1]);
    if (!sameFoot) return;
    for (const who of walkers) expect(derivedGroups(design, who)).toEqual(floodGroups(model, WALKERS[who]));
  });
});
