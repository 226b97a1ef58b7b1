import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dronesPass, excludesQueens, gap, workersPass } from './gap.ts';

describe('a gap', () => {
  it.each([
    [0, 'shut', []],
    [2.999, 'shut', []],
    [3, 'air', ['air']],
    [4.1, 'excluder', ['air', 'worker']],
    [4.5, 'excluder', ['air', 'worker']],
    [4.500001, 'squeeze', ['air', 'worker', 'queen']],
    [5.4, 'squeeze', ['air', 'worker', 'queen', 'drone']],
    [6, 'beeSpace', ['air', 'worker', 'queen', 'drone']],
    [9.5, 'beeSpace', ['air', 'worker', 'queen', 'drone']],
    [9.6, 'brace', ['air', 'worker', 'queen', 'drone']],
    [14, 'brace', ['air', 'worker', 'queen', 'drone']],
    [14.1, 'comb', ['air', 'worker', 'queen', 'drone']],
  ] as const)('of %d mm in a slot is %s', (gap_mm, verdict, passes) => {
    expect(gap({ gap_mm })).toEqual({ verdict, passes });
    expect(workersPass(gap_mm)).toBe(passes.some((who) => who === 'worker'));
    expect(dronesPass(gap_mm)).toBe(passes.some((who) => who === 'drone'));
    expect(excludesQueens(gap_mm)).toBe(verdict === 'excluder');
  });

  it('is bee space further up at joints and under frames', () => {
    expect(gap({ gap_mm: 13, where: 'joint' }).verdict).toBe('beeSpace');
    expect(gap({ gap_mm: 17.5, where: 'joint' }).verdict).toBe('brace');
    expect(gap({ gap_mm: 22, where: 'floor' }).verdict).toBe('beeSpace');
    expect(gap({ gap_mm: 26.6, where: 'floor' }).verdict).toBe('comb');
  });

  it('meets its limits within the tolerance', () => {
    expect(gap({ gap_mm: 3 - 1e-12 }).verdict).toBe('air');
    expect(gap({ gap_mm: 4.5 + 1e-12 }).verdict).toBe('excluder');
  });

  it('lets a larger gap pass whoever a smaller one does', () => {
    const size = fc.double({ min: 0, max: 60, noNaN: true });
    fc.assert(
      fc.property(size, size, (a, b) => {
        const [small, large] = [Math.min(a, b), Math.max(a, b)];
        expect(gap({ gap_mm: large }).passes).toEqual(expect.arrayContaining(gap({ gap_mm: small }).passes));
      }),
    );
  });
});
