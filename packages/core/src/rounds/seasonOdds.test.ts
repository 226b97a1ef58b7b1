import { type OddsQuestion, OddsQuestion as Question } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { atLeastBetaBinomial, atLeastBinomial } from '../mating/atLeast.ts';
import { ProblemsError } from '../problems.ts';
import { flightsOf } from './flights.ts';
import { oddsAsked } from './oddsAsked.ts';
import { SUMMER_FLIES, seasonOf } from './season.test.kit.ts';
import { seasonOdds } from './seasonOdds.ts';

const TODAY = '2026-05-31';
const EVERY_DAY = Array.from({ length: 12 }, () => 1);
const WELL_KNOWN = { takes: 70_000, tried: 100_000 };
type Round = OddsQuestion['rounds'][number];
const cells = (graft: string, count: number, more: Partial<Round> = {}): Round => ({
  graft,
  grafts: 0,
  cells: count,
  rooms: 10_000,
  queens: 0,
  ...more,
});
const lot = (name: string, queens: number, by: string) => ({ name, queens, by });
const ask = (more: Partial<OddsQuestion>): OddsQuestion => ({
  today: TODAY,
  lots: [lot('A', 10, '2026-07-15')],
  rounds: [cells('2026-05-20', 18)],
  record: WELL_KNOWN,
  accepted: WELL_KNOWN,
  flying: EVERY_DAY,
  known: [],
  laying_d: 14,
  plays: 20_000,
  seed: 1,
  ...more,
});
const chances = (more: Partial<OddsQuestion>) => seasonOdds(ask(more)).lots.map(({ chance }) => chance);
const chance = (more: Partial<OddsQuestion>) => chances(more)[0] as number;

describe('the odds of a plan', () => {
  it('are those of its cells by the record, where every day flies and no lot is too soon', () => {
    expect(chance({})).toBeCloseTo(atLeastBinomial(10, 18, 0.7), 2);
    // A rate of which little is known: Beta(6, 4).
    const little = chance({ record: { takes: 5, tried: 8 } });
    expect(Math.abs(little - atLeastBetaBinomial(10, 18, 6, 4))).toBeLessThan(0.012);
  });

  it('count queens that there are from the day on which the first of their round can be taken', () => {
    // Grafted on 1 May, eggs from the 22nd at the earliest, 14 days more.
    const of = (by: string) =>
      chance({ lots: [lot('A', 6, by)], rounds: [cells('2026-05-01', 0, { queens: 6 })] });
    expect(of('2026-06-04')).toBe(0);
    expect(of('2026-06-05')).toBe(1);
  });

  it('of a lot are those of all that is wanted up to its day', () => {
    const [first, second] = chances({
      lots: [lot('B', 6, '2026-07-20'), lot('A', 8, '2026-07-15')],
      rounds: [cells('2026-05-20', 18)],
    });
    expect(first).toBeCloseTo(atLeastBinomial(8, 18, 0.7), 2);
    expect(second).toBeCloseTo(atLeastBinomial(14, 18, 0.7), 2);
  });

  it('give no more cells than find a room', () => {
    const of = (rooms: number) => chance({ rounds: [cells('2026-05-20', 18, { rooms })] });
    expect(of(12)).toBeCloseTo(atLeastBinomial(10, 12, 0.7), 2);
    expect(of(9)).toBe(0);
  });

  it('play what is taken on of larvae that are not counted, one starter unlike the other', () => {
    const of = (roundsAlike: number) =>
      chance({
        rounds: [cells('2026-05-30', 0, { grafts: 20 })],
        accepted: { takes: 80_000, tried: 100_000 },
        record: { takes: 100_000, tried: 100_000 },
        lots: [lot('A', 14, '2026-08-01')],
        constants: { roundsAlike },
      });
    // Starters that are hardly alike: the beta-binomial of that spread.
    expect(of(5)).toBeCloseTo(atLeastBetaBinomial(14, 20, 4, 1), 1);
    expect(Math.abs(of(200) - atLeastBetaBinomial(14, 20, 160, 40))).toBeLessThan(0.012);
    expect(of(200)).toBeGreaterThan(of(5) + 0.1);
  });

  it('wait for days that fly, and lose who waits too long', () => {
    const of = (share: number, known: OddsQuestion['known'] = []) =>
      chance({
        rounds: [cells('2026-05-20', 10)],
        record: { takes: 100_000, tried: 100_000 },
        lots: [lot('A', 9, '2026-09-01')],
        flying: EVERY_DAY.map(() => share),
        known,
        plays: 2_000,
        constants: { weatherStays: 0 },
      });
    expect(of(1)).toBeGreaterThan(0.99);
    expect(of(0)).toBe(0);
    const { share } = flightsOf('2026-05-30', () => 0.08, defaultConstants);
    expect(of(0.08)).toBeGreaterThan(0);
    expect(share).toBeLessThan(0.85);
    // What is known of a day goes before what is usual.
    const grounded = Array.from({ length: 30 }, (_, day) => ({
      on: plusDays('2026-06-01', day),
      flies: false,
    }));
    expect(of(1, grounded)).toBe(0);
    const flew = grounded.map(({ on }) => ({ on, flies: true }));
    expect(of(0, flew)).toBeGreaterThan(0.99);
  });

  it('lose as many to the weather, and are as late by it, as the chances of the days say, taken each for itself', () => {
    const readyBy = (by: string, share: number) =>
      chance({
        rounds: [cells('2026-05-20', 1)],
        record: { takes: 1_000_000, tried: 1_000_000 },
        lots: [lot('A', 1, by)],
        flying: EVERY_DAY.map(() => share),
        plays: 5_000,
        constants: { weatherStays: 0 },
      });
    const given = (share: number) => flightsOf('2026-05-30', () => share, defaultConstants);
    for (const share of [0.05, 0.2, 0.5])
      expect(Math.abs(readyBy('2026-08-01', share) - given(share).share), `${share}`).toBeLessThan(0.025);
    // The mean of a waiting time is the sum of the chances that it still lasts.
    const days = Array.from({ length: 32 }, (_, day) => plusDays('2026-06-20', day));
    const waits_d = days.reduce((sum, day) => sum + 1 - readyBy(day, 0.5), 0);
    const ready_d = 14 + (given(0.5).eggs_d ?? 0) - 21;
    expect(Math.abs(waits_d - ready_d)).toBeLessThan(0.25);
  });

  it('say how many more cells make a lot as sure as wanted, and of which graft', () => {
    const of = (more: Partial<OddsQuestion>) => seasonOdds(ask(more)).lots[0];
    // 18 cells at 70 % give 10 queens nine times in ten (handbook 5): 8 more than 10.
    expect(of({ rounds: [cells('2026-05-20', 10)] })).toMatchObject({ more: 8, graft: '2026-06-04' });
    expect(of({ rounds: [cells('2026-05-20', 30)] })).toMatchObject({ more: 0, graft: null });
    // A plan before that is where they go.
    const planned = [cells('2026-05-20', 10), cells('2026-06-02', 0, { grafts: 1 })];
    expect(of({ rounds: planned })?.graft).toBe('2026-06-02');
    // A new graft is ready on 9 July at the earliest: too late for the day before.
    const soon = (by: string) => of({ rounds: [], lots: [lot('A', 2, by)] });
    expect(soon('2026-07-08')).toMatchObject({ chance: 0, more: null, graft: null });
    expect(soon('2026-08-01')?.more).toBeGreaterThan(2);
  });

  it('are the same for the same question, and those of a lot change by nothing that comes after it', () => {
    const question = ask({ plays: 500, record: { takes: 6, tried: 9 }, flying: SUMMER_FLIES });
    expect(seasonOdds(question)).toEqual(seasonOdds(question));
    const more = ask({
      ...question,
      lots: [...question.lots, lot('B', 30, '2026-08-20')],
      rounds: [...question.rounds, cells('2026-07-01', 0, { grafts: 40 })],
    });
    expect(seasonOdds(more).lots[0]).toEqual(seasonOdds(question).lots[0]);
    expect(seasonOdds({ ...question, seed: 2 }).lots).not.toEqual(seasonOdds(question).lots);
  });

  it('lie in a fan that never narrows backwards: more queens the later, and the middle between its ends', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            graft: fc.integer({ min: -30, max: 20 }).map((days) => plusDays(TODAY, days)),
            grafts: fc.nat(30),
            cells: fc.nat(30),
            rooms: fc.nat(60),
            queens: fc.nat(20),
          }),
          { maxLength: 6 },
        ),
        (rounds) => {
          const { fan } = seasonOdds(ask({ rounds, plays: 100, flying: SUMMER_FLIES }));
          let before = { low: 0, middle: 0, high: 0 };
          for (const day of fan) {
            expect(day.low).toBeLessThanOrEqual(day.middle);
            expect(day.middle).toBeLessThanOrEqual(day.high);
            expect([day.low >= before.low, day.middle >= before.middle, day.high >= before.high]).toEqual([
              true,
              true,
              true,
            ]);
            before = day;
          }
          const most = rounds.reduce(
            (sum, each) => sum + each.queens + Math.min(each.rooms, each.cells + each.grafts),
            0,
          );
          expect(before.high).toBeLessThanOrEqual(most);
          expect(fan[0]?.on).toBe(TODAY);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('are refused where more were taken on than there were', () => {
    const bad = () => seasonOdds(ask({ record: { takes: 5, tried: 4 }, accepted: { takes: 3, tried: 2 } }));
    expect(bad).toThrow(ProblemsError);
    expect(() => seasonOdds(ask({ record: { takes: 4, tried: 4 } }))).not.toThrow();
  });
});

describe('a season as a question of its odds', () => {
  const round = (id: string, graftedOn: string, grafts: number) => ({
    id,
    number: 1,
    donor: 'Sable',
    graftedOn,
    grafts,
  });
  const of = seasonOf({
    rounds: [
      { ...round('given', '2026-05-01', 40), accepted: { on: '2026-05-02', cells: 30 } },
      {
        ...round('ripe', '2026-05-25', 30),
        accepted: { on: '2026-05-27', cells: 20 },
        moved: [{ on: TODAY, to: 'discarded', cells: 2 }],
      },
      { ...round('planned', '2026-06-05', 30), planned: true },
      { ...round('over', '2026-04-01', 30), accepted: { on: '2026-04-02', cells: 20 } },
    ],
    outcomes: [
      { round: 'given', given: 24, takes: 10, taken: 3, misses: 6 },
      { round: 'over', given: 20, takes: 12, taken: 12, misses: 8 },
    ],
    lots: [
      { id: 'l', name: 'A', queens: 5, by: '2026-07-15' },
      { id: 'overdue', name: 'P', queens: 5, by: '2026-05-30', handedOver: 3 },
      { id: 'whole', name: 'W', queens: 5, by: '2026-07-15', handedOver: 5 },
    ],
    record: { takes: 22, tried: 36 },
    accepted: { cells: 70, grafts: 100 },
    rooms: Array.from({ length: 15 }, () => ({ freeFrom: '2026-05-01' })),
  });
  const asked = oddsAsked(of, [], SUMMER_FLIES, defaultConstants, TODAY, 500);

  it('has what is open and what is there of each round, its larvae where nothing is counted, and the rooms that are left', () => {
    expect(Question.safeParse(asked).error).toBeUndefined();
    expect(asked.rounds).toEqual([
      { graft: '2026-05-01', grafts: 0, cells: 8, rooms: 8, queens: 7 },
      { graft: '2026-05-25', grafts: 0, cells: 18, rooms: 15, queens: 0 },
      { graft: '2026-06-05', grafts: 30, cells: 0, rooms: 0, queens: 0 },
    ]);
    // What is overdue is wanted today, and before all else.
    expect(asked.lots).toEqual([
      { name: 'overdue', queens: 2, by: TODAY },
      { name: 'l', queens: 5, by: '2026-07-15' },
    ]);
    expect(asked.constants).toEqual({});
  });

  it('tells only figures that differ', () => {
    const own = oddsAsked(of, [], SUMMER_FLIES, { ...defaultConstants, matesOnDay: 0.5 }, TODAY, 500);
    expect(own.constants).toEqual({ matesOnDay: 0.5 });
  });
});
