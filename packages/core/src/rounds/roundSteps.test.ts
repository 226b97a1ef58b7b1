import type { Round } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { roundViews } from './rearing.ts';
import { isAhead, roundSteps } from './roundSteps.ts';
import { seasonOf } from './season.test.kit.ts';

const GRAFT = '2026-06-01';
const askedOn = (today: string, more: Partial<Round>, grounded: readonly string[] = []) => {
  const round: Round = { id: 'r', number: 3, donor: 'Sable', graftedOn: GRAFT, grafts: 30, ...more };
  const [view] = roundViews(
    seasonOf({ rounds: [round], flown: { months: [], days: grounded.map((on) => ({ on, flies: false })) } }),
    defaultConstants,
    today,
  );
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
  it('is later by the days that did not fly since its virgins could, as long as something is open', () => {
    const windows = (grounded: readonly string[], more: Partial<Round> = {}) => {
      const { view } = askedOn(
        '2026-06-24',
        { accepted: { on: '2026-06-02', cells: 20 }, ...more },
        grounded,
      );
      const of = (title: string) => roundSteps(view).find((step) => step.title === title);
      return {
        lost: view.lost_d,
        eggs: of('Eggs')?.to,
        take: of('Ready to be taken')?.to,
        says: of('Eggs')?.detail,
      };
    };
    const usual = windows([]);
    expect(usual.lost).toBe(0);
    // She may fly from six days after the ripe cell on: the 16th is lost on nobody.
    expect(windows(['2026-06-16']).lost).toBe(0);
    const late = windows(['2026-06-17', '2026-06-18', '2026-06-20']);
    expect(late).toMatchObject({
      lost: 3,
      eggs: plusDays(usual.eggs ?? '', 3),
      take: plusDays(usual.take ?? '', 3),
      says: '20 open. 3 days without flying weather put off what is open.',
    });
  });
  it('is to give the virgins that hatched in an incubator, with their age, until they are of no use', () => {
    const hatched = {
      accepted: { on: '2026-06-02', cells: 20 },
      moved: [{ on: '2026-06-06', to: 'incubator', cells: 20 }],
    } as const;
    const { view, asked } = askedOn('2026-06-15', hatched);
    expect(asked).toEqual(['Give the virgins, or throw them away']);
    expect(roundSteps(view).find(({ title }) => title.startsWith('Give the virgins'))).toMatchObject({
      from: '2026-06-12',
      to: '2026-07-11',
      detail: '20 virgins in the incubator, 2 to 3 days old.',
    });
    expect(askedOn('2026-07-12', hatched).asked).toEqual([]);
    // Until the first hatches they are cells to be given, and from then on no longer: never both.
    expect(askedOn('2026-06-11', hatched).asked).toContain('Ripe: give them');
    const first = askedOn('2026-06-12', hatched);
    expect(first.asked).toEqual(['Give the virgins, or throw them away']);
    expect(roundSteps(first.view).find(({ title }) => title.startsWith('Give the virgins'))?.detail).toBe(
      '20 virgins in the incubator, hatching.',
    );
  });
});
