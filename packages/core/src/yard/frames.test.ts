import type { LogEvent, Payload } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { equalisings } from './equalise.ts';
import { fold } from './fold.ts';
import { bays, begun, known, stockedIn, threeWayDesign, told, workOf } from './story.test.kit.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const slots = threeWayDesign().versions.flatMap(({ content }) =>
  bodiesOf(content).flatMap((body) => body.bays.flatMap(({ frames }) => frames.map(({ id }) => id))),
);
const IN = { box: 'box-1', colony: 'colony-1' };
const slot = (at: number) => slots[at] as string;
const second = stockedIn('colony-2', 1, day(0));
const base = [...begun(CELL), second];
const looked = (
  frame: string,
  at: number,
  on = day(1),
  sides: Payload<'frameAudited'>['sides'] = [{ sealed: 0.6 }, { sealed: 0.4, stores: 0.2 }],
) => told('frameAudited', on, { ...IN, frame, slot: slot(at), sides });
const moved = (
  on: string,
  moves: Payload<'framesMoved'>['moves'],
  purpose: Payload<'framesMoved'>['purpose'] = 'other',
) => told('framesMoved', on, { moves, purpose });
const place = (at: number) => ({ box: 'box-1', slot: slot(at) });
const refusal = (events: readonly LogEvent[]) => fold(known, events).toSettle[0]?.sentence;

describe('a frame', () => {
  it('has identity from the first look, keeps its place and what is on it, and turned shows its other side first', () => {
    const events = [
      ...base,
      looked('f', 0),
      moved(day(2), [{ frame: 'f', from: place(0), to: place(0), turned: true }]),
    ];
    const frame = fold(known, events).frames.get('f');
    expect(frame).toMatchObject({ at: place(0), turned: true });
    expect(frame?.audit?.sides).toEqual([{ sealed: 0.4, stores: 0.2 }, { sealed: 0.6 }]);
  });

  it('taken out is out until it is back, and is asked for', () => {
    const out = told('framesMoved', day(2), {
      moves: [{ frame: 'f', from: place(0), to: null, turned: false }],
      purpose: 'show',
      backBy: day(4),
      where: 'School',
    });
    const state = fold(known, [...base, looked('f', 0), out]);
    expect(state.frames.get('f')).toMatchObject({ at: null, out: { from: place(0), where: 'School' } });
    expect(state.boxes.get('box-1')?.emptySlots).toEqual([slot(0)]);
    expect(workOf(state, 'colony-1').find(({ kind }) => kind === 'framesBack')).toMatchObject({ to: day(4) });
    const back = moved(day(3), [{ frame: 'f', from: null, to: place(0), turned: false }]);
    const home = fold(known, [...base, looked('f', 0), out, back]);
    expect(home.frames.get('f')?.out).toBeUndefined();
    expect(home.boxes.get('box-1')?.emptySlots).toEqual([]);
    expect(workOf(home, 'colony-1').find(({ kind }) => kind === 'framesBack')).toBeUndefined();
  });

  it('that is elsewhere, or whose place is taken, waits to be settled', () => {
    const both = [...base, looked('f', 0), looked('g', 1)];
    const to = (at: number, from: number) =>
      moved(day(2), [{ frame: 'f', from: place(from), to: place(at), turned: false }]);
    expect(refusal([...both, to(4, 2)])).toContain('stands in another place');
    expect(refusal([...both, to(1, 0)])).toContain('Another frame');
    expect(refusal([...both, looked('f', 2, day(2))])).toContain('stands in another place');
    expect(
      refusal([
        ...both,
        moved(day(2), [{ frame: 'f', from: place(0), to: { box: 'box-1', slot: 'none' }, turned: false }]),
      ]),
    ).toContain('no such place');
    expect(
      refusal([
        ...both,
        moved(day(2), [
          { frame: 'f', from: place(0), to: place(4), turned: false },
          { frame: 'g', from: place(1), to: place(4), turned: false },
        ]),
      ]),
    ).toContain('Two frames');
  });

  it('changes places with another in one act; bees that got brood and bees that gave it know so', () => {
    const events = [
      ...base,
      looked('f', 0),
      moved(
        day(2),
        [
          { frame: 'f', from: place(0), to: place(3), turned: false },
          { frame: 'g', from: place(3), to: place(0), turned: false },
        ],
        'equalise',
      ),
    ];
    const state = fold(known, events);
    expect(state.toSettle).toEqual([]);
    expect(state.frames.get('f')?.at).toEqual(place(3));
    expect(state.frames.get('g')?.at).toEqual(place(0));
    expect(state.colonies.get('colony-1')).toMatchObject({ gaveOn: day(2) });
    expect(state.colonies.get('colony-2')).toMatchObject({ broodGivenOn: day(2) });
  });

  it('no two frames ever stand in one place, and none stands in two, whatever is logged', () => {
    const steps = fc.array(
      fc.record({
        frame: fc.constantFrom('f', 'g', 'h', 'i'),
        from: fc.integer({ min: -1, max: 8 }),
        to: fc.integer({ min: -1, max: 8 }),
        look: fc.boolean(),
      }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(steps, (list) => {
        const events = list.map(({ frame, from, to, look }, index) =>
          look && to >= 0
            ? looked(frame, to, day(1 + index))
            : moved(day(1 + index), [
                { frame, from: from < 0 ? null : place(from), to: to < 0 ? null : place(to), turned: false },
              ]),
        );
        const state = fold(known, [...base, ...events]);
        const held = [...state.frames.values()].flatMap(({ at }) => (at ? [at.slot] : []));
        expect(new Set(held).size).toBe(held.length);
        for (const empty of state.boxes.get('box-1')?.emptySlots ?? []) expect(held).not.toContain(empty);
      }),
    );
  });
});

describe('a colony that moves', () => {
  const other = [
    told('boxBuilt', day(-20), {
      box: 'box-2',
      label: 'B2',
      design: known.designs.keys().next().value as string,
      version: 1,
    }),
    stockedIn('colony-9', 0, day(0), { box: 'box-2' }),
  ];
  const goes = (toBox: string, at: number, on = day(5)) =>
    told('colonyMoved', on, { ...IN, toBox, bays: bays.slice(at, at + 1) });
  const queen = told('queenRecorded', day(2), { ...IN, queen: 'q' });
  const seen = told('queenSeen', day(3), { ...IN, queen: 'q', seen: true, slot: slot(1) });
  const out = moved(day(2), [{ frame: 'g', from: place(2), to: null, turned: false }], 'show');

  it('takes its frames along in their order, empty places, and where she was last seen', () => {
    const state = fold(known, [
      ...base,
      ...other,
      looked('f', 0),
      looked('h', 1),
      out,
      queen,
      seen,
      goes('box-2', 1),
    ]);
    expect(state.toSettle).toEqual([]);
    expect(state.frames.get('f')?.at).toEqual({ box: 'box-2', slot: slot(3) });
    expect(state.frames.get('h')?.at).toEqual({ box: 'box-2', slot: slot(4) });
    expect(state.boxes.get('box-2')?.emptySlots).toEqual([slot(5)]);
    expect(state.boxes.get('box-1')?.emptySlots).toEqual([]);
    expect(state.queens.get('q')).toMatchObject({ box: 'box-2', sightings: [{ on: day(3), slot: slot(4) }] });
  });

  it('takes those of its whole compartment along, where a divider is out; those that find no place there stay out, and are kept as out', () => {
    const [left] = threeWayDesign().versions.flatMap(({ content }) =>
      bodiesOf(content).flatMap((body) => body.boards.map(({ id }) => id)),
    );
    const out1 = told(
      'dividerSet',
      day(1),
      { box: 'box-1', board: left as string, stands: false },
      { hour: 8 },
    );
    const alone = begun(CELL);
    const story = [...alone, other[0] as LogEvent, out1, looked('f', 2), looked('g', 3), goes('box-2', 1)];
    const state = fold(known, story);
    expect(state.toSettle).toEqual([]);
    expect(state.frames.get('f')?.at).toEqual({ box: 'box-2', slot: slot(5) });
    expect(state.frames.get('g')).toMatchObject({ at: null, out: { from: place(3), purpose: 'other' } });
  });

  it('within its own box too, and its old place holds other frames from then on', () => {
    const story = [...base, looked('f', 0), goes('box-1', 2)];
    expect(fold(known, story).frames.get('f')?.at).toEqual(place(6));
    const again = stockedIn('colony-4', 0, day(6));
    const state = fold(
      known,
      [...story, again, looked('n', 0, day(7))].map((event) =>
        event.kind === 'frameAudited' && event.payload.frame === 'n'
          ? told('frameAudited', day(7), { ...event.payload, colony: 'colony-4' })
          : event,
      ),
    );
    expect(state.toSettle).toEqual([]);
    expect(state.frames.get('n')?.at).toEqual(place(0));
  });
});

describe('equalising', () => {
  const crowded = told('strengthSeen', day(15), { ...IN, seams: 3.5 });
  const weak = told('strengthSeen', day(15), { box: 'box-1', colony: 'colony-2', seams: 1 });
  const cell = told('cellOpened', day(3), { ...IN, attempt: 'attempt-1' });
  const found = (events: readonly LogEvent[]) => {
    const state = fold(known, events);
    return equalisings(state, known.designs, [...state.boxes.values()], defaultConstants);
  };
  const story = [
    ...base,
    cell,
    looked('f', 0, day(14)),
    looked('g', 1, day(14), [{ sealed: 0.3 }, { sealed: 0.3 }]),
    crowded,
    weak,
  ];
  it('proposes the fullest frame of sealed brood, from the crowded to the weak', () => {
    expect(found(story)).toMatchObject([
      { from: { slot: { slot: slot(0) } }, sealed: 1, findQueenFirst: true },
    ]);
    expect(found([...base, crowded, weak])).toEqual([]);
  });
  it('never the frame that the queen was last seen on', () => {
    const seen = told('queenSeen', day(15), { ...IN, seen: true, slot: slot(0) }, { hour: 11 });
    expect(found([...story, seen])).toMatchObject([
      { from: { slot: { slot: slot(1) } }, findQueenFirst: false },
    ]);
  });
  it('nor that frame after it changed places with another; once it left every box, she is to be found first', () => {
    const seen = told('queenSeen', day(15), { ...IN, seen: true, slot: slot(0) }, { hour: 11 });
    const change = moved(day(16), [
      { frame: 'f', from: place(0), to: place(1), turned: false },
      { frame: 'g', from: place(1), to: place(0), turned: false },
    ]);
    const last = (events: readonly LogEvent[]) =>
      [...fold(known, events).queens.values()].flatMap(({ sightings }) => sightings).at(-1);
    expect(last([...story, seen, change])).toEqual({ on: day(15), slot: slot(1) });
    expect(found([...story, seen, change])).toMatchObject([
      { from: { slot: { slot: slot(0), frame: { id: 'g' } } }, findQueenFirst: false },
    ]);
    const gone = moved(day(16), [{ frame: 'f', from: place(0), to: null, turned: false }]);
    expect(last([...story, seen, gone])).toEqual({ on: day(15) });
    expect(found([...story, seen, gone])).toMatchObject([{ findQueenFirst: true }]);
  });
});
