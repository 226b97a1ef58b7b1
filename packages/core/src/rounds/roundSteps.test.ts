import type { Round } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { roundViews } from './rearing.ts';
import { isAhead, roundSteps } from './roundSteps.ts';
import { seasonOf } from './season.test.kit.ts';

const GRAFT = '2026-06-01';
const askedOn = (today: string, more: Partial<Round>) => {
  const round: Round = { id: 'r', number: 3, donor: 'Sable', graftedOn: GRAFT, grafts: 30, ...more };
  const [view] = roundViews(seasonOf({ rounds: [round] }), defaultConstants, today);
  if (!view) throw new Error('no view');
  return {
    view,
    asked: roundSteps(view).flatMap((step) => (step.asks && isAhead(step, today) ? [step.title] : [])),
  };
};

describe('what a round asks for', () => {
  it('is a plan’s graft on its day, and from then on until somebody says what became of it', () => {
    const plan = { planned: true, comb: { at: '2026-05-28T10:00:00Z' } } as const;
    expect(askedOn(GRAFT, plan).view).toMatchObject({ missed: false, cells: 15, open: 15 });
    const { view, asked } = askedOn('2026-06-02', plan);
    // Its cells count nowhere, and ask for no rooms.
    expect(view).toMatchObject({ missed: true, cells: 0, open: 0, queens: 0 });
    expect(asked).toEqual(['Graft']);
    expect(roundSteps(view).map(({ title }) => title)).toEqual([
      'Drone eggs laid',
      'Drawn comb to the donor',
      'Graft',
    ]);
    expect(askedOn('2026-09-01', plan).asked).toEqual(['Graft']);
  });
  it('is a count until its cells emerge, and rooms until they are ripe, overdue or not', () => {
    expect(askedOn('2026-06-11', {}).asked).toEqual([
      'Count what is taken on',
      'Stock the rooms',
      'Ripe: give them',
    ]);
    expect(askedOn('2026-06-12', {}).asked).toEqual(['Count what is taken on', 'Ripe: give them']);
    expect(askedOn('2026-06-13', {}).asked).toEqual(['Count what is taken on', 'Ripe: give them']);
    expect(askedOn('2026-06-14', {}).asked).toEqual([]);
    const counted = { accepted: { on: '2026-06-02', cells: 20 } };
    expect(askedOn('2026-06-11', counted).asked).toEqual(['Stock the rooms', 'Ripe: give them']);
  });
});
