import type { PlaybookName, Run } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOf, daysBetween, plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { playbooks } from './playbooks.ts';
import { progressOf } from './progress.ts';
import { earliestDay, planFor, towardsDay, towardsOf, towardsSentence } from './towardsDay.ts';

const constants = defaultConstants;
const ZONE = 'Europe/Vienna';
const BEGUN = '2026-05-04';
const run = (by: string | undefined, told: Record<string, string> = {}): Run => ({
  id: 'run',
  playbook: 'formatChange',
  bays: ['bay-1'],
  ...(by === undefined ? {} : { by }),
  begun: moment(BEGUN),
  steps: Object.fromEntries(Object.entries(told).map(([step, on]) => [step, moment(on)])),
});
const moment = (on: string) => ({ at: `${on}T09:00:00.000Z`, zone: ZONE, on, entry: on });
const latest = (by: string, from = BEGUN) =>
  Object.fromEntries(planFor('formatChange', by, from, constants).latest);

describe('a change of frames towards the day of its delivery', () => {
  it('is reckoned back: five days in hand, 24 for drones, 14 until combs are drawn', () => {
    expect(latest('2026-07-15')).toEqual({
      delivered: '2026-07-15',
      hatched: '2026-07-10',
      queenUp: '2026-06-16',
      drawn: '2026-06-16',
      above: '2026-06-02',
    });
  });

  it('keeps no day in hand, and draws in ten, where there is no time for more', () => {
    // 43 days are roomy; a day less is not.
    expect(planFor('formatChange', plusDays(BEGUN, 43), BEGUN, constants).roomy).toBe(true);
    expect(planFor('formatChange', plusDays(BEGUN, 42), BEGUN, constants).roomy).toBe(false);
    const by = plusDays(BEGUN, 34);
    expect(latest(by)).toEqual({
      delivered: by,
      hatched: by,
      queenUp: plusDays(BEGUN, 10),
      drawn: plusDays(BEGUN, 10),
      above: BEGUN,
    });
  });

  it('is possible from 34 days on: ten until combs are drawn, and 24', () => {
    expect(earliestDay('formatChange', BEGUN, constants)).toBe('2026-06-07');
    expect(towardsDay('formatChange', '2026-06-07', BEGUN, constants).inHand_d).toBe(0);
    expect(towardsDay('formatChange', '2026-06-06', BEGUN, constants).inHand_d).toBe(-1);
  });

  it('says whether it can be: not, just, with room, and behind its plan', () => {
    const said = (by: string, today = BEGUN) => {
      const at = towardsOf(run(by), `${today}T10:00:00.000Z`, constants);
      return at && towardsSentence(at, by);
    };
    expect(said('2026-06-06')).toBe('It cannot be by 6 Jun 2026: the earliest is 7 Jun 2026, 1 day later.');
    expect(said('2026-06-07')).toBe(
      'By 7 Jun 2026 it can be, with 0 days in hand: if combs are drawn in the shortest time, and nothing comes between.',
    );
    expect(said('2026-06-15')).toContain('with 8 days in hand: if combs');
    expect(said('2026-06-16')).toBe('By 16 Jun 2026 it can be, with 9 days in hand.');
    expect(said('2026-06-16', '2026-05-05')).toBe(
      '1 day behind its plan: by 16 Jun 2026 it can still be, with 8 days in hand.',
    );
  });

  it('agrees with itself on any day: what can be has its next day still to come, or says how far it is behind', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 60 }), (ahead, gone) => {
        const by = plusDays(BEGUN, ahead);
        const today = plusDays(BEGUN, gone);
        const { inHand_d, behind_d, plan } = towardsDay('formatChange', by, today, constants, run(by));
        const first = plan.latest.get('above') ?? '';
        expect(behind_d).toBe(Math.max(0, daysBetween(first, today)));
        if (gone === 0 && inHand_d >= 0) expect(behind_d).toBe(0);
        if (inHand_d >= 0 && !plan.roomy) expect(first >= BEGUN).toBe(true);
      }),
    );
  });

  it('counts from what was done: a queen who went up late moves the earliest day, and only she', () => {
    const told = { above: BEGUN, drawn: '2026-05-20', queenUp: '2026-05-22' };
    const at = towardsOf(run('2026-06-20', told), '2026-05-30T10:00:00.000Z', constants);
    expect(at).toMatchObject({ earliest: '2026-06-15', inHand_d: 5, behind_d: 0 });
    expect(towardsOf(run(undefined), '2026-05-30T10:00:00.000Z', constants)).toBeUndefined();
    const ended = { ...run('2026-06-20'), ended: { ...moment('2026-05-30'), done: true } };
    expect(towardsOf(ended, '2026-05-30T10:00:00.000Z', constants)).toBeUndefined();
  });

  it('ends the windows of its steps on their latest days, and none before it begins', () => {
    const steps = progressOf(run('2026-07-15', { above: BEGUN }), constants);
    const to = (id: string) => {
      const at = steps.find(({ step }) => step.id === id)?.to;
      return at && dayOf(at, ZONE);
    };
    // Its own clock, fourteen days, ends before its latest day.
    expect(to('drawn')).toBe('2026-05-18');
    expect(to('queenUp')).toBe('2026-06-16');
    expect(to('delivered')).toBe('2026-07-15');
    const late = progressOf(run('2026-06-10', { above: BEGUN, queenUp: '2026-05-30' }), constants);
    expect(late.find(({ step }) => step.id === 'hatched')).toMatchObject({
      from: '2026-06-23T09:00:00.000Z',
    });
    expect(late.find(({ step }) => step.id === 'hatched')?.to).toBeUndefined();
  });

  it('agrees forward and back: begun on its latest day, and at its slowest, it is done on the day', () => {
    const dated = (Object.keys(playbooks) as PlaybookName[]).filter((name) => playbooks[name].wanted);
    expect(dated).toEqual(['formatChange']);
    fc.assert(
      fc.property(
        fc.record({
          drawnTo_d: fc.integer({ min: 10, max: 40 }),
          emptyDrones_d: fc.integer({ min: 22, max: 28 }),
          changeSlack_d: fc.integer({ min: 0, max: 21 }),
        }),
        (changed) => {
          const figures = { ...constants, ...changed };
          const by = plusDays(BEGUN, 200);
          const begun = planFor('formatChange', by, BEGUN, figures).latest.get('above') ?? '';
          const slow = { ...figures, drawnFrom_d: figures.drawnTo_d };
          expect(daysBetween(earliestDay('formatChange', begun, slow), by)).toBe(figures.changeSlack_d);
          // A day later it would cost a day in hand.
          expect(daysBetween(earliestDay('formatChange', plusDays(begun, 1), slow), by)).toBe(
            figures.changeSlack_d - 1,
          );
        },
      ),
    );
  });
});
