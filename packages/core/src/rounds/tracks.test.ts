import type { RearingSeason, Round } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { lotStates, roundViews } from './rearing.ts';
import { seasonOf } from './season.test.kit.ts';
import { tracksOf } from './tracks.ts';

const GRAFT = '2026-05-11';
const round = (more: Partial<Round> = {}): Round => ({
  id: 'r',
  number: 3,
  donor: 'Sable',
  graftedOn: GRAFT,
  grafts: 40,
  accepted: { on: '2026-05-12', cells: 30 },
  ...more,
});
const TODAY = '2026-05-20';
const tracks = (more: Partial<RearingSeason>) => {
  const season = seasonOf(more);
  const views = roundViews(season, defaultConstants, TODAY);
  const lots = lotStates(season, views, [], TODAY);
  return tracksOf({ views, lots, season }, '2026-05-07', '2026-05-25');
};
const of = (...rounds: Round[]) => tracks({ rounds });
/** Days on which the load is another than the day before. */
const steps = (load: readonly number[]) =>
  load.flatMap((cells, at) => (cells === (load[at - 1] ?? 0) ? [] : [[plusDays('2026-05-07', at), cells]]));

describe('what rounds take up', () => {
  it('is a comb for four days, a starter until the day after, a finisher until they are ripe', () => {
    const { donors, starters, finisher, incubator } = of(round());
    expect(donors).toEqual([{ round: 3, donor: 'Sable', from: '2026-05-07', to: GRAFT }]);
    expect(starters).toEqual([{ round: 3, donor: 'Sable', from: GRAFT, to: '2026-05-12' }]);
    expect(steps(finisher)).toEqual([
      ['2026-05-12', 30],
      ['2026-05-22', 0],
    ]);
    expect(steps(incubator)).toEqual([]);
  });
  it('follows what was told: a late move to the finisher, and cells that an incubator has taken over', () => {
    const { starters, finisher, incubator } = of(
      round({
        moved: [
          { on: '2026-05-13', to: 'finisher', cells: 30 },
          { on: '2026-05-17', to: 'incubator', cells: 12 },
        ],
      }),
    );
    expect(starters[0]?.to).toBe('2026-05-13');
    expect(steps(finisher)).toEqual([
      ['2026-05-13', 30],
      ['2026-05-17', 18],
      ['2026-05-22', 0],
    ]);
    expect(steps(incubator)).toEqual([
      ['2026-05-17', 12],
      ['2026-05-24', 0],
    ]);
  });
  it('adds up over rounds, leaves out what was thrown away once, and shows no days beyond those asked for', () => {
    const early = round({ id: 'a', graftedOn: '2026-05-01', accepted: { on: '2026-05-02', cells: 20 } });
    const thrown = round({ moved: [{ on: '2026-05-14', to: 'discarded', cells: 5 }] });
    const { finisher } = of(early, thrown);
    expect(finisher).toHaveLength(19);
    // The first ends on 11 May, the second begins on the 12th.
    expect(steps(finisher)).toEqual([
      ['2026-05-07', 20],
      ['2026-05-12', 25],
      ['2026-05-22', 0],
    ]);
  });
  it('keeps banked queens until lots are handed over, those first that came first', () => {
    const lot = (id: string, queens: number, by: string, handedOver = 0) => ({
      id,
      name: id,
      queens,
      by,
      handedOver,
    });
    const banked = [{ since: '2026-05-01' }, { since: '2026-05-09' }, { since: '2026-05-09' }];
    expect(steps(tracks({ banked }).bank)).toEqual([
      ['2026-05-07', 1],
      ['2026-05-09', 3],
    ]);
    const lots = [lot('later', 5, '2026-05-24'), lot('overdue', 3, '2026-05-18', 1)];
    expect(steps(tracks({ banked, lots }).bank)).toEqual([
      ['2026-05-07', 1],
      ['2026-05-09', 3],
      ['2026-05-21', 1],
      ['2026-05-25', 0],
    ]);
  });
  it('of a plan that was not grafted are empty', () => {
    const missed = of(round({ planned: true }));
    expect([missed.donors, missed.starters]).toEqual([[], []]);
    expect(steps(missed.finisher)).toEqual([]);
  });
});
