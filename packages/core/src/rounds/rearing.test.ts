import type { LogEvent, RearingSeason, Round } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { fold } from '../yard/fold.ts';
import { known, told } from '../yard/story.test.kit.ts';
import { lotStates, roomsByDay, roomsFor, roundFor, roundViews } from './rearing.ts';
import { seasonOf as season } from './season.test.kit.ts';

const TODAY = '2026-05-31';
const round = (id: string, graftedOn: string, grafts: number, more: Partial<Round> = {}): Round => ({
  id,
  number: 1,
  donor: 'Sable',
  graftedOn,
  grafts,
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

describe('what there is for a lot', () => {
  const lot = (name: string, queens: number, by: string) => ({ id: name, name, queens, by });
  const statesOf = (of: RearingSeason) =>
    lotStates(of, views(of), roomsFor(of, views(of), defaultConstants, TODAY), TODAY);
  it('are queens that are not taken away and cells still open, after what lots before it want', () => {
    const of = season({
      rounds: [round('a', '2026-05-01', 30, { accepted: { on: TODAY, cells: 20 } })],
      outcomes: [{ round: 'a', given: 20, takes: 6, taken: 2, misses: 4 }],
      lots: [lot('B', 6, '2026-07-01'), lot('A', 4, '2026-06-20'), lot('gone', 9, plusDays(TODAY, -151))],
    });
    expect(statesOf(of)).toMatchObject([
      { lot: { id: 'A' }, wanted: 4, have: 4, open: 10 },
      { lot: { id: 'B' }, wanted: 10, have: 4, open: 10 },
    ]);
  });
  it('are wanted no more once they are handed over, and until they are, also after their day', () => {
    const of = season({
      outcomes: [{ round: 'a', given: 20, takes: 9, taken: 5, misses: 4 }],
      rounds: [round('a', '2026-04-20', 30, { accepted: { on: TODAY, cells: 20 } })],
      lots: [
        { ...lot('late', 8, plusDays(TODAY, -150)), handedOver: 5 },
        { ...lot('whole', 3, plusDays(TODAY, -1)), handedOver: 3 },
        { ...lot('today', 2, TODAY), handedOver: 2 },
        lot('B', 6, '2026-07-01'),
      ],
    });
    // What is overdue comes first, and is wanted today.
    expect(statesOf(of)).toMatchObject([
      { lot: { id: 'late' }, by: TODAY, wanted: 3, have: 4 },
      { lot: { id: 'today' }, by: TODAY, wanted: 3, have: 4 },
      { lot: { id: 'B' }, by: '2026-07-01', wanted: 9, have: 4 },
    ]);
  });
  it('leaves out cells that find no room, and rounds that are too late', () => {
    const of = season({
      rounds: [
        round('a', '2026-05-25', 30, { accepted: { on: TODAY, cells: 12 } }),
        round('late', '2026-07-10', 30, { accepted: { on: TODAY, cells: 30 } }),
      ],
      lots: [lot('A', 5, '2026-07-15')],
      rooms: Array.from({ length: 7 }, () => ({ freeFrom: '2026-05-01' })),
    });
    expect(statesOf(of)).toMatchObject([{ have: 0, open: 7 }]);
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
    const free = roomsByDay('2026-05-31', '2026-07-20', of, views(of), defaultConstants, TODAY);
    const steps = free.flatMap((count, at) =>
      count === (free[at - 1] ?? -1) ? [] : [[plusDays('2026-05-31', at), count]],
    );
    const back_d = defaultConstants.eggsExpected_d + defaultConstants.harvestExpected_d;
    expect(steps).toEqual([
      ['2026-05-31', 1],
      ['2026-06-03', 2],
      ['2026-06-05', 0],
      ['2026-06-08', 1],
      ['2026-06-12', 0],
      ['2026-06-20', 1],
      [plusDays('2026-06-04', back_d), 3],
      [plusDays('2026-06-11', back_d), 4],
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
});
