import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { compartmentsOf } from './compartments.ts';
import { expectationsOf } from './due/rules.ts';
import { fold } from './fold.ts';
import { bays, begun, known, OF, stockedIn, told, workOf } from './story.test.kit.ts';

const CELL = '2026-05-20';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };
const work = (events: readonly LogEvent[], kind: string, constants = defaultConstants) =>
  workOf(fold(known, [...begun(CELL), ...events]), 'colony-1', new Map(), constants).filter(
    (each) => each.kind === kind,
  );

describe('mites', () => {
  const wash = (mites: number, on = 10) =>
    told('mitesCounted', day(on), { ...IN, method: 'wash', mites, bees: 300 });
  it('are held against a limit of one’s own, to a hundred bees or by the day', () => {
    expect(work([wash(8)], 'mitesHigh')).toEqual([]);
    expect(work([wash(9)], 'mitesHigh')).toMatchObject([{ from: day(10) }]);
    expect(work([wash(8)], 'mitesHigh', { ...defaultConstants, mites_pct: 2.6 })).toHaveLength(1);
    const drop = (mites: number) => told('mitesCounted', day(10), { ...IN, method: 'drop', mites, days: 3 });
    expect([23, 24].map((mites) => work([drop(mites)], 'mitesHigh').length)).toEqual([0, 1]);
    expect(work([drop(24)], 'mitesHigh', { ...defaultConstants, mitesDrop_day: 8.5 })).toEqual([]);
  });
  it('are asked about until a treatment, or a better count', () => {
    const treated = told('treated', day(11), { ...IN, product: 'By its label', batch: 'L7' });
    expect(work([wash(30), treated], 'mitesHigh')).toEqual([]);
    expect(work([wash(30), wash(2, 12)], 'mitesHigh')).toEqual([]);
    expect(work([wash(30), treated, wash(20, 30)], 'mitesHigh')).toHaveLength(1);
  });
});

describe('a queen in a cage', () => {
  const given = [
    told('failed', day(4), { ...OF, reason: 'cellNotOpened' }),
    told('queenGiven', day(5), { ...IN, queen: 'q', what: 'mated', caged: true }),
  ];
  const seen = (what: 'candy' | 'released' | 'refused') =>
    fold(known, [...begun(CELL), ...given, told('introductionSeen', day(8), { ...IN, what })]);
  it('is followed until she is out, or refused; then her bees are without one', () => {
    expect(seen('candy').queens.get('q')?.caged).toBe(true);
    expect(seen('released').queens.get('q')?.caged).toBeUndefined();
    expect(seen('released').colonies.get('colony-1')?.status).toBe('caged');
    expect(seen('refused').colonies.get('colony-1')).toMatchObject({ status: 'stocked', since: day(8) });
    expect(seen('refused').queens.get('q')?.gone).toEqual({ on: day(8), to: 'lost' });
    // One that lives there free is none that is let out: named, she is refused; unnamed, the caged one is meant.
    const free = told('queenRecorded', day(6), { ...IN, queen: 'free' });
    const of = (more: object) =>
      fold(known, [
        ...begun(CELL),
        ...given,
        free,
        told('introductionSeen', day(8), { ...IN, what: 'released', ...more }),
      ]);
    expect(of({ queen: 'free' }).toSettle[0]?.sentence).toContain('not in a cage');
    expect(of({}).toSettle).toEqual([]);
    expect(of({}).queens.get('q')?.caged).toBeUndefined();
    const none = told('introductionSeen', day(2), { ...IN, what: 'released' });
    expect(fold(known, [...begun(CELL), none]).toSettle[0]?.sentence).toContain('No caged queen');
  });
});

describe('a colony that gave bees', () => {
  it('rests from that day, where it lives in the box that is named and lives at all', () => {
    const gave = (giver: { box: string; colony: string }, ...before: LogEvent[]) =>
      fold(known, [...begun(CELL), ...before, stockedIn('colony-2', 1, day(6), { giver })]).colonies.get(
        'colony-1',
      )?.gaveOn;
    expect(gave(IN)).toBe(day(6));
    expect(gave({ ...IN, box: 'box-9' })).toBeUndefined();
    expect(gave(IN, told('failed', day(4), { ...OF, reason: 'absconded' }))).toBeUndefined();
  });
});

describe('wild cells that were left', () => {
  it('are looked at again, and not once they were seen to', () => {
    const searched = (on: number, left?: number) =>
      told('wildCellsSearched', day(on), { ...IN, found: 1, ...(left ? { left } : {}) });
    expect(work([searched(6, 2)], 'searchWildCells')).toMatchObject([{ from: day(9), to: day(11) }]);
    expect(work([searched(6, 2), searched(9)], 'searchWildCells')).toEqual([]);
  });
});

describe('strips', () => {
  const put = (id: string, on: number, outBy: number) =>
    told('stripsPut', day(on), { ...IN, product: id, outBy: day(outBy) }, { id });
  const due = (events: readonly LogEvent[]) => work(events, 'stripsOut').map(({ key }) => key);
  it('are several sets, each taken out by itself, and go where the bees go', () => {
    expect(due([put('a', 1, 40), put('b', 5, 50)])).toEqual(['a', 'b']);
    const out = told('stripsOut', day(41), { ...IN, strips: 'a' });
    expect(due([put('a', 1, 40), put('b', 5, 50), out])).toEqual(['b']);
    expect(due([put('a', 1, 40), put('b', 5, 50), told('stripsOut', day(51), IN)])).toEqual([]);
    const state = fold(known, [
      ...begun(CELL),
      stockedIn('colony-2', 1, day(0)),
      put('a', 1, 40),
      told('combined', day(2), { ...IN, intoBox: 'box-1', into: 'colony-2' }),
    ]);
    expect(state.colonies.get('colony-2')?.strips?.map(({ id }) => id)).toEqual(['a']);
  });
  it('outlast the bees that they were put in for', () => {
    const gone = told('failed', day(10), { ...OF, reason: 'absconded' });
    const state = fold(known, [...begun(CELL), put('a', 1, 40), gone]);
    expect(state.colonies.get('colony-1')?.ended).toBeDefined();
    const out = fold(known, [...begun(CELL), put('a', 1, 40), gone, told('stripsOut', day(20), IN)]);
    expect(out.toSettle).toEqual([]);
    expect(out.colonies.get('colony-1')?.strips).toBeUndefined();
  });
});

describe('frames added to bees with a queen or a cell', () => {
  const added = (sealedBrood: number, openBrood: boolean) =>
    fold(known, [
      ...begun(CELL),
      told('stocked', day(5), {
        ...IN,
        bays: bays.slice(0, 1),
        frames: { sealedBrood, stores: 1, drawn: 0 },
        shakes: 0,
        openBrood,
      }),
    ]).colonies.get('colony-1');
  it('change nothing of whose they are; brood that came is known', () => {
    expect(added(1, true)).toMatchObject({
      status: 'cellGiven',
      since: CELL,
      attempt: 'attempt-1',
      openBrood: true,
      broodGivenOn: day(5),
    });
    expect(added(0, false)).toMatchObject({ openBrood: false });
    expect(added(0, false)?.broodGivenOn).toBeUndefined();
  });
});

describe('a shut box', () => {
  it('was fed where that was on the day before at the earliest', () => {
    const design = known.designs.get('design-1')?.versions[0]?.content;
    const doors = bodiesOf(design as never).flatMap(({ entrances }) => entrances.map(({ id }) => id));
    const shut = doors.map((entrance) =>
      told('entranceSet', day(5), { box: 'box-1', entrance, state: 'vent' }),
    );
    const fed = (on: number) => told('fed', day(on), { ...IN, feed: 'syrup11', amount_kg: 1 });
    const asks = (...events: LogEvent[]) => work([...events, ...shut], 'feedShut').length;
    expect([asks(), asks(fed(3)), asks(fed(4))]).toEqual([1, 1, 0]);
  });
});

describe('bees that are shared between two neighbours', () => {
  it('have both looked at a week later', () => {
    const shared = told('combined', day(2), {
      ...IN,
      intoBox: 'box-1',
      into: 'colony-2',
      also: { box: 'box-1', colony: 'colony-3' },
    });
    const state = fold(known, [
      ...begun(CELL),
      stockedIn('colony-2', 1, day(0)),
      stockedIn('colony-3', 2, day(0)),
      shared,
    ]);
    expect(state.toSettle).toEqual([]);
    expect(bays.length).toBe(3);
    const wrong = { ...shared.payload, also: { box: 'box-2', colony: 'colony-3' } } as typeof shared.payload;
    const gone = fold(known, [
      ...begun(CELL),
      stockedIn('colony-2', 1, day(0)),
      stockedIn('colony-3', 2, day(0)),
      told('combined', day(2), wrong as never),
    ]);
    expect(gone.toSettle[0]?.sentence).toContain('second colony');
    expect(['colony-2', 'colony-3'].map((id) => state.colonies.get(id)?.combinedOn)).toEqual([
      day(2),
      day(2),
    ]);
  });
});

describe('a queen put aside', () => {
  it('is due back whatever became of her bees', () => {
    const eggs = told('eggsSeen', day(14), OF);
    const taken = told('queenTaken', day(20), { ...OF, to: 'aside', beesRemain: true, backBy: day(23) });
    const merged = told('combined', day(21), { ...IN, intoBox: 'box-1', into: 'colony-2' });
    const state = fold(known, [...begun(CELL), stockedIn('colony-2', 1, day(0)), eggs, taken, merged]);
    expect(state.toSettle).toEqual([]);
    const box = state.boxes.get('box-1');
    const [west] = box ? compartmentsOf(state, known.designs, box) : [];
    expect(west?.status).toBe('empty');
    expect(west && box && expectationsOf(west, box, new Map(), defaultConstants)).toMatchObject([
      { kind: 'queenBack', expected: day(23), reason: expect.stringContaining('give her to others') },
    ]);
    const again = fold(known, [
      ...begun(CELL),
      stockedIn('colony-2', 1, day(0)),
      eggs,
      taken,
      merged,
      stockedIn('colony-4', 0, day(22)),
    ]);
    expect(workOf(again, 'colony-4').filter(({ kind }) => kind === 'queenBack')).toMatchObject([
      { expected: day(23) },
    ]);
  });
});
