import type { PlaybookName, Run } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOf, daysBetween, plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { playbooks } from './playbooks.ts';
import { progressOf } from './progress.ts';
import { earliestDay, latestDays, towardsDay, towardsOf, towardsSentence } from './towardsDay.ts';

const constants = defaultConstants;
const ZONE = 'Europe/Vienna';
const run = (by: string | undefined, told: Record<string, string> = {}): Run => ({
  id: 'run',
  playbook: 'formatChange',
  bays: ['bay-1'],
  ...(by === undefined ? {} : { by }),
  begun: moment('2026-05-04'),
  steps: Object.fromEntries(Object.entries(told).map(([step, on]) => [step, moment(on)])),
});
const moment = (on: string) => ({ at: `${on}T09:00:00.000Z`, zone: ZONE, on, entry: on });

describe('a change of frames towards the day of its delivery', () => {
  it('is reckoned back: five days in hand, 24 for drones, 14 until combs are drawn', () => {
    const latest = Object.fromEntries(latestDays('formatChange', '2026-07-15', constants));
    expect(latest).toEqual({
      delivered: '2026-07-15',
      hatched: '2026-07-10',
      queenUp: '2026-06-16',
      drawn: '2026-06-16',
      above: '2026-06-02',
    });
  });

  it('is possible from 34 days on: ten until combs are drawn, and 24', () => {
    expect(earliestDay('formatChange', '2026-05-04', constants)).toBe('2026-06-07');
    expect(towardsDay('formatChange', '2026-06-07', '2026-05-04', constants).inHand_d).toBe(0);
    expect(towardsDay('formatChange', '2026-06-06', '2026-05-04', constants).inHand_d).toBe(-1);
  });

  it('says whether it can be, at the day before, on the day, and with all its days in hand', () => {
    const said = (by: string) =>
      towardsSentence(towardsDay('formatChange', by, '2026-05-04', constants), by, constants);
    expect(said('2026-06-06')).toBe('It cannot be by 6 Jun 2026: the earliest is 7 Jun 2026, 1 day later.');
    expect(said('2026-06-07')).toContain('with 0 days in hand: nothing may come between');
    expect(said('2026-06-11')).toContain('with 4 days in hand: nothing may come between');
    expect(said('2026-06-12')).toBe('By 12 Jun 2026 it can be, with 5 days in hand.');
  });

  it('counts from what was done: a queen who went up late moves the earliest day, and only she', () => {
    const told = { above: '2026-05-04', drawn: '2026-05-20', queenUp: '2026-05-22' };
    const at = towardsOf(run('2026-06-20', told), '2026-05-30T10:00:00.000Z', constants);
    expect(at?.earliest).toBe('2026-06-15');
    expect(at?.inHand_d).toBe(5);
    expect(towardsOf(run(undefined), '2026-05-30T10:00:00.000Z', constants)).toBeUndefined();
    const ended = { ...run('2026-06-20'), ended: { ...moment('2026-05-30'), done: true } };
    expect(towardsOf(ended, '2026-05-30T10:00:00.000Z', constants)).toBeUndefined();
  });

  it('ends the windows of its steps on their latest days, and none before it begins', () => {
    const steps = progressOf(run('2026-07-15', { above: '2026-05-04' }), constants);
    const to = (id: string) => {
      const at = steps.find(({ step }) => step.id === id)?.to;
      return at && dayOf(at, ZONE);
    };
    // Its own clock, fourteen days, ends before its latest day.
    expect(to('drawn')).toBe('2026-05-18');
    expect(to('queenUp')).toBe('2026-06-16');
    expect(to('delivered')).toBe('2026-07-15');
    const late = progressOf(run('2026-06-10', { above: '2026-05-04', queenUp: '2026-05-30' }), constants);
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
          ahead: fc.integer({ min: 0, max: 200 }),
        }),
        ({ ahead, ...changed }) => {
          const figures = { ...constants, ...changed };
          const by = plusDays('2026-07-15', ahead);
          const begun = latestDays('formatChange', by, figures).get('above') ?? '';
          const slow = { ...figures, drawnFrom_d: figures.drawnTo_d };
          const done = earliestDay('formatChange', begun, slow);
          expect(daysBetween(done, by)).toBe(figures.changeSlack_d);
          // A day later it would cost a day in hand.
          expect(daysBetween(earliestDay('formatChange', plusDays(begun, 1), slow), by)).toBe(
            figures.changeSlack_d - 1,
          );
        },
      ),
    );
  });
});
