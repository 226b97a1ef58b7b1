import type { LogEvent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { handPlacesFor } from '../box/handPlace.ts';
import { deriveBox } from '../box/model.ts';
import { baysOf, bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { compartmentsOf, designOf, livingIn } from './compartments.ts';
import { fold } from './fold.ts';
import { slotsOf } from './slots.ts';
import { bays, begun, known, stockedIn, threeWayDesign, told } from './story.test.kit.ts';
import { changeWarnings } from './warn/passages.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const [content] = threeWayDesign().versions.map((version) => version.content);
const [body] = content ? bodiesOf(content) : [];
if (!body) throw new Error('No body.');
const [left, right] = body.boards.map(({ id }) => id) as [string, string];
const framesIn = (bay: number) => body.bays[bay]?.frames.map(({ id }) => id) ?? [];
const stocked = (colony: string, at: number) => stockedIn(colony, at, day(0));
const byHand = (board: string, at_mm: number, framesLeft: number, on = day(2), name = 'x') =>
  told('boardPlaced', on, {
    box: 'box-1',
    board,
    at_mm,
    framesLeft,
    groove: `groove-${name}`,
    bay: `bay-${name}`,
  });
const end = (events: readonly LogEvent[]) => {
  const state = fold(known, events);
  const box = state.boxes.get('box-1');
  const design = box && designOf(known.designs, box);
  if (!box || !design) throw new Error('No box.');
  return { state, box, design, compartments: compartmentsOf(state, known.designs, box) };
};
const sentence = (events: readonly LogEvent[]) => fold(known, events).toSettle[0]?.sentence;

describe('a board set by hand, where the design has no place', () => {
  it('makes a bay of its own, gives the frames beyond it to it, and leaves the larger part to the bees', () => {
    const { state, compartments, design, box } = end([...begun(CELL), byHand(left, 75, 2)]);
    expect(state.toSettle).toEqual([]);
    expect(compartments.map(({ frames, bays: own }) => [frames, own])).toEqual([
      [2, [bays[0]]],
      [4, ['bay-x', bays[1]]],
      [3, [bays[2]]],
    ]);
    expect(compartments[0]?.colony).toMatchObject({ id: 'colony-1', bays: [bays[0]] });
    expect(compartments[1]?.status).toBe('empty');
    expect(baysOf(design).flatMap(({ frames }) => frames.map(({ id }) => id))).toEqual(
      [0, 1, 2].flatMap(framesIn),
    );
    const [room] = deriveBox(design).compartments;
    expect(room?.block.x).toEqual([0, 75]);
    expect(
      room &&
        compartments[0] &&
        slotsOf(state, box, room, compartments[0]).map(({ number, slot }) => [number, slot]),
    ).toEqual([
      [1, framesIn(0)[0]],
      [2, framesIn(0)[1]],
    ]);
  });

  it('goes back into its groove, and the place stays for another time', () => {
    const back = told('boardMoved', day(3), {
      box: 'box-1',
      board: left,
      groove: body.grooves[0]?.id as string,
    });
    const again = told('boardMoved', day(4), { box: 'box-1', board: left, groove: 'groove-x' });
    const home = end([...begun(CELL), byHand(left, 75, 2), back]);
    expect(home.compartments.map(({ frames }) => frames)).toEqual([3, 3, 3]);
    expect(home.compartments[0]?.bays).toEqual([bays[0], 'bay-x']);
    expect(
      end([...begun(CELL), byHand(left, 75, 2), back, again]).compartments.map(({ frames }) => frames),
    ).toEqual([2, 4, 3]);
  });

  it('is refused beyond the wall, where a board stands, in a groove, twice by one id, or beside frames that are not there', () => {
    const base = begun(CELL);
    expect(sentence([...base, byHand(left, 370, 3)])).toContain('cannot stand so');
    expect(sentence([...base, byHand(left, body.grooves[1]?.at.mm as number, 3)])).toContain(
      'has a place there',
    );
    expect(sentence([...base, byHand(left, (body.grooves[1]?.at.mm ?? 0) + 4, 0)])).toContain(
      'cannot stand so',
    );
    expect(sentence([...base, byHand(left, 75, 4)])).toContain('4 frames do not stand there');
    expect(sentence([...base, byHand(left, 0, 0)])).toContain('no width');
    expect(sentence([...base, byHand('board-99', 75, 2)])).toContain('no such board');
    expect(sentence([...base, byHand(left, 75, 2), byHand(left, 40, 1, day(3))])).toContain(
      'ids of their own',
    );
    const shut = [
      told('dividerSet', day(1), { box: 'box-1', board: right, stands: false }),
      byHand(left, (body.grooves[1]?.at.mm ?? 0) + 4, 0),
      told('dividerSet', day(3), { box: 'box-1', board: right, stands: true }),
    ];
    expect(sentence([...base, ...shut])).toContain('cannot stand so');
    // Nor does it end the warning before it, which asks about the box as it would stand.
    const { state, box } = end([...base, ...shut.slice(0, 2)]);
    expect(
      changeWarnings(state, known.designs, box, { kind: 'divider', board: right, stands: true }),
    ).toEqual([]);
  });

  it('is warned about where it joins bees, also from groove to groove, and keeps apart who can be', () => {
    const three = [...begun(CELL), stocked('colony-2', 1), stocked('colony-3', 2)];
    const { state, box } = end(three);
    const said = (at_mm: number, framesLeft: number) =>
      changeWarnings(state, known.designs, box, {
        kind: 'place',
        place: { board: left, at_mm, framesLeft, groove: 'groove-x', bay: 'bay-x' },
      }).filter(({ kind }) => kind === 'twoQueens');
    // One frame of the first goes to the second: its larger part stays with it.
    expect(said(75, 2)).toEqual([]);
    // Two frames of the second go to the first: most of its bees go along.
    expect(said((body.grooves[0]?.at.mm ?? 0) + 79, 2)[0]?.sentence).toContain('2 colonies');
    expect(end([...three, byHand(left, 75, 2)]).compartments.map(({ colony }) => colony?.id)).toEqual([
      'colony-1',
      'colony-2',
      'colony-3',
    ]);
  });

  it('leaves every frame in its order and no bay to two colonies, whatever boards are set where', () => {
    const steps = fc.array(
      fc.record({
        do: fc.constantFrom('hand', 'hand', 'pull', 'set', 'stock'),
        board: fc.constantFrom(left, right),
        at: fc.integer({ min: 0, max: 372 }),
        framesLeft: fc.integer({ min: 0, max: 3 }),
      }),
      { maxLength: 15 },
    );
    let placed = 0;
    fc.assert(
      fc.property(steps, (list) => {
        const events = list.map(({ do: act, board, at, framesLeft }, index) => {
          if (act === 'hand') return byHand(board, at, framesLeft, day(index + 1), String(index));
          if (act === 'stock') return { ...stocked(`colony-r${index}`, at % 3) };
          return told('dividerSet', day(index + 1), { box: 'box-1', board, stands: act === 'set' });
        });
        const { state, box, design, compartments } = end([...begun(CELL), ...events]);
        placed += box.places?.length ?? 0;
        expect(baysOf(design).flatMap(({ frames }) => frames.map(({ id }) => id))).toEqual(
          [0, 1, 2].flatMap(framesIn),
        );
        expect(bodiesOf(design)[0]?.grooves.map(({ at }) => at.mm)).toEqual(
          bodiesOf(design)[0]
            ?.grooves.map(({ at }) => at.mm)
            .sort((a, b) => a - b),
        );
        const living = livingIn(state.colonies, box);
        const held = living.flatMap((colony) => colony.bays);
        expect(new Set(held).size).toBe(held.length);
        for (const colony of living)
          expect(
            compartments.filter((each) => each.bays.some((bay) => colony.home.includes(bay))),
          ).toHaveLength(1);
      }),
      { numRuns: 150 },
    );
    expect(placed).toBeGreaterThan(30);
  });
});

describe('places to set a board by hand', () => {
  it('are those between two frames where it fits, as it stands now, and each can be taken', () => {
    const { design } = end(begun(CELL));
    const places = handPlacesFor(design, left);
    expect(places.map(({ frames }) => frames)).toEqual([
      [1, 5],
      [2, 4],
      [4, 2],
      [5, 1],
      [1, 2],
      [2, 1],
    ]);
    for (const { at_mm, framesLeft, frames } of places) {
      const { state, compartments } = end([...begun(CELL), byHand(left, at_mm, framesLeft)]);
      expect(state.toSettle).toEqual([]);
      const counts = compartments.map((each) => each.frames);
      expect(counts.join()).toContain(frames.join());
      expect(counts.reduce((sum, count) => sum + count)).toBe(9);
    }
  });
});

describe('a feeder in a frame’s place', () => {
  const feeder = (slot: string, holds: 'feeder' | 'comb' = 'feeder', on = day(2)) =>
    told('slotSet', on, { box: 'box-1', slot, holds });
  const first = framesIn(0)[0] as string;
  const audit = told('frameAudited', day(1), {
    box: 'box-1',
    colony: 'colony-1',
    frame: 'f',
    slot: first,
    sides: [{ sealed: 0.5 }, {}],
  });
  it('costs a frame place until a comb stands there again', () => {
    const counts = (events: readonly LogEvent[]) => end(events).compartments.map(({ frames }) => frames);
    expect(counts([...begun(CELL), feeder(first)])).toEqual([2, 3, 3]);
    expect(counts([...begun(CELL), feeder(first), feeder(first, 'comb', day(3))])).toEqual([3, 3, 3]);
  });
  it('and a frame are never in one place', () => {
    expect(sentence([...begun(CELL), audit, feeder(first)])).toContain('A frame stands');
    expect(sentence([...begun(CELL), feeder(first, 'feeder', day(0)), audit])).toContain('A feeder stands');
    const onto = told('framesMoved', day(3), {
      moves: [
        {
          frame: 'g',
          from: { box: 'box-1', slot: framesIn(1)[0] as string },
          to: { box: 'box-1', slot: first },
          turned: false,
        },
      ],
      purpose: 'equalise',
    });
    expect(sentence([...begun(CELL), feeder(first), onto])).toContain('A feeder stands');
    expect(sentence([...begun(CELL), feeder('slot-99')])).toContain('no such place');
  });
});
