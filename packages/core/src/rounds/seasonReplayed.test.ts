import { type PastSeason, SeasonQuestion } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { HABITS, SUMMER_FLIES } from './season.test.kit.ts';
import { seasonReplayed } from './seasonReplayed.ts';

const round = (id: string, graftedOn: string) => ({ id, number: 1, donor: 'Sable', graftedOn, grafts: 40 });
const past: PastSeason = {
  rounds: [round('a', '2025-05-01'), round('b', '2025-06-01')],
  lots: [
    { id: 'late', name: 'Late', queens: 10, by: '2025-07-20' },
    { id: 'early', name: 'Early', queens: 12, by: '2025-06-20', worth: 45 },
  ],
  outcomes: [
    { round: 'a', given: 24, takes: 15, taken: 15, misses: 9 },
    { round: 'b', given: 20, takes: 9, taken: 9, misses: 11 },
  ],
  flown: { months: [], days: [] },
  rooms: 26,
};
const replayed = (of: PastSeason, habits = HABITS) =>
  seasonReplayed(of, { constants: defaultConstants, flying: SUMMER_FLIES, habits });

describe('a season that is over', () => {
  it('is told as it was: queens handed to lots in the order of their days, as they were ready', () => {
    expect(replayed(past).was).toEqual({
      rounds: 2,
      cells: 44,
      queens: 24,
      inTime: 22,
      lots: [
        { id: 'early', name: 'Early', queens: 12, had: 12 },
        { id: 'late', name: 'Late', queens: 10, had: 10 },
      ],
    });
    // Ready on 5 June and 6 July: a lot a day before has nothing of them.
    const soon = { ...past, lots: [{ id: 'l', name: 'Soon', queens: 20, by: '2025-07-05' }] };
    expect(replayed(soon).was.inTime).toBe(15);
    expect(replayed({ ...soon, lots: [{ ...soon.lots[0], by: '2025-07-06' } as never] }).was.inTime).toBe(20);
  });

  it('is asked with its own lots, rooms, rate and weather under other habits', () => {
    const { question } = replayed(past, {
      ...HABITS,
      laying_d: 9,
      colonies: { ...HABITS.colonies, finishers: 2 },
    });
    expect(SeasonQuestion.safeParse(question).error).toBeUndefined();
    expect(question).toMatchObject({
      from: '2025-05-01',
      rate: 25 / 46,
      take_d: 35,
      compartments: [{ count: 26, from: '2025-05-01', to: '2025-07-20' }],
      finishers: { cells: 96, days: 10 },
      lots: [
        { name: 'late', queens: 10, value: 30 },
        { name: 'early', queens: 12, value: 45 },
      ],
      // Days kept free are of this year.
      closed: [],
    });
    expect(question?.to).toBe('2025-06-15');
    // A June on which nothing flew loses what was to fly in it.
    const days = Array.from({ length: 75 }, (_, day) => ({ on: plusDays('2025-05-20', day), flies: false }));
    const grounded = replayed({ ...past, flown: { months: [], days } }).question;
    expect(grounded?.spells?.some(({ rate }) => rate === 0)).toBe(true);
    expect(question?.spells?.every(({ rate }) => rate > 0.5)).toBe(true);
  });

  it('is no question where nothing was grafted, nothing was wanted, or all of it before a round could be ready', () => {
    expect(replayed({ ...past, rounds: [] }).question).toBeUndefined();
    expect(replayed({ ...past, lots: [] }).question).toBeUndefined();
    expect(
      replayed({ ...past, lots: [{ id: 'l', name: 'L', queens: 3, by: '2025-06-01' }] }).question,
    ).toBeUndefined();
  });
});
