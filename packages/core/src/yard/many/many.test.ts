import type { LogEvent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../../box/model.ts';
import { plusDays } from '../../calendar/days.ts';
import { defaultConstants } from '../../constants/registry.ts';
import { familyDesign } from '../../families/build.ts';
import { boxViews } from '../boxView.ts';
import { fold } from '../fold.ts';
import { known, stockedIn, threeWayDesign, told, YARD } from '../story.test.kit.ts';
import { freePlaces, freeStands } from './freePlaces.ts';
import { asAsked, isAsked, labelsFrom } from './labels.ts';
import { alike, doorsOf, type ManyAct, manyActs, manyRooms } from './manyActs.ts';

const START = '2026-05-10';
const day = (count: number) => plusDays(START, count);
const box = (id: string, label: string, east_m: number) => [
  told('boxBuilt', day(-9), { box: id, label, design: 'design-1', version: 1 }),
  told('boxPlaced', day(-8), { box: id, yard: YARD, stand: label, east_m, north_m: 0, bearing_deg: 180 }),
];
const in1 = (colony: string, at: number, box: string) => stockedIn(colony, at, day(0), { box });
const viewsOf = (events: readonly LogEvent[], on = day(2)) =>
  boxViews(fold(known, events), known, YARD, defaultConstants, { on, today: on });
const found = (events: readonly LogEvent[], act: ManyAct, on?: string) =>
  manyRooms(viewsOf(events, on), act).map(
    ({ box, room, due }) => `${box.box.label} ${room.position}${due ? ' due' : ''}`,
  );

const two = [...box('b2', 'B2', 9), ...box('b1', 'B1', 2)];
const stocked = [...two, in1('c1', 0, 'b1'), in1('c2', 1, 'b1'), in1('c3', 2, 'b2')];

describe('queens to be marked', () => {
  const laying = (colony: string, at: number, queen: string) => [
    in1(colony, at, 'b1'),
    told('cellGiven', day(0), { box: 'b1', colony, attempt: queen }),
    told('eggsSeen', day(14), { box: 'b1', colony, attempt: queen }),
  ];
  it('are those that lay, stand alone in their room, and bear no mark', () => {
    const [c1, c2] = [laying('c1', 0, 'q1'), laying('c2', 1, 'q2')];
    const virgin = [
      in1('c3', 2, 'b1'),
      told('cellGiven', day(0), { box: 'b1', colony: 'c3', attempt: 'q3' }),
      told('cellOpened', day(3), { box: 'b1', colony: 'c3', attempt: 'q3' }),
    ];
    const events = [...box('b1', 'B1', 2), ...c1, ...c2, ...virgin];
    expect(found(events, 'mark', day(16))).toEqual(['B1 0', 'B1 1']);
    const marked = told('queenMarked', day(15), {
      box: 'b1',
      colony: 'c1',
      queen: 'q1',
      colour: 'white',
      clipped: false,
    });
    expect(found([...events, marked], 'mark', day(16))).toEqual(['B1 1']);
  });
});

describe('many at once', () => {
  it('finds the rooms that an act fits as they stand, and says which of them want it', () => {
    expect(found(two, 'stock')).toEqual(['B1 0', 'B1 1', 'B1 2', 'B2 0', 'B2 1', 'B2 2']);
    expect(found(stocked, 'stock')).toEqual(['B1 2', 'B2 0', 'B2 1']);
    expect(found(stocked, 'cell')).toEqual(['B1 0 due', 'B1 1 due', 'B2 2 due']);
    expect(found(stocked, 'cell', day(0))).toEqual(['B1 0', 'B1 1', 'B2 2']);
    expect(alike(viewsOf(stocked))).toEqual([{ act: 'cell', rooms: 3 }]);
    const given = told('cellGiven', day(1), { box: 'b1', colony: 'c1', attempt: 'a1' });
    expect(found([...stocked, given], 'cell')).toEqual(['B1 1 due', 'B2 2 due']);
    expect(found([...stocked, given], 'opened', day(4))).toEqual(['B1 0 due']);
    expect(alike(viewsOf([...stocked, given], day(4))).some(({ act }) => act === 'opened')).toBe(false);
  });

  it('offers no cell where it does harm, and nothing that was seen is chosen beforehand', () => {
    const bank = told('roleSet', day(1), { box: 'b1', role: 'bank' });
    expect(found([...stocked, bank], 'cell')).toEqual(['B2 2 due']);
    expect(found([...stocked, bank], 'feed')).toHaveLength(3);
    expect((['opened', 'eggs'] as const).map((act) => manyActs[act].seen)).toEqual([true, true]);
  });

  it('opens what is shut and shuts what is open, by the entrances of each room', () => {
    const content = threeWayDesign().versions[0]?.content as never;
    const doors = deriveBox(content).compartments[0]?.entrances.map(({ id }) => id) ?? [];
    const shut = doors.map((entrance) => told('entranceSet', day(1), { box: 'b1', entrance, state: 'vent' }));
    const [first] = manyRooms(viewsOf([...stocked, ...shut]), 'open');
    expect(first?.room.position).toBe(0);
    expect(first && doorsOf(first.room, first.box, false).sort()).toEqual([...doors].sort());
    expect(found([...stocked, ...shut], 'shut')).toEqual(['B1 1', 'B2 2']);
    expect(found([...stocked, ...shut], 'open', day(4))).toEqual(['B1 0 due']);
    const starter = told('roleSet', day(1), { box: 'b1', role: 'starter' });
    expect(found([...stocked, ...shut, starter], 'open')).toEqual([]);
    expect(found([...stocked, starter], 'feed')).toEqual(['B2 2']);
  });

  it('leaves alone what is closed or empty on purpose: a donor’s side, a starter, a bank', () => {
    const roomsOf = (family: Parameters<typeof familyDesign>[0], act: ManyAct, queen = false) => {
      const content = familyDesign(family);
      const version = { id: 'v', number: 1, content, note: '', savedAt: '', savedBy: '' };
      const shelf = {
        designs: new Map([['d', { id: 'd', name: family, versions: [version] }]]),
        yards: new Set([YARD]),
      };
      const bays = [...(deriveBox(content).compartments[0]?.bays ?? [])];
      const events = [
        told('boxBuilt', day(-9), { box: 'x', label: 'X', design: 'd', version: 1 }),
        told('boxPlaced', day(-8), {
          box: 'x',
          yard: YARD,
          stand: '1',
          east_m: 1,
          north_m: 1,
          bearing_deg: 180,
        }),
        ...(queen ? [stockedIn('c', 0, day(0), { box: 'x', bays, queen: 'laying' })] : []),
      ];
      const on = { on: day(4), today: day(4) };
      return manyRooms(boxViews(fold(shelf, events), shelf, YARD, defaultConstants, on), act).length;
    };
    expect(roomsOf('donorHolding', 'open', true)).toBe(0);
    expect((['starter', 'bank', 'allInOne'] as const).map((family) => roomsOf(family, 'stock'))).toEqual([
      0, 0, 0,
    ]);
    expect(roomsOf('nucleus', 'stock')).toBe(1);
  });

  it('finds covers off, and strips that hang where bees are gone', () => {
    const off = told('coverSet', day(1), { box: 'b1', colony: 'c2', on: false });
    const strips = told('stripsPut', day(1), { box: 'b2', colony: 'c3', product: 'Strips', outBy: day(40) });
    const gone = told('failed', day(2), { box: 'b2', colony: 'c3', reason: 'absconded' });
    expect(found([...stocked, off], 'covers')).toEqual(['B1 1 due']);
    expect(found([...stocked, strips, gone], 'stripsOut', day(40))).toEqual(['B2 2 due']);
  });
});

describe('labels and places for many boxes', () => {
  it('counts on from the first label, past those that are taken', () => {
    expect(labelsFrom('B1', 4, ['b2', 'B4'])).toEqual(['B1', 'B3', 'B5', 'B6']);
    expect(labelsFrom('N08', 3, [])).toEqual(['N08', 'N09', 'N10']);
    expect(labelsFrom('Box', 2, [])).toEqual(['Box1', 'Box2']);
    expect(labelsFrom(' Blue ', 1, [])).toEqual(['Blue']);
  });

  it('reads a range, a word, and several', () => {
    const of = (only: string) =>
      ['B1', 'B12', 'B13', 'N2'].filter((label) => isAsked(only, label, 'West virgin'));
    expect(of('')).toHaveLength(4);
    expect(of('b1-b12')).toEqual(['B1', 'B12']);
    expect(of('B12–13')).toEqual(['B12', 'B13']);
    expect(of('B1, n2')).toEqual(['B1', 'N2']);
    expect(of('B13, n')).toHaveLength(4);
    expect(of('1')).toEqual([]);
    expect(of('VIRG')).toHaveLength(4);
    expect(of('b1-n12')).toEqual([]);
  });

  it('says boxes as they are asked for, and is asked for those alone', () => {
    expect(asAsked(['B1', 'B2', 'B3', 'B7', 'N1', 'N2', 'Old hive'])).toBe('B1-B3, B7, N1-N2, "Old hive"');
    expect(asAsked(['B08', 'B09', 'B9', 'B10'])).toBe('B08, B09, B9-B10');
    expect(asAsked([])).toBe('');
    const all = [
      ...Array.from({ length: 30 }, (_, at) => `${at % 3 === 0 ? 'N' : 'B'}${1 + Math.floor(at / 2)}`),
      ...['Blue', 'Blue 2', 'Old, by the road', 'B', '7', 'Ä1'],
    ];
    fc.assert(
      fc.property(fc.subarray(all, { minLength: 1 }), (some) => {
        const only = asAsked(some);
        expect(all.filter((label) => isAsked(only, label, 'West virgin'))).toEqual(
          all.filter((label) => some.includes(label)),
        );
      }),
    );
  });

  it('finds places apart from one another and from all that stand, and stands that are free', () => {
    const spot = fc.record({
      east_m: fc.double({ min: 0, max: 30, noNaN: true }),
      north_m: fc.double({ min: 0, max: 30, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.array(spot, { maxLength: 20 }), (count, taken) => {
        const places = freePlaces(count, taken);
        expect(places).toHaveLength(count);
        places.forEach((one, index) => {
          expect(Math.min(one.east_m, one.north_m)).toBeGreaterThanOrEqual(0);
          for (const other of [...taken, ...places.slice(0, index)])
            expect(Math.hypot(one.east_m - other.east_m, one.north_m - other.north_m)).toBeGreaterThan(1.8);
        });
      }),
      { numRuns: 40 },
    );
    // Row by row from the north-west, passing by what stands there, below the north first, then above it.
    const at = (east_m: number, north_m: number) => ({ east_m, north_m });
    expect(freePlaces(6, [at(4.4, 8)])).toEqual([
      at(2, 8),
      at(6.8, 8),
      at(9.2, 8),
      at(11.6, 8),
      at(2, 5.6),
      at(4.4, 5.6),
    ]);
    const full = [8, 5.6, 3.2, 0.8].flatMap((north) =>
      [2, 4.4, 6.8, 9.2, 11.6].map((east) => at(east, north)),
    );
    expect(freePlaces(1, full)).toEqual([at(2, 10.4)]);
    expect(freeStands('3', 3, ['4', undefined, '6'])).toEqual(['3', '5', '7']);
    expect(freeStands('by the oak', 2, ['1'])).toEqual(['2', '3']);
  });
});
