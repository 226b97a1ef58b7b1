import { FailReason } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { outcomeOf, verdictOn } from './outcome.ts';

const attempt = { patterns: [], givenOn: '2026-05-01' } as unknown as Parameters<typeof outcomeOf>[0];
const failed = (reason: FailReason, on = '2026-05-20') => ({ failed: { reason, on } });

describe('what became of a cell', () => {
  it('is a take from her first eggs on, and stays one whatever befalls her, but for eggs that were no queen’s own', () => {
    const laying = { ...attempt, layingOn: '2026-05-15' };
    expect(outcomeOf(laying)).toEqual({ takeOn: '2026-05-15', missOn: null });
    const misses = FailReason.options.filter((reason) => outcomeOf({ ...laying, ...failed(reason) }).missOn);
    expect(misses).toEqual(['droneLayer', 'layingWorkers']);
    for (const reason of FailReason.options)
      expect(outcomeOf({ ...attempt, ...failed(reason) })).toEqual({ takeOn: null, missOn: '2026-05-20' });
  });

  it('is open until something is told, or its day is past', () => {
    const open = outcomeOf(attempt);
    expect(verdictOn(open, '2026-05-22', '2026-05-22')).toBe('open');
    expect(verdictOn(open, '2026-05-22', '2026-05-23')).toBe('miss');
    const taken = { takeOn: '2026-05-15', missOn: null };
    expect(verdictOn(taken, '2026-05-22', '2026-05-14')).toBe('open');
    expect(verdictOn(taken, '2026-05-22', '2026-05-15')).toBe('take');
    const lost = { takeOn: '2026-05-15', missOn: '2026-05-20' };
    expect(verdictOn(lost, '2026-05-22', '2026-05-19')).toBe('take');
    expect(verdictOn(lost, '2026-05-22', '2026-05-20')).toBe('miss');
  });
});
