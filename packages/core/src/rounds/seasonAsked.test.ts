import { type RearingSeason, type Round, SeasonQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween, plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { roundViews } from './rearing.ts';
import { oddsWith, roundsOfPlan, type SeasonHabits, seasonAsked, seasonChanges } from './seasonAsked.ts';

const TODAY = '2026-05-31';
const HABITS: SeasonHabits = {
  weekdays: [1, 2, 3, 4, 5],
  closed: ['2026-06-10'],
  laying_d: 14,
  most: 45,
  bank: { days: 21, places: 60 },
  prices: { queen: 30, round: 20, cell: 0.5, bankDay: 0.1 },
};
const lot = (name: string, queens: number, by: string) => ({ id: `lot-${name}`, name, queens, by });
const round = (id: string, graftedOn: string, cells: number): Round => ({
  id,
  number: 3,
  donor: 'Sable',
  graftedOn,
  grafts: cells,
  accepted: { on: graftedOn, cells },
});
const season = (more: Partial<RearingSeason>): RearingSeason => ({
  rounds: [],
  lots: [lot('A', 20, '2026-07-20'), lot('B', 10, '2026-08-10')],
  outcomes: [],
  record: { takes: 14, tried: 20 },
  accepted: { cells: 70, grafts: 98 },
  rooms: Array.from({ length: 30 }, () => ({ freeFrom: '2026-05-01' })),
  ...more,
});
const ask = (of: RearingSeason, habits: SeasonHabits = HABITS) =>
  seasonAsked(of, roundViews(of, defaultConstants, TODAY), defaultConstants, TODAY, habits);

describe('the rest of a season as a question', () => {
  it('asks for what is wanted, from the day that a donor can be ready, by the record and the breeder’s habits', () => {
    const { question, earliest, needs } = ask(season({}));
    expect(SeasonQuestion.safeParse(question).error).toBeUndefined();
    expect(question).toMatchObject({
      from: '2026-06-04',
      rate: 15 / 22,
      cells: { least: 5, most: 45 },
      weekdays: HABITS.weekdays,
      closed: HABITS.closed,
      compartments: [{ count: 30, from: TODAY, to: '2026-08-10' }],
      lots: [
        { name: 'lot-A', queens: 20, by: '2026-07-20', value: 30 },
        { name: 'lot-B', queens: 10, by: '2026-08-10', value: 30 },
      ],
    });
    expect(needs.map(({ queens }) => queens)).toEqual([20, 10]);
    expect(plusDays('2026-06-04', question?.take_d ?? 0)).toBe(earliest);
    // The last graft is taken on the last day that anything is wanted.
    expect(plusDays(question?.to ?? '', question?.take_d ?? 0)).toBe('2026-08-10');
  });

  it('counts on what there is: queens and cells of rounds that are ready in time, and leaves them their rooms', () => {
    const of = season({ rounds: [round('a', '2026-05-28', 22)] });
    const { question, needs } = ask(of);
    // Twenty-two cells at 15 of 22 are fifteen queens.
    expect(needs.map(({ lot: { name }, queens }) => [name, queens])).toEqual([
      ['A', 5],
      ['B', 10],
    ]);
    const rooms = question?.compartments ?? [];
    expect(rooms.reduce((sum, { count }) => sum + count, 0)).toBe(30);
    expect(rooms[0]).toMatchObject({ from: TODAY, count: 8 });
    // Those that it takes come back once its queens are taken.
    expect(daysBetween('2026-06-07', rooms[1]?.from ?? '')).toBe(
      defaultConstants.eggsExpected_d + defaultConstants.harvestExpected_d,
    );
  });

  it('has rounds of no fewer cells than are worth their bees, nor of more than they may have', () => {
    const least = (most: number, roundLeast: number) =>
      seasonAsked(season({}), [], { ...defaultConstants, roundLeast }, TODAY, { ...HABITS, most }).question
        ?.cells;
    expect(least(45, 8)).toEqual({ least: 8, most: 45 });
    expect(least(3, 8)).toEqual({ least: 3, most: 3 });
  });

  it('has queens the later the longer they lay before they are taken', () => {
    const take = (laying_d: number) => ask(season({}), { ...HABITS, laying_d }).question?.take_d ?? 0;
    expect(take(21) - take(14)).toBe(7);
    expect(take(14) - take(9)).toBe(5);
  });

  it('is none where nothing more is wanted, or nothing can be ready in time', () => {
    expect(ask(season({ lots: [] })).question).toBeUndefined();
    const soon = ask(season({ lots: [lot('A', 5, '2026-06-20')] }));
    expect(soon.question).toBeUndefined();
    expect(soon.needs).toMatchObject([{ queens: 5 }]);
    expect(soon.earliest > '2026-06-20').toBe(true);
    const onTheDay = ask(season({ lots: [lot('A', 5, soon.earliest)] }));
    expect(onTheDay.question).toMatchObject({ from: '2026-06-04', to: '2026-06-04' });
  });

  it('has no bank without places, and is a question that the solver takes however the rooms lie', () => {
    expect(ask(season({}), { ...HABITS, bank: { days: 21, places: 0 } }).question).not.toHaveProperty('bank');
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -60, max: 90 }), { maxLength: 300 }), (free) => {
        const rooms = free.map((days) => ({ freeFrom: plusDays(TODAY, days) }));
        const { question } = ask(season({ rooms }));
        expect(SeasonQuestion.safeParse(question).error).toBeUndefined();
        const inTime = free.filter((days) => plusDays(TODAY, days) <= '2026-08-10').length;
        const asked = question?.compartments.reduce((sum, { count }) => sum + count, 0) ?? 0;
        // Put off to the end of a week some may come too late; none comes from nowhere.
        expect(asked).toBeLessThanOrEqual(inTime);
        expect(asked).toBeGreaterThanOrEqual(free.filter((days) => days <= 57).length);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a plan of rounds', () => {
  const of = season({});
  let ids = 0;
  const more = roundsOfPlan(
    {
      rounds: [
        { graft: '2026-06-05', cells: 30 },
        { graft: '2026-06-26', cells: 15 },
      ],
    },
    of,
    'Ash',
    () => `new-${++ids}`,
    defaultConstants,
  );

  it('is planned with as many grafts as its cells want, numbered on', () => {
    expect(more.map(({ number, donor, graftedOn, planned }) => [number, donor, graftedOn, planned])).toEqual([
      [1, 'Ash', '2026-06-05', true],
      [2, 'Ash', '2026-06-26', true],
    ]);
    // 30 of 70 ÷ 98, eight times in ten: more than 42, which would do in the mean.
    expect(more[0]?.grafts).toBeGreaterThan(42);
    expect(more[0]?.grafts).toBeLessThan(52);
  });

  it('makes its lots likelier, by odds and not by the mean', () => {
    const [before] = oddsWith(of, [], defaultConstants, TODAY);
    const [after] = oddsWith(of, more, defaultConstants, TODAY);
    expect(before?.chance).toBe(0);
    expect(after?.chance).toBeGreaterThan(0.5);
    expect(after?.chance).toBeLessThan(1);
  });

  it('is asked anew with more of each thing, and each is a question that the solver takes', () => {
    const { question } = ask(of);
    if (!question) throw new Error('Something is wanted.');
    const changes = seasonChanges(question);
    expect(changes.map(({ name }) => name)).toEqual([
      '10 more rooms from now on',
      'One more finisher: 15 more cells in a round',
      'Grafting on any day of the week',
      'Without the days that you keep free',
      '20 more places in the bank',
    ]);
    for (const change of changes) expect(SeasonQuestion.safeParse(change.question).error).toBeUndefined();
    expect(changes[1]?.question.cells.most).toBe(60);
    const free = seasonChanges({ ...question, weekdays: [1, 2, 3, 4, 5, 6, 7], closed: [] });
    expect(free).toHaveLength(3);
  });
});
