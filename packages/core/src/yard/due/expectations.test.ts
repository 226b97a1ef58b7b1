import type { Attempt } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween, plusDays } from '../../calendar/days.ts';
import { constantsWith, defaultConstants } from '../../constants/registry.ts';
import { fold } from '../fold.ts';
import { outcomeOf, verdictOn } from '../outcome.ts';
import type { YardState } from '../state.ts';
import { bays, begun, known, OF, told, weatherOf, workOf, YARD } from '../story.test.kit.ts';
import type { Expectation, Weather } from './expectation.ts';
import { firstExpectation, urgencyOn } from './urgency.ts';
import { failBy } from './weather.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const none: Weather = new Map();
const weatherFrom = (first: number, hours: readonly number[]): Weather =>
  new Map(weatherOf(day(first), hours).map((each) => [each.date, each]));

const expected = (state: YardState, weather = none): Expectation[] => workOf(state, 'colony-1', weather);
const find = (list: readonly Expectation[], kind: Expectation['kind']) =>
  list.find((each) => each.kind === kind);
const attempt = (): Attempt => fold(known, begun(CELL)).attempts.get('attempt-1') as Attempt;

describe('what is expected', () => {
  it('tells a golden story: ten days of one compartment', () => {
    const events = [
      ...begun(CELL),
      told('cellOpened', day(3), OF),
      told('eggsSeen', day(14), OF),
      told('patternScored', day(23), { ...OF, pattern_pct: 92 }),
      told('queenTaken', day(36), { ...OF, to: 'sold', beesRemain: true }),
    ];
    const firstOn = (count: number) => {
      const first = firstExpectation(expected(fold(known, events, day(count))), { on: day(count) });
      return (
        first && [
          first.kind,
          daysBetween(CELL, first.from),
          daysBetween(CELL, first.to),
          urgencyOn(first, { on: day(count) }),
        ]
      );
    };
    expect(firstOn(-1)).toEqual(['giveCell', 0, 2, 'ahead']);
    expect(firstOn(0)).toEqual(['checkOpening', 2, 4, 'ahead']);
    expect(firstOn(2)).toEqual(['checkOpening', 2, 4, 'due']);
    expect(firstOn(3)).toEqual(['lookForEggs', 12, 16, 'ahead']);
    expect(firstOn(12)).toEqual(['lookForEggs', 12, 16, 'due']);
    expect(firstOn(14)).toEqual(['scorePattern', 23, 26, 'ahead']);
    expect(firstOn(23)).toEqual(['harvest', 28, 42, 'ahead']);
    expect(firstOn(30)).toEqual(['harvest', 28, 42, 'due']);
    expect(firstOn(36)).toEqual(['giveCell', 37, 39, 'ahead']);
    expect(firstOn(45)).toEqual(['giveCell', 37, 39, 'overdue']);
  });

  it('a missed deadline comes before the look that was missed', () => {
    const state = fold(known, [...begun(CELL), told('cellOpened', day(3), OF)]);
    expect(firstExpectation(expected(state), { on: day(20) })?.kind).toBe('lookForEggs');
    expect(firstExpectation(expected(state), { on: day(21) })?.kind).toBe('declareFailed');
  });

  it('on a day ahead names what falls on it, and calls nothing overdue that is not so today', () => {
    const list = expected(fold(known, begun(CELL)));
    const seenFrom = (today: number, on: number) => {
      const first = firstExpectation(list, { on: day(on), today: day(today) });
      return first && [first.kind, urgencyOn(first, { on: day(on), today: day(today) })];
    };
    expect(seenFrom(0, 3)).toEqual(['checkOpening', 'due']);
    expect(seenFrom(0, 8)).toEqual(['lookForEggs', 'ahead']);
    expect(seenFrom(0, 14)).toEqual(['lookForEggs', 'due']);
    expect(seenFrom(6, 8)).toEqual(['checkOpening', 'overdue']);
    expect(seenFrom(0, 28)).toEqual(['declareFailed', 'before']);
  });

  it('open brood asks for a search for wild cells, which lapses', () => {
    const events = begun(CELL).map((event) =>
      event.kind === 'stocked' ? { ...event, payload: { ...event.payload, openBrood: true } } : event,
    );
    const list = expected(fold(known, events));
    expect(find(list, 'searchWildCells')).toMatchObject({ from: day(4), to: day(7), lapses: true });
    expect(firstExpectation(list, { on: day(8) })?.kind).not.toBe('searchWildCells');
  });

  it('after combining, a look a week later', () => {
    const other = { box: 'box-1', colony: 'colony-2' };
    const stocked = told('stocked', day(1), {
      ...other,
      bays: [bays[1] ?? ''],
      frames: { sealedBrood: 1, stores: 0, drawn: 0 },
      shakes: 0,
      openBrood: false,
    });
    const events = [
      ...begun(CELL),
      stocked,
      told('combined', day(5), { ...other, intoBox: 'box-1', into: 'colony-1' }),
    ];
    expect(find(expected(fold(known, events)), 'lookAfterCombining')?.from).toBe(day(12));
  });

  it('nothing of a colony that is gone', () => {
    const events = [...begun(CELL), told('failed', day(8), { ...OF, reason: 'robbed' })];
    expect(expected(fold(known, events))).toEqual([]);
  });
});

describe('weather', () => {
  const waiting = () => fold(known, [...begun(CELL), told('cellOpened', day(3), OF)]);

  it('puts the look for eggs and the last day off by each day without flying weather since she could fly', () => {
    const list = expected(waiting(), weatherFrom(6, [0, 0, 0, 5, 5, 5, 5, 5, 5, 5]));
    expect(find(list, 'lookForEggs')).toMatchObject({ from: day(15), expected: day(17), to: day(19) });
    expect(find(list, 'lookForEggs')?.reason).toContain('3 days without flying weather');
    expect(find(list, 'declareFailed')?.from).toBe(day(24));
  });

  it('before day 6 or without a record puts nothing off', () => {
    expect(find(expected(waiting(), weatherFrom(0, [0, 0, 0, 0, 0, 0])), 'lookForEggs')?.from).toBe(day(12));
    expect(failBy(attempt(), none, defaultConstants)).toBe(day(21));
  });

  it('never puts it off beyond day 30', () => {
    const rain = weatherFrom(0, new Array<number>(60).fill(0));
    expect(failBy(attempt(), rain, defaultConstants)).toBe(day(30));
  });

  it('moves windows later only, and more bad days never move them earlier', () => {
    const hours = fc.array(fc.constantFrom(0, 5), { minLength: 30, maxLength: 30 });
    fc.assert(
      fc.property(hours, fc.integer({ min: 0, max: 29 }), (some, index) => {
        const worse = some.map((each, at) => (at === index ? 0 : each));
        const before = failBy(attempt(), weatherFrom(6, some), defaultConstants);
        const after = failBy(attempt(), weatherFrom(6, worse), defaultConstants);
        expect(after >= before).toBe(true);
        expect(before >= day(21) && after <= day(30)).toBe(true);
      }),
    );
  });

  it('follows the yard’s own constants', () => {
    expect(failBy(attempt(), none, constantsWith({ failedBy_d: 24 }))).toBe(day(24));
  });
});

describe('the outcome of an attempt', () => {
  const outcome = (...events: Parameters<typeof told>[]) =>
    outcomeOf(
      fold(known, [...begun(CELL), ...events.map((each) => told(...each))]).attempts.get(
        'attempt-1',
      ) as Attempt,
    );
  const by = day(21);

  it('is open, then a take from the day eggs were seen', () => {
    const laying = outcome(['eggsSeen', day(14), OF]);
    expect(verdictOn(laying, by, day(13))).toBe('open');
    expect(verdictOn(laying, by, day(14))).toBe('take');
  });
  it('is a miss when it failed, or when its last day passed without a word', () => {
    expect(verdictOn(outcome(['failed', day(4), { ...OF, reason: 'cellNotOpened' }]), by, day(4))).toBe(
      'miss',
    );
    expect(verdictOn(outcome(), by, day(21))).toBe('open');
    expect(verdictOn(outcome(), by, day(22))).toBe('miss');
  });
  it('stays a take where she is lost later, but not where she was never mated', () => {
    expect(
      verdictOn(
        outcome(['eggsSeen', day(14), OF], ['failed', day(25), { ...OF, reason: 'superseded' }]),
        by,
        day(26),
      ),
    ).toBe('take');
    expect(
      verdictOn(
        outcome(['eggsSeen', day(14), OF], ['failed', day(25), { ...OF, reason: 'droneLayer' }]),
        by,
        day(26),
      ),
    ).toBe('miss');
  });
});

it('names the yard of the weather it used', () => {
  const events = [
    told('weatherRecorded', day(7), { yard: YARD, days: weatherOf(day(6), [0]) }),
    ...begun(CELL),
  ];
  expect(fold(known, events, day(6)).weather.get(YARD)).toBeUndefined();
  expect(fold(known, events, day(7)).weather.get(YARD)?.size).toBe(1);
});
