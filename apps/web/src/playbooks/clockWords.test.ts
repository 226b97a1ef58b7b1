import type { StepProgress } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { clockWords, spanWords } from './clockWords.ts';

const AT = '2026-05-31T08:00:00.000Z';
const later = (minutes: number): string => new Date(Date.parse(AT) + minutes * 60_000).toISOString();
const step = { id: 'grafts', title: 'The grafts go in' };
const ZONE = 'Europe/Vienna';

describe('a span of time', () => {
  it.each([
    [0, '0 min'],
    [0.2, '1 min'],
    [59, '59 min'],
    [60, '1 h'],
    [61, '1 h 1 min'],
    [47 * 60 + 59, '47 h 59 min'],
    [48 * 60, '2 days'],
    [-5, '0 min'],
  ])('of %d minutes is said as %s', (minutes, words) => {
    expect(spanWords(AT, later(minutes))).toBe(words);
  });
});

describe('the clock of a step', () => {
  const progress: StepProgress = { step, is: 'now', from: later(120), to: later(240) };
  it('says how long until it opens, how long it is open, and how late it is, by the yard’s own time', () => {
    expect(clockWords(progress, AT, ZONE)).toBe('In 2 h: from 12:00 to 14:00');
    expect(clockWords(progress, later(120), ZONE)).toBe('Now, for 2 h more: by 14:00');
    expect(clockWords(progress, later(240), ZONE)).toBe('Now, for 0 min more: by 14:00');
    expect(clockWords(progress, later(250.9), ZONE)).toBe('Late by 10 min: it was to be done by 14:00');
  });
  it('names the day where that is another, and is silent where none runs', () => {
    expect(clockWords({ step, is: 'now', to: later(24 * 60) }, AT, ZONE)).toBe(
      'Now, for 24 h more: by 10:00, 1 Jun',
    );
    expect(clockWords({ ...progress, is: 'later' }, AT, ZONE)).toBe('from 12:00, by 14:00');
    expect(clockWords({ step, is: 'now' }, AT, ZONE)).toBeUndefined();
  });
});
