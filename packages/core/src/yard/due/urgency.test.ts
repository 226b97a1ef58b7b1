import type { DueKind } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import type { Expectation } from './expectation.ts';
import { dueOn, firstExpectation, urgencyOn } from './urgency.ts';

const ON = '2026-06-10';

/** Work from a day to a day, of which nothing else is told. */
const expectationOf = (
  kind: DueKind,
  from: string,
  to: string,
  more: Pick<Expectation, 'lapses' | 'quiet' | 'pressing'> = {},
): Expectation => ({
  kind,
  title: kind,
  reason: '',
  from,
  expected: from,
  to,
  ...more,
});

describe('where work stands on a day', () => {
  it('is ahead to the day before its first, due to its last, overdue after it', () => {
    const work = { from: '2026-06-09', to: '2026-06-11' };
    const days = ['2026-06-08', '2026-06-09', '2026-06-11', '2026-06-12'];
    expect(days.map((on) => urgencyOn(work, { on }))).toEqual(['ahead', 'due', 'due', 'overdue']);
  });

  it('seen from a day ahead what is late today stays late, what comes due between is before', () => {
    const seen = (to: string) => urgencyOn({ from: '2026-06-01', to }, { on: ON, today: '2026-06-05' });
    expect(['2026-06-04', '2026-06-05', '2026-06-09', ON].map(seen)).toEqual([
      'overdue',
      'before',
      'before',
      'due',
    ]);
  });

  it('by the hour it is late only after its hour, and only today', () => {
    const work = { from: ON, to: ON, by: `${ON}T14:00:00.000Z` };
    const at = (now: string, on = ON) => urgencyOn(work, { on, today: ON, now });
    expect(at(`${ON}T14:00:00.000Z`)).toBe('due');
    expect(at(`${ON}T14:00:00.001Z`)).toBe('overdue');
    expect(at(`${ON}T20:00:00.000Z`, '2026-06-09')).toBe('ahead');
  });
});

describe('all that is due', () => {
  it('is in order of danger, lateness and day; equal work keeps the order of its rules', () => {
    const order = [
      expectationOf('lookForEggs', '2026-06-01', '2026-06-12'),
      expectationOf('scorePattern', '2026-06-01', '2026-06-11'),
      expectationOf('stripsOut', '2026-06-01', '2026-06-11'),
      expectationOf('refillFeed', '2026-06-01', '2026-06-09'),
      expectationOf('declareFailed', '2026-06-01', '2026-06-30'),
      expectationOf('framesBack', '2026-06-10', '2026-06-30', { pressing: true }),
      expectationOf('checkOpening', '2026-06-11', '2026-06-11'),
    ];
    expect(dueOn(order, { on: ON }).map(({ kind }) => kind)).toEqual([
      'framesBack',
      'declareFailed',
      'refillFeed',
      'scorePattern',
      'stripsOut',
      'lookForEggs',
    ]);
  });

  it('leaves out what lapsed, from the day after its last', () => {
    const work = expectationOf('checkOpening', '2026-06-08', ON, { lapses: true });
    expect(dueOn([work], { on: ON })).toEqual([work]);
    expect(dueOn([work], { on: '2026-06-11' })).toEqual([]);
    expect(firstExpectation([work], { on: '2026-06-11' })).toBeUndefined();
  });

  it('names first what is due, else what comes next, never what is quiet', () => {
    const next = expectationOf('lookForEggs', '2026-06-11', '2026-06-14');
    const quiet = expectationOf('refillFeed', '2026-06-11', '2026-06-12', { quiet: true });
    expect(firstExpectation([quiet, next], { on: ON })).toBe(next);
    const due = expectationOf('stripsOut', ON, ON);
    expect(firstExpectation([next, due], { on: ON })).toBe(due);
    const before = expectationOf('scorePattern', '2026-06-06', '2026-06-08');
    expect(firstExpectation([before, due], { on: ON, today: '2026-06-05' })).toBe(due);
  });
});
