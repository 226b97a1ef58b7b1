import { describe, expect, it } from 'vitest';
import type { RoundView } from '../rounds/rearing.ts';
import type { BoxView, CompartmentView } from './boxView.ts';
import { calendarEntries, lotEntries, roundEntries } from './calendarEntries.ts';
import type { Expectation } from './due/expectation.ts';

const work = (more: Partial<Expectation> = {}): Expectation => ({
  kind: 'giveCell',
  title: 'Give a ripe cell',
  from: '2026-05-30',
  expected: '2026-06-02',
  to: '2026-06-04',
  reason: 'It is ready.',
  ...more,
});
const box = (label: string, ...works: Expectation[]): BoxView => {
  const rooms = works.map(
    (each, at) => ({ name: at === 0 ? 'West' : 'East', expectations: [each] }) as unknown as CompartmentView,
  );
  return { box: { id: label, label }, compartments: rooms } as unknown as BoxView;
};
const yard = { id: 'y', name: 'Quarry' };
const entries = (boxes: BoxView[], on = '2026-05-31') => calendarEntries(yard, boxes, on);

describe('a calendar of a yard', () => {
  it('names what is alike on a day once, with all its rooms, four of them in the title', () => {
    const [one, ...more] = entries(['B1', 'B2', 'B3', 'B4', 'B5'].map((label) => box(label, work())));
    expect(more).toEqual([]);
    expect(one).toMatchObject({
      title: 'Give a ripe cell: B1, B2, B3, B4 and 1 more',
      on: '2026-06-02',
      id: 'y giveCell give-a-ripe-cell 2026-06-02',
    });
    // Each reason once, with all the rooms that it is of.
    expect(one?.details).toBe('B1, B2, B3, B4, B5, 30 May – 4 Jun: It is ready.');
    expect(one?.place).toBe('Quarry');
    const [two] = entries([box('B1', work()), box('B2', work({ reason: 'Its queen was taken.' }))]);
    expect(two?.details.split('\n')).toEqual([
      'B1, 30 May – 4 Jun: It is ready.',
      'B2, 30 May – 4 Jun: Its queen was taken.',
    ]);
  });

  it('tells days and kinds apart, and what has an hour for each room', () => {
    const by = '2026-05-31T17:00:00+02:00';
    const all = entries([
      box('B1', work(), work({ expected: '2026-06-03' })),
      box('B2', work({ kind: 'harvest', title: 'Take her' }), work({ by })),
      box('B3', work({ by })),
    ]);
    expect(all.map(({ title, by: at }) => [title, at])).toEqual([
      ['Give a ripe cell: B1 West', undefined],
      ['Give a ripe cell: B1 East', undefined],
      ['Take her: B2 West', undefined],
      ['Give a ripe cell: B2 East', by],
      ['Give a ripe cell: B3', by],
    ]);
    expect(new Set(all.map(({ id }) => id)).size).toBe(5);
  });

  it('tells steps of one kind apart that are called otherwise', () => {
    const step = (title: string) => work({ kind: 'nextStep', title });
    const all = entries([box('B1', step('Cells in')), box('B2', step('Syrup')), box('B3', step('Syrup'))]);
    expect(all.map(({ title }) => title)).toEqual(['Cells in: B1', 'Syrup: B2, B3']);
    expect(new Set(all.map(({ id }) => id)).size).toBe(2);
  });

  it('puts what is overdue on the day that is asked for, and leaves out what has lapsed', () => {
    const [late, later] = ['2026-06-20', '2026-06-21'].map((on) => entries([box('B1', work())], on)[0]);
    expect([late?.on, later?.on]).toEqual(['2026-06-20', '2026-06-21']);
    expect(later?.id).toBe(late?.id);
    expect(entries([box('B1', work({ lapses: true }))], '2026-06-05')).toEqual([]);
    expect(entries([box('B1', work({ lapses: true }))], '2026-06-04')).toHaveLength(1);
  });
});

it('a calendar of rounds has what a round asks for, while its window lasts', () => {
  const day = (on: string): readonly [string, string] => [on, on];
  const view = {
    round: { id: 'r', number: 7, donor: 'Sable', grafts: 20, planned: true, graftedOn: '2026-06-01' },
    days: {
      graft: '2026-06-01',
      droneEggsBy: '2026-05-10',
      donorComb: '2026-05-28',
      sealed: day('2026-06-05'),
      emergence: ['2026-06-12', '2026-06-13'],
      stock: '2026-06-10',
      ripe: '2026-06-11',
      flights: day('2026-06-18'),
      eggs: day('2026-06-24'),
      sealedBrood: day('2026-07-03'),
      take: day('2026-07-10'),
    },
    cells: 16,
    queens: 0,
    open: 0,
  } as unknown as RoundView;
  expect(roundEntries([view], '2026-05-28').map(({ title, on }) => [title, on])).toEqual([
    ['Drawn comb to the donor, round 7', '2026-05-28'],
    ['Graft, round 7', '2026-06-01'],
    ['Stock the rooms, round 7', '2026-06-10'],
    ['Ripe: give them, round 7', '2026-06-11'],
  ]);
  // What was not done on its day stays asked for until it can be done no more.
  const next = (on: string) => roundEntries([view], on)[0];
  expect(next('2026-05-29')).toMatchObject({ title: 'Drawn comb to the donor, round 7', on: '2026-05-29' });
  expect(next('2026-06-01')?.title).toBe('Drawn comb to the donor, round 7');
  expect(next('2026-06-02')).toMatchObject({ title: 'Graft, round 7', on: '2026-06-02' });
  const last = roundEntries([view], '2026-06-13').map(({ title }) => title);
  expect(last).toEqual(['Graft, round 7', 'Ripe: give them, round 7']);
});

it('names the lots that are still to be handed over, those that are overdue on the day', () => {
  const lot = (id: string, by: string, handedOver: number) => ({
    lot: { id, name: id, queens: 12, by, handedOver },
    by: by < '2026-06-10' ? '2026-06-10' : by,
    wanted: 0,
    have: 0,
    open: 0,
  });
  const lots = [
    lot('Course', '2026-06-08', 11),
    lot('Valley', '2026-06-10', 0),
    lot('Done', '2026-06-20', 12),
  ];
  expect(lotEntries(lots, '2026-06-10').map(({ title, details, on }) => [title, details, on])).toEqual([
    ['Hand over 1 queen: Course', 'Wanted by 8 Jun, overdue.', '2026-06-10'],
    ['Hand over 12 queens: Valley', 'Wanted by 10 Jun.', '2026-06-10'],
  ]);
});
