import type { Round, SeasonQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { planChanges } from './planChanges.ts';

const round = (id: string, graftedOn: string, grafts = 40): Round => ({
  id,
  number: 5,
  donor: id,
  graftedOn,
  grafts,
  planned: true,
});
const question: SeasonQuestion = {
  from: '2026-06-04',
  to: '2026-07-20',
  lots: [{ name: 'A', queens: 20, by: '2026-07-20', value: 30 }],
  compartments: [{ count: 25, from: '2026-06-01', to: '2026-09-01' }],
  cells: { least: 5, most: 45 },
  rate: 0.7,
  take_d: 40,
  roomWait_d: 14,
  cost: { round: 20, cell: 0.5, bankDay: 0.1 },
};
const cellsOf = (...cells: readonly (readonly [string, number])[]) => new Map(cells);
const changes = (
  plans: readonly Round[],
  rounds: readonly Round[],
  cells = new Map([...plans, ...rounds].map(({ id }) => [id, 20])),
  more: Partial<SeasonQuestion> = {},
) => planChanges(plans, rounds, cells, { ...question, ...more });

describe('a plan that is made anew', () => {
  it('keeps, resizes, moves, drops and adds rounds, in the order of their days', () => {
    const plans = [
      round('a', '2026-06-06'),
      round('b', '2026-06-08'),
      round('c', '2026-06-10'),
      round('d', '2026-07-18'),
    ];
    const rounds = [
      round('n1', '2026-06-06'),
      round('n2', '2026-06-08', 20),
      round('n3', '2026-06-12'),
      round('n4', '2026-06-28'),
    ];
    const cells = cellsOf(
      ['a', 20],
      ['b', 20],
      ['c', 20],
      ['d', 20],
      ['n1', 20],
      ['n2', 10],
      ['n3', 20],
      ['n4', 9],
    );
    expect(
      changes(plans, rounds, cells).map(({ kind, known, next, cells: of }) => [
        kind,
        known?.id,
        next?.id,
        next?.graftedOn,
        next?.donor,
        of,
      ]),
    ).toEqual([
      ['kept', 'a', 'a', '2026-06-06', 'a', 20],
      ['resized', 'b', 'b', '2026-06-08', 'b', 10],
      ['moved', 'c', 'c', '2026-06-12', 'c', 20],
      ['new', undefined, 'n4', '2026-06-28', 'n4', 9],
      ['dropped', 'd', undefined, undefined, undefined, 0],
    ]);
  });

  it('takes a round a fortnight off for the same one, and further off for another', () => {
    const moved = (days: number) =>
      changes([round('a', '2026-06-06')], [round('n', plusDays('2026-06-06', days))]).map(({ kind }) => kind);
    expect(moved(14)).toEqual(['moved']);
    expect(moved(15)).toEqual(['dropped', 'new']);
    // Of two that could be it, it is the nearer one.
    const two = [round('n1', '2026-06-10'), round('n2', '2026-06-22')];
    expect(changes([round('a', '2026-06-20')], two).map(({ kind, next }) => [kind, next?.graftedOn])).toEqual(
      [
        ['new', '2026-06-10'],
        ['moved', '2026-06-22'],
      ],
    );
  });

  it('says why a round does not stay', () => {
    const why = (graft: string, more: Partial<SeasonQuestion> = {}, cells = 20) =>
      changes([round('a', graft)], [], cellsOf(['a', cells]), {
        stay: { rounds: [{ graft, cells }], cost: 1 },
        ...more,
      })[0]?.why;
    expect(why('2026-06-08', { closed: ['2026-06-08'] })).toBe('a day of it is kept free');
    expect(why('2026-06-08', { closed: ['2026-06-18'] })).toBe('a day of it is kept free');
    // Ready on 22 July, two days after the only lot.
    expect(why('2026-06-12')).toBe('no lot can take its queens on the day on which they are ready');
    expect(why('2026-06-08', { weekdays: [2] })).toBe('nothing is grafted on that day of the week');
    expect(why('2026-06-08', { weekdays: [1] }, 26)).toBe('its 26 cells find 25 rooms');
    expect(why('2026-06-08', { weekdays: [1] }, 25)).toBe('others serve better what is wanted now');
  });

  it('loses no round and makes none up: each that is known is told of once, each new one stands once', () => {
    const some = fc.uniqueArray(fc.integer({ min: 0, max: 45 }), { maxLength: 8 });
    fc.assert(
      fc.property(some, some, (before, after) => {
        const plans = before.map((day) => round(`p${day}`, plusDays('2026-06-04', day)));
        const rounds = after.map((day) => round(`n${day}`, plusDays('2026-06-04', day)));
        const all = changes(plans, rounds);
        expect(all.flatMap(({ known }) => known?.id ?? []).sort()).toEqual(plans.map(({ id }) => id).sort());
        expect(all.flatMap(({ next }) => next?.graftedOn ?? []).sort()).toEqual(
          rounds.map(({ graftedOn }) => graftedOn).sort(),
        );
        for (const { kind, why } of all) expect(why === undefined).toBe(kind === 'kept' || kind === 'new');
      }),
    );
  });

  it('says of a plan whose day is past that nothing is told of its graft, moved or dropped', () => {
    const why = 'its day is past, and nothing is told of its graft';
    const past = round('a', '2026-06-03');
    expect(changes([past], [round('n', '2026-06-09')])).toMatchObject([{ kind: 'moved', why }]);
    expect(changes([past], [])).toMatchObject([{ kind: 'dropped', why }]);
  });
});
