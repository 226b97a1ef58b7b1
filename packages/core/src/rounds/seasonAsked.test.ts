import { type RearingSeason, type Round, SeasonQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween, plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { cells } from '../mating/cells.ts';
import { HABITS, SUMMER_FLIES, seasonOf } from './season.test.kit.ts';
import { roundsOfPlan, seasonAsked } from './seasonAsked.ts';
import { seasonChanges } from './seasonChanges.ts';
import type { SeasonHabits } from './seasonHabits.ts';

const TODAY = '2026-05-31';
const lot = (name: string, queens: number, by: string) => ({ id: `lot-${name}`, name, queens, by });
const round = (id: string, graftedOn: string, cells: number): Round => ({
  id,
  number: 3,
  donor: 'Sable',
  graftedOn,
  grafts: cells,
  accepted: { on: graftedOn, cells },
});
const season = (more: Partial<RearingSeason>): RearingSeason =>
  seasonOf({
    lots: [lot('A', 20, '2026-07-20'), lot('B', 10, '2026-08-10')],
    record: { takes: 14, tried: 20 },
    accepted: { cells: 70, grafts: 98 },
    rooms: Array.from({ length: 30 }, () => ({ freeFrom: '2026-05-01' })),
    ...more,
  });
/** As often as not: needs are those of the mean. */
const EVENLY: SeasonHabits = { ...HABITS, surely: 0.5 };
const ask = (of: RearingSeason, habits = HABITS, remake = false, constants = defaultConstants) =>
  seasonAsked(of, { constants, today: TODAY, habits, flying: SUMMER_FLIES }, remake);

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
      donors: { count: 2, days: 4 },
      starters: { count: 1, days: 2 },
      finishers: { cells: 48, days: 10 },
      // Queens may stay until the day by which their room waits for the next cell.
      roomWait_d: 14,
      spells: [{ from: '2026-06-04', rate: expect.closeTo(15 / 22, 3), take_d: 40 }],
    });
    expect(question).not.toHaveProperty('incubator');
    expect(question).not.toHaveProperty('helpers');
    // As many cells as make 20, and 30 in all, nine times in ten; so many queens they are in the mean.
    const cellsFor = (queens: number) =>
      cells({ queens, confidence: 0.9, takes: 14, tried: 20, prior: [1, 1] }).cells;
    const mean = (count: number) => Math.ceil((count * 15) / 22);
    expect(needs.map(({ queens }) => queens)).toEqual([
      mean(cellsFor(20)),
      mean(cellsFor(30) - cellsFor(20)),
    ]);
    expect(question?.lots).toEqual([
      { name: 'lot-A', queens: needs[0]?.queens, by: '2026-07-20', value: 30 },
      { name: 'lot-B', queens: needs[1]?.queens, by: '2026-08-10', value: 30 },
    ]);
    expect(needs[0]?.queens).toBeGreaterThan(20);
    expect(plusDays('2026-06-04', question?.take_d ?? 0)).toBe(earliest);
    // The last graft is taken on the last day that anything is wanted.
    expect(plusDays(question?.to ?? '', question?.take_d ?? 0)).toBe('2026-08-10');
  });

  it('counts on what there is: queens and cells of rounds that are ready in time, and leaves them their rooms', () => {
    const of = season({ rounds: [round('a', '2026-05-28', 22)] });
    const { question, needs } = ask(of, EVENLY);
    // Twenty-two cells at 15 of 22 are fifteen queens: five more.
    expect(needs.map(({ lot: { name }, queens }) => [name, queens])).toEqual([
      ['A', 5],
      ['B', 10],
    ]);
    expect(question?.standing).toEqual([{ graft: '2026-05-28', cells: 22 }]);
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
      ask(season({}), { ...HABITS, most }, false, { ...defaultConstants, roundLeast }).question?.cells;
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
    const soon = ask(season({ lots: [lot('A', 5, '2026-06-20')] }), EVENLY);
    expect(soon.question).toBeUndefined();
    expect(soon.needs).toMatchObject([{ queens: 5 }]);
    // What is too late for one lot is wanted still for the next.
    const next = ask(season({ lots: [lot('A', 5, '2026-06-20'), lot('B', 3, '2026-08-01')] }), EVENLY);
    expect(next.needs[1]?.queens).toBeGreaterThanOrEqual(8);
    expect(soon.earliest > '2026-06-20').toBe(true);
    const onTheDay = ask(season({ lots: [lot('A', 5, soon.earliest)] }));
    expect(onTheDay.question).toMatchObject({ from: '2026-06-04', to: '2026-06-04' });
  });

  it('wants what is overdue as soon as it can be, before what is wanted later, and nothing that was handed over', () => {
    const overdue = { ...lot('A', 9, '2026-05-20'), handedOver: 4 };
    const { question, needs, earliest } = ask(
      season({ lots: [overdue, lot('B', 10, '2026-08-10')] }),
      EVENLY,
    );
    expect(needs.map(({ queens }) => queens)).toEqual([5, 10]);
    expect(question?.lots.map(({ name, by }) => [name, by])).toEqual([
      ['lot-A', plusDays(earliest, 7)],
      ['lot-B', '2026-08-10'],
    ]);
    expect(ask(season({ lots: [{ ...overdue, handedOver: 9 }] })).needs).toEqual([]);
  });

  it('a plan whose day is past serves nothing and takes up nothing; made anew, it may be another', () => {
    const plan: Round = {
      id: 'm',
      number: 5,
      donor: 'Ash',
      graftedOn: '2026-05-30',
      grafts: 40,
      planned: true,
    };
    const none = ask(season({}), EVENLY);
    const missed = season({ rounds: [{ ...plan, comb: { at: '2026-05-26T08:00:00Z' } }] });
    expect(ask(missed, EVENLY).needs).toEqual(none.needs);
    expect(ask(missed, EVENLY)).toMatchObject({ plans: [], question: { standing: [] } });
    const { plans, question } = ask(missed, EVENLY, true);
    expect(plans.map(({ id }) => id)).toEqual(['m']);
    // Nothing draws it back to a day that is gone.
    expect(question?.stay?.rounds).toEqual([]);
    // Of a plan for today the graft is still to come.
    expect(ask(season({ rounds: [{ ...plan, graftedOn: TODAY }] }), EVENLY, true).plans).toEqual([]);
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

  it('is asked anew with more of each thing, and each is a question that the solver takes', () => {
    const { question } = ask(of);
    if (!question) throw new Error('Something is wanted.');
    const changes = seasonChanges(question, defaultConstants);
    expect(changes.map(({ name }) => name)).toEqual([
      '10 more rooms from now on',
      'One more finisher',
      '15 more cells in a round',
      'One more starter',
      'One more donor',
      'An incubator of 20 places',
      '20 more places in the bank',
      'Grafting on any day of the week',
      'Without the days that you keep free',
      'Had it begun a week earlier',
    ]);
    for (const change of changes) expect(SeasonQuestion.safeParse(change.question).error).toBeUndefined();
    const changed = (name: string) => changes.find((change) => change.name === name)?.question;
    expect(changed('15 more cells in a round')?.cells.most).toBe(60);
    expect(changed('One more finisher')?.finishers).toEqual({ cells: 96, days: 10 });
    expect(changed('One more donor')?.donors?.count).toBe(3);
    expect(changed('An incubator of 20 places')?.incubator).toEqual({ places: 20 });
    expect(changed('Had it begun a week earlier')?.from).toBe('2026-05-28');
    const helped = ask(of, { ...HABITS, helpers: [{ name: 'Wren', hours: 9, away: [] }] }).question;
    if (!helped) throw new Error('Something is wanted.');
    expect(helped).toMatchObject({ helpers: [{ name: 'Wren', hours: 9 }], work: HABITS.work });
    expect(
      seasonChanges(helped, defaultConstants).find(({ name }) => name.includes('hours'))?.question.helpers,
    ).toHaveLength(2);
    const free = seasonChanges(
      { ...question, weekdays: [1, 2, 3, 4, 5, 6, 7], closed: [] },
      defaultConstants,
    );
    expect(free).toHaveLength(8);
    // Nothing is offered of what no question knows.
    const { donors: _d, starters: _s, finishers: _f, ...bare } = question;
    expect(
      seasonChanges({ ...bare, weekdays: [], closed: [] }, defaultConstants).map(({ name }) => name),
    ).toEqual([
      '10 more rooms from now on',
      '15 more cells in a round',
      '20 more places in the bank',
      'Had it begun a week earlier',
    ]);
  });
});

describe('the end of a season', () => {
  it('is the last graft whose queens are mated while bees for the winter are to come', () => {
    const late = season({ lots: [lot('A', 20, '2026-10-30')] });
    const { question, lastGraft } = ask(late);
    // Flying ends on 30 September: 35 days before that the last are mated, 18 days after their graft.
    expect(lastGraft).toBe('2026-08-08');
    expect(question?.to).toBe('2026-08-08');
    const { question: south } = seasonAsked(late, {
      constants: defaultConstants,
      today: TODAY,
      habits: HABITS,
      flying: [...SUMMER_FLIES.slice(6), ...SUMMER_FLIES.slice(0, 6)],
    });
    // In the south it is winter: the season that comes ends in March.
    expect(south?.to).toBe('2026-09-20');
  });
});

describe('a plan made anew', () => {
  const planned = (id: string, graftedOn: string): Round => {
    const { accepted: _, ...rest } = round(id, graftedOn, 28);
    return { ...rest, planned: true };
  };
  const of = season({
    rounds: [planned('soon', '2026-06-02'), planned('a', '2026-06-08'), planned('b', '2026-06-22')],
  });

  it('leaves what is grafted, or has its comb already, as it is; the rest it knows, and may change at a price', () => {
    const { question, plans } = ask(of, HABITS, true);
    expect(plans.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(question?.stay).toEqual({
      rounds: [
        { graft: '2026-06-08', cells: 20 },
        { graft: '2026-06-22', cells: 20 },
      ],
      cost: 1,
    });
    const combed = {
      ...of,
      rounds: of.rounds.map((each) =>
        each.id === 'a' ? { ...each, comb: { at: `${TODAY}T08:00:00.000Z` } } : each,
      ),
    };
    expect(ask(combed, HABITS, true).plans.map(({ id }) => id)).toEqual(['b']);
    const beside = ask(of);
    expect(beside.plans).toEqual([]);
    expect(beside.question).not.toHaveProperty('stay');
    // What may change is wanted anew, and its rooms are free for it.
    const all = (asked: typeof beside) => asked.needs.reduce((sum, { queens }) => sum + queens, 0);
    expect(all(ask(of, HABITS, true))).toBeGreaterThan(all(beside));
    const rooms = (asked: typeof beside) =>
      asked.question?.compartments.find(({ from }) => from === TODAY)?.count ?? 0;
    expect(rooms(ask(of, HABITS, true))).toBe(10);
    expect(rooms(beside)).toBe(0);
  });
});
