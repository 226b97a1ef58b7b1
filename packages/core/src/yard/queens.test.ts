import type { LogEvent, Queen } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { compartmentsOf } from './compartments.ts';
import { fold } from './fold.ts';
import type { YardState } from './state.ts';
import { bays, begun, DESIGN, known, OF, told, workOf } from './story.test.kit.ts';
import { yearColour } from './yearColour.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };
const laying = [...begun(CELL), told('cellOpened', day(3), OF), told('eggsSeen', day(14), OF)];
const queenOf = (events: readonly LogEvent[], id = 'attempt-1'): Queen | undefined =>
  fold(known, events).queens.get(id);
const refusal = (events: readonly LogEvent[]) => fold(known, events).toSettle[0]?.sentence;
const second = [
  told('stocked', day(0), {
    box: 'box-1',
    colony: 'colony-2',
    bays: bays.slice(1, 2),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 1,
    openBrood: false,
  }),
];

describe('the colour of a year', () => {
  it('follows its last digit', () => {
    const colours = [2020, 2021, 2022, 2023, 2024, 2025, 2026, 2027, 2028, 2029].map(yearColour);
    expect(colours.slice(0, 5)).toEqual(['blue', 'white', 'yellow', 'red', 'green']);
    expect(colours.slice(5)).toEqual(colours.slice(0, 5));
  });
});

describe('a queen as a person', () => {
  it('comes of the cell that opened, with mother, round and the day she emerged', () => {
    expect(queenOf(begun(CELL))).toBeUndefined();
    expect(queenOf(laying)).toMatchObject({
      mother: { name: 'Sable' },
      round: 'round-1',
      bornOn: day(2),
      birthYear: 2026,
      colony: 'colony-1',
    });
  });

  it('is seen and not seen, and neither makes her absent; eggs ask no sight of her', () => {
    const seen = told('queenSeen', day(20), { ...IN, seen: true, slot: 'slot-1' });
    expect(queenOf([...laying, seen])?.sightings).toEqual([{ on: day(20), slot: 'slot-1' }]);
    const missed = told('queenSeen', day(21), { ...IN, seen: false });
    const state = fold(known, [...laying, seen, missed]);
    expect(state.queens.get('attempt-1')?.gone).toBeUndefined();
    const asks = (all: YardState) => workOf(all, 'colony-1').find(({ kind }) => kind === 'seeEvidence');
    expect(asks(state)).toMatchObject({
      from: day(24),
      reason: expect.stringContaining('Not seen is not absent'),
    });
    const eggs = told('eggsSeen', day(24), OF);
    expect(asks(fold(known, [...laying, seen, missed, eggs]))).toBeUndefined();
  });

  it('two at once can be recorded, and the one taken is named', () => {
    const daughter = told('queenRecorded', day(30), { ...IN, queen: 'young', birthYear: 2026 });
    const both = fold(known, [...laying, daughter]);
    const box = both.boxes.get('box-1');
    if (!box) throw new Error('no box');
    expect(compartmentsOf(both, known.designs, box)[0]?.queens.map(({ id }) => id)).toEqual([
      'attempt-1',
      'young',
    ]);
    const unnamed = told('queenTaken', day(31), { ...OF, to: 'culled', beesRemain: true });
    // One of them is gone, and nobody knows which: the bees are not without a queen, and it waits to be settled.
    const asked = fold(known, [...laying, daughter, unnamed]);
    expect(asked.toSettle[0]?.sentence).toBe('Several queens live there: which of them is taken?');
    expect([...asked.queens.values()].filter(({ gone }) => gone)).toEqual([]);
    expect(asked.colonies.get('colony-1')?.status).toBe('laying');
    const named = told('queenTaken', day(31), { ...OF, queen: 'attempt-1', to: 'culled', beesRemain: true });
    expect(queenOf([...laying, daughter, named])?.gone).toEqual({ on: day(31), to: 'culled' });
    expect(queenOf([...laying, daughter, named], 'young')?.gone).toBeUndefined();
  });

  it('unnamed, the one taken is she that reigns, and not the drone layer that nobody found', () => {
    const second = { ...IN, attempt: 'attempt-2' };
    const events = [
      ...laying,
      told('failed', day(20), { ...OF, reason: 'droneLayer' }),
      told('cellGiven', day(21), second),
      told('cellOpened', day(24), second),
      told('eggsSeen', day(34), second),
      told('queenTaken', day(40), { ...second, to: 'sold', beesRemain: true }),
    ];
    expect(fold(known, events).toSettle).toEqual([]);
    expect(queenOf(events, 'attempt-2')?.gone).toEqual({ on: day(40), to: 'sold' });
    expect(queenOf(events)?.gone).toBeUndefined();
  });

  it('put aside goes back to her bees wherever they have been moved since', () => {
    const aside = told('queenTaken', day(20), { ...OF, to: 'aside', beesRemain: true, backBy: day(23) });
    const other = [
      told('boxBuilt', '2026-04-01', { box: 'box-2', label: 'B2', design: DESIGN, version: 1 }),
      told('colonyMoved', day(21), { ...IN, toBox: 'box-2', bays: bays.slice(1, 2) }),
    ];
    const state = fold(known, [...laying, ...other.slice(0, 1), aside, ...other.slice(1)]);
    expect(state.queens.get('attempt-1')).toMatchObject({ box: 'box-2', gone: { to: 'aside' } });
    const alone = { ...state, queens: new Map([...state.queens].filter(([, { box }]) => box === 'box-2')) };
    expect(workOf(alone, 'colony-1').find(({ kind }) => kind === 'queenBack')).toMatchObject({ to: day(23) });
  });

  it('put aside is wanted back by a day, and comes back', () => {
    const aside = told('queenTaken', day(20), { ...OF, to: 'aside', beesRemain: true, backBy: day(23) });
    const state = fold(known, [...laying, aside]);
    expect(workOf(state, 'colony-1').find(({ kind }) => kind === 'queenBack')).toMatchObject({ to: day(23) });
    const back = told('queenGiven', day(22), { ...IN, queen: 'attempt-1', what: 'mated', caged: true });
    const home = fold(known, [...laying, aside, back]);
    expect(home.queens.get('attempt-1')).toMatchObject({ colony: 'colony-1', caged: true, round: 'round-1' });
    expect(home.queens.get('attempt-1')?.gone).toBeUndefined();
    expect(home.colonies.get('colony-1')?.status).toBe('caged');
    const eggs = told('eggsSeen', day(26), IN);
    expect(fold(known, [...laying, aside, back, eggs]).colonies.get('colony-1')?.status).toBe('queenright');
  });

  it('cannot be in two places: given elsewhere without being taken from where she is, the entry waits', () => {
    const given = told('queenGiven', day(20), {
      box: 'box-1',
      colony: 'colony-2',
      queen: 'attempt-1',
      what: 'mated',
      caged: false,
    });
    expect(refusal([...laying, ...second, given])).toContain('in box B1');
    const carried = told('queenGiven', day(20), {
      box: 'box-1',
      colony: 'colony-2',
      queen: 'attempt-1',
      what: 'mated',
      caged: false,
      from: IN,
    });
    const state = fold(known, [...laying, ...second, carried]);
    expect(state.toSettle).toEqual([]);
    expect(state.colonies.get('colony-1')?.status).toBe('stocked');
    expect(state.attempts.get('attempt-1')?.taken).toEqual({ on: day(20), to: 'colony' });
  });

  it('a virgin given is an attempt two days ahead of a cell; a mated queen is an introduction and no attempt', () => {
    const virgin = told('queenGiven', day(2), {
      box: 'box-1',
      colony: 'colony-2',
      queen: 'v',
      what: 'virgin',
      caged: true,
    });
    const state = fold(known, [...begun(CELL), ...second, virgin]);
    expect(state.attempts.get('v')).toMatchObject({ what: 'virgin', givenOn: day(2) });
    const eggs = (colony: string) => workOf(state, colony).find(({ kind }) => kind === 'lookForEggs')?.from;
    expect(eggs('colony-2')).toBe(eggs('colony-1'));
    const mated = told('queenGiven', day(2), {
      box: 'box-1',
      colony: 'colony-2',
      queen: 'm',
      what: 'mated',
      caged: true,
    });
    expect(fold(known, [...begun(CELL), ...second, mated]).attempts.has('m')).toBe(false);
  });

  it('goes along where her bees join queenless ones, and is lost where they join a queen of their own', () => {
    const into = { ...IN, intoBox: 'box-1', into: 'colony-2' };
    const joins = fold(known, [...laying, ...second, told('combined', day(20), into)]);
    expect(joins.queens.get('attempt-1')).toMatchObject({ colony: 'colony-2' });
    expect(joins.colonies.get('colony-2')?.status).toBe('laying');
    const theirs = told('eggsSeen', day(15), { box: 'box-1', colony: 'colony-2' });
    const lost = fold(known, [...laying, ...second, theirs, told('combined', day(20), into)]);
    expect(lost.queens.get('attempt-1')?.gone?.to).toBe('lost');
  });
});

describe('a colony hived whole', () => {
  const hived = (queen: 'laying' | 'unknown') =>
    told('stocked', day(1), {
      box: 'box-1',
      colony: 'whole',
      bays: bays.slice(2, 3),
      frames: { sealedBrood: 1, stores: 1, drawn: 1 },
      shakes: 0,
      openBrood: true,
      queen,
    });
  it('is queenright, or unknown until eggs are seen; and goes into no bees', () => {
    const status = (...events: LogEvent[]) =>
      fold(known, [...begun(CELL), ...events]).colonies.get('whole')?.status;
    expect(status(hived('laying'))).toBe('queenright');
    expect(status(hived('unknown'))).toBe('unknown');
    const eggs = told('eggsSeen', day(3), { box: 'box-1', colony: 'whole' });
    expect(status(hived('unknown'), eggs)).toBe('queenright');
    const again = told('stocked', day(4), { ...hived('laying').payload, queen: 'laying' } as never);
    expect(refusal([...begun(CELL), hived('unknown'), again])).toContain('into an empty compartment');
  });
});

describe('a colony moved whole', () => {
  const to = (bay: number, on = day(20)) =>
    told('colonyMoved', on, { ...IN, toBox: 'box-2', bays: bays.slice(bay, bay + 1) });
  const other = told('boxBuilt', day(-5), { box: 'box-2', label: 'B2', design: DESIGN, version: 1 });
  it('takes its queen, its attempt and its history along', () => {
    const pattern = told('patternScored', day(24), {
      box: 'box-2',
      colony: 'colony-1',
      attempt: 'attempt-1',
      pattern_pct: 91,
    });
    const state = fold(known, [...laying, other, to(1), pattern]);
    expect(state.toSettle).toEqual([]);
    expect(state.colonies.get('colony-1')).toMatchObject({
      box: 'box-2',
      bays: bays.slice(1, 2),
      status: 'proven',
    });
    expect(state.queens.get('attempt-1')).toMatchObject({ box: 'box-2', colony: 'colony-1' });
    expect(state.attempts.get('attempt-1')).toMatchObject({ box: 'box-1', patterns: [{ pattern_pct: 91 }] });
    const first = state.boxes.get('box-1');
    expect(first && compartmentsOf(state, known.designs, first).map(({ status }) => status)).toEqual([
      'empty',
      'empty',
      'empty',
    ]);
  });
  it('goes into no compartment that holds bees, nor into a bay that is not there', () => {
    const bees = told('stocked', day(1), {
      box: 'box-2',
      colony: 'colony-9',
      bays: bays.slice(1, 2),
      frames: { sealedBrood: 1, stores: 1, drawn: 1 },
      shakes: 1,
      openBrood: false,
    });
    expect(refusal([...laying, other, bees, to(1)])).toContain('combine them instead');
    const nowhere = told('colonyMoved', day(20), { ...IN, toBox: 'box-2', bays: ['none'] });
    expect(refusal([...laying, other, nowhere])).toContain('no bay none');
  });
});
