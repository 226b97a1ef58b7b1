import type { RearingSeason, Round } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { donorRecords } from './donors.ts';
import { roundViews } from './rearing.ts';
import { seasonOf } from './season.test.kit.ts';

const TODAY = '2026-05-31';
const round = (id: string, donor: string, graftedOn: string, more: Partial<Round> = {}): Round => ({
  id,
  number: Number(id),
  donor,
  graftedOn,
  grafts: 20,
  ...more,
});
const of = (rounds: Round[], outcomes: RearingSeason['outcomes'] = []) =>
  donorRecords(roundViews(seasonOf({ rounds, outcomes }), defaultConstants, TODAY), defaultConstants, TODAY);

it('a donor has what was counted of her rounds, and the comb that is due next', () => {
  const records = of(
    [
      round('1', 'Sable', '2026-04-24', { accepted: { on: '2026-04-26', cells: 14 }, donorQueen: 'q' }),
      round('2', 'Thistle', '2026-05-21', { accepted: { on: '2026-05-23', cells: 9 } }),
      // Not counted yet: no part of what is taken on.
      round('3', 'Sable', '2026-05-30'),
      round('4', 'Sable', '2026-06-08', { planned: true }),
      round('5', 'Sable', '2026-06-04', { planned: true }),
      // A plan whose day is over asks for nothing more.
      round('6', 'Bracken', '2026-05-20', { planned: true }),
    ],
    [{ round: '1', given: 12, takes: 8, taken: 2, misses: 3 }],
  );
  expect(records.map(({ donor }) => donor)).toEqual(['Sable', 'Bracken', 'Thistle']);
  expect(records[0]).toEqual({
    donor: 'Sable',
    queen: 'q',
    rounds: 2,
    grafts: 20,
    accepted: 14,
    given: 12,
    queens: 8,
    lastGraft: '2026-05-30',
    next: { round: expect.objectContaining({ number: 5 }), comb: '2026-05-31', graft: '2026-06-04' },
    tooNear: [],
  });
  expect(records[1]).toMatchObject({ rounds: 0, lastGraft: undefined, next: undefined });
});

it('grafts nearer than she fills a comb are named, a day less and not a day more', () => {
  const planned = (day: string) => round('7', 'Sable', day, { planned: true });
  const grafted = round('1', 'Sable', '2026-05-30');
  const near = (day: string) => of([grafted, planned(day)])[0]?.tooNear;
  expect(near('2026-06-03')).toEqual([]);
  expect(near('2026-06-02')).toEqual([{ graft: '2026-06-02', before: '2026-05-30' }]);
  // Of two donors each has her own combs.
  expect(
    of([grafted, { ...planned('2026-06-02'), donor: 'Thistle' }]).flatMap(({ tooNear }) => tooNear),
  ).toEqual([]);
});
