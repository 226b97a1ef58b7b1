import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween, plusDays } from './days.ts';
import { roundCalendar, roundProblems } from './roundCalendar.ts';

describe('the days of a round', () => {
  it('are those of the handbook’s table', () => {
    expect(roundCalendar({ graft: '2026-05-08', give: 'cell', laying_d: 14 })).toEqual({
      graft: '2026-05-08',
      donorComb: '2026-05-04',
      droneEggsBy: '2026-04-18',
      stock: '2026-05-17',
      sealed: ['2026-05-12', '2026-05-13'],
      ripe: '2026-05-18',
      given: ['2026-05-18', '2026-05-18'],
      emergence: ['2026-05-19', '2026-05-20'],
      flights: ['2026-05-25', '2026-05-26'],
      eggs: ['2026-05-29', '2026-06-03'],
      failedBy: '2026-06-08',
      sealedBrood: ['2026-06-07', '2026-06-12'],
      take: ['2026-06-12', '2026-06-17'],
      ownWorkers: ['2026-06-19', '2026-06-24'],
    });
    expect(roundCalendar({ graft: '2026-05-08', give: 'virgin', laying_d: 0 })).toMatchObject({
      given: ['2026-05-19', '2026-05-20'],
      take: ['2026-05-29', '2026-06-03'],
    });
  });
  it('are as late as they may be for a day to take by', () => {
    expect(roundCalendar({ takeBy: '2026-06-20', give: 'cell', laying_d: 14 }).graft).toBe('2026-05-11');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), fc.integer({ min: 0, max: 60 }), (since, laying_d) => {
        const takeBy = plusDays('2000-01-01', since);
        const { graft, take } = roundCalendar({ takeBy, give: 'cell', laying_d });
        expect(take[1]).toBe(takeBy);
        expect(daysBetween(take[0], take[1])).toBe(5);
        expect(roundCalendar({ graft, give: 'cell', laying_d }).take).toEqual(take);
      }),
    );
  });
  it('want one of the two days', () => {
    expect(roundProblems({})).toHaveLength(1);
    expect(roundProblems({ graft: '2026-05-08', takeBy: '2026-06-08' })).toHaveLength(1);
    expect(roundProblems({ takeBy: '2026-06-08' })).toEqual([]);
  });
});
