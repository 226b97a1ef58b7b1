import type { LogEvent, RearingSeason, Round } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { atLeastBinomial } from '../mating/atLeast.ts';
import { seededRandom } from '../random.ts';
import { fold } from '../yard/fold.ts';
import { known, told } from '../yard/story.test.kit.ts';
import { lotsOf } from './lotsOf.ts';
import { lotOdds, roomsFor, roundFor, roundViews } from './rearing.ts';

const TODAY = '2026-05-31';
const round = (id: string, graftedOn: string, grafts: number, more: Partial<Round> = {}): Round => ({
  id,
  number: 1,
  donor: 'Sable',
  graftedOn,
  grafts,
  ...more,
});
const season = (more: Partial<RearingSeason>): RearingSeason => ({
  rounds: [],
  lots: [],
  outcomes: [],
  record: { takes: 0, tried: 0 },
  accepted: { cells: 0, grafts: 0 },
  rooms: [],
  ...more,
});
const views = (of: RearingSeason) => roundViews(of, defaultConstants, TODAY);

describe('a round in the season', () => {
  it('has what was counted, else what the record says of grafts', () => {
    const of = season({
      rounds: [
        round('b', '2026-06-05', 40),
        round('a', '2026-05-25', 40, { accepted: { on: TODAY, cells: 31 } }),
      ],
      accepted: { cells: 79, grafts: 98 },
    });
    expect(views(of).map(({ round: { id }, cells, open }) => [id, cells, open])).toEqual([
      ['a', 31, 31],
      ['b', 32, 32],
    ]);
  });
  it('that was given has what it has, and what is open of it', () => {
    const given = season({
      rounds: [round('a', '2026-05-01', 40, { accepted: { on: '2026-05-02', cells: 30 } })],
      outcomes: [{ round: 'a', given: 24, takes: 10, taken: 3, misses: 6 }],
    });
    expect(views(given)[0]).toMatchObject({ cells: 24, queens: 10, open: 8 });
  });
});

describe('cells that were thrown away', () => {
  it('are open no more, before and after others are given', () => {
    const moved = [{ on: TODAY, to: 'discarded', cells: 5 } as const];
    const of = (given: number) =>
      season({
        rounds: [round('a', '2026-05-25', 40, { accepted: { on: TODAY, cells: 31 }, moved })],
        outcomes: given > 0 ? [{ round: 'a', given, takes: 0, taken: 0, misses: 0 }] : [],
      });
    expect(views(of(0))[0]).toMatchObject({ cells: 26, open: 26 });
    expect(views(of(10))[0]).toMatchObject({ cells: 26, open: 26 });
    expect(views(of(28))[0]).toMatchObject({ cells: 28, open: 28 });
  });
});

describe('the odds of a lot', () => {
  const lot = (name: string, queens: number, by: string) => ({ id: name, name, queens, by });
  it('are those of its cells by the record, after what lots before it take', () => {
    const of = season({
      rounds: [round('a', '2026-05-01', 30, { accepted: { on: TODAY, cells: 20 } })],
      outcomes: [{ round: 'a', given: 20, takes: 6, taken: 2, misses: 4 }],
      lots: [lot('B', 6, '2026-07-01'), lot('A', 4, '2026-06-20')],
      record: { takes: 7_000, tried: 10_000 },
    });
    const [first, second] = lotOdds(of, views(of), [], defaultConstants, TODAY);
    expect(first).toMatchObject({ wanted: 4, have: 4, chance: 1, more: 0 });
    // Ten wanted in all, four are there: six of the ten that are open, at 70 %.
    expect(second).toMatchObject({ wanted: 10, have: 4, open: 10 });
    expect(second?.chance).toBeCloseTo(atLeastBinomial(6, 10, 0.7), 2);
  });
  it('are what playing it by chance comes to, with a rate that is not well known', () => {
    const of = season({
      rounds: [round('a', '2026-05-20', 30, { accepted: { on: TODAY, cells: 18 } })],
      lots: [lot('A', 11, '2026-07-15')],
      record: { takes: 5, tried: 8 },
    });
    const [odds] = lotOdds(of, views(of), [], defaultConstants, TODAY);
    const random = seededRandom(7);
    // Beta(6, 4) as the 6th smallest of 9 uniform numbers.
    const beta = () => Array.from({ length: 9 }, random).sort((x, y) => x - y)[5] as number;
    let hits = 0;
    const runs = 40_000;
    for (let run = 0; run < runs; run++) {
      const rate = beta();
      let queens = 0;
      for (let cell = 0; cell < 18; cell++) if (random() < rate) queens += 1;
      if (queens >= 11) hits += 1;
    }
    expect(Math.abs((odds?.chance ?? 0) - hits / runs)).toBeLessThan(0.01);
  });
  it('leave out cells that find no room', () => {
    const of = season({
      rounds: [round('a', '2026-05-25', 30, { accepted: { on: TODAY, cells: 12 } })],
      lots: [lot('A', 5, '2026-07-15')],
      record: { takes: 70_000, tried: 100_000 },
      rooms: Array.from({ length: 7 }, () => ({ freeFrom: '2026-05-01' })),
    });
    const ripe = roomsFor(of, views(of), defaultConstants, TODAY);
    expect(lotOdds(of, views(of), ripe, defaultConstants, TODAY)[0]).toMatchObject({ open: 7 });
  });
  it('say how many more cells make it nine times in ten, and count no round that is too late', () => {
    const of = season({
      rounds: [
        round('a', '2026-05-20', 30, { accepted: { on: TODAY, cells: 10 } }),
        round('late', '2026-07-10', 30, { accepted: { on: TODAY, cells: 30 } }),
      ],
      lots: [lot('A', 10, '2026-07-15')],
      record: { takes: 70_000, tried: 100_000 },
    });
    const [odds] = lotOdds(of, views(of), [], defaultConstants, TODAY);
    expect(odds?.open).toBe(10);
    // 18 cells at 70 % give 10 queens nine times in ten (handbook 5).
    expect(odds?.more).toBe(8);
  });
});

describe('what a round needs', () => {
  it('is by the record and the confidence, not by the mean', () => {
    const well = { record: { takes: 70_000, tried: 100_000 }, accepted: { cells: 80_000, grafts: 100_000 } };
    expect(roundFor(10, 0.9, well).cells).toBe(18);
    expect(roundFor(10, 0.9, well).grafts).toBeGreaterThan(18 / 0.8);
    const little = roundFor(10, 0.9, { record: { takes: 7, tried: 10 }, accepted: { cells: 8, grafts: 10 } });
    expect(little.cells).toBeGreaterThan(18);
  });
});

describe('rooms against cells', () => {
  it('are those free when cells are ripe; a room that is given is free again once its queen is taken', () => {
    const of = season({
      rounds: [
        round('a', '2026-05-25', 9, { accepted: { on: TODAY, cells: 3 } }),
        round('b', '2026-06-01', 9, { accepted: { on: TODAY, cells: 3 } }),
      ],
      rooms: ['2026-05-01', '2026-06-03', '2026-06-08', '2026-06-20'].map((freeFrom) => ({ freeFrom })),
    });
    expect(roomsFor(of, views(of), defaultConstants, TODAY)).toMatchObject([
      { on: '2026-06-04', cells: 3, free: 2, over: 1 },
      { on: '2026-06-11', cells: 3, free: 1, over: 2 },
    ]);
  });
});

describe('plans and lots', () => {
  const planned = (on: string, graftOn: string, grafts = 30) =>
    told('roundPlanned', on, { round: 'r', number: 4, donor: 'Sable', graftOn, grafts });
  const grafted = (on: string) => told('grafted', on, { round: 'r', number: 4, donor: 'Sable', grafts: 28 });
  const roundOf = (events: readonly LogEvent[]) => fold(known, events).rounds.get('r');
  it('a plan is moved until it is grafted, and then stays beside the fact', () => {
    expect(roundOf([planned('2026-05-01', '2026-05-08'), planned('2026-05-02', '2026-05-10')])).toMatchObject(
      {
        planned: true,
        graftedOn: '2026-05-10',
      },
    );
    const fact = roundOf([planned('2026-05-01', '2026-05-08'), grafted('2026-05-09')]);
    expect(fact).toMatchObject({
      graftedOn: '2026-05-09',
      grafts: 28,
      plan: { graftOn: '2026-05-08', grafts: 30 },
    });
    expect(fact?.planned).toBeUndefined();
    const late = fold(known, [grafted('2026-05-09'), planned('2026-05-10', '2026-05-20')]);
    expect(late.toSettle[0]?.sentence).toContain('its day is a fact');
  });
  it('cells of a plan are not counted, and it can be dropped', () => {
    const count = told('cellsAccepted', '2026-05-09', { round: 'r', accepted: 3 });
    expect(fold(known, [planned('2026-05-01', '2026-05-08'), count]).toSettle).toHaveLength(1);
    const drop = told('roundDropped', '2026-05-03', { round: 'r' });
    expect(roundOf([planned('2026-05-01', '2026-05-08'), drop])).toBeUndefined();
    expect(
      fold(known, [grafted('2026-05-09'), { ...drop, occurredAt: '2026-05-10T09:00:00Z' }]).toSettle,
    ).toHaveLength(1);
  });
  it('of a lot the last word holds, unless it was taken back', () => {
    const wanted = (on: string, queens: number, id: string) =>
      told('lotWanted', on, { lot: 'l', name: 'Order', queens, by: '2026-07-01' }, { id });
    const first = wanted('2026-05-01', 10, 'one');
    const second = wanted('2026-05-02', 12, 'two');
    expect(lotsOf([second, first])).toMatchObject([{ queens: 12 }]);
    const back = told('withdrawn', '2026-05-03', {}, { corrects: 'two' });
    expect(lotsOf([first, second, back])).toMatchObject([{ queens: 10 }]);
    expect(lotsOf([first, told('lotDropped', '2026-05-04', { lot: 'l' })])).toEqual([]);
  });
});
