import { describe, expect, it } from 'vitest';
import { breederClock, demoAnchor, realClock } from './clock.ts';

describe('the demo’s day', () => {
  it.each([
    ['2026-04-19T10:00:00.000Z', '2025-05-31T10:00:00.000Z'],
    ['2026-04-20T10:00:00.000Z', '2026-04-20T10:00:00.000Z'],
    ['2026-08-20T10:00:00.000Z', '2026-08-20T10:00:00.000Z'],
    ['2026-08-21T10:00:00.000Z', '2026-05-31T10:00:00.000Z'],
    ['2027-01-02T10:00:00.000Z', '2026-05-31T10:00:00.000Z'],
  ])('at %s is %s', (real, expected) => {
    expect(demoAnchor(real)).toBe(expected);
  });

  it('runs on from when it was loaded', () => {
    const clock = breederClock(() => new Date('2026-11-28T10:00:00Z'), {
      anchor: '2026-05-31T10:00:00Z',
      loadedAt: '2026-11-25T10:00:00Z',
    });
    expect(clock.now()).toBe('2026-06-03T10:00:00.000Z');
    expect(clock.isDemo).toBe(true);
    expect(breederClock(() => new Date('2026-11-28T10:00:00Z')).isDemo).toBe(false);
  });

  it('can be pinned', () => {
    expect(realClock('2026-05-31')().toISOString().slice(0, 13)).toBe('2026-05-31T08');
  });
});
