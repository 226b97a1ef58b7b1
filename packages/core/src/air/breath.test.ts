import type { BreathQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { breath } from './breath.ts';

const ask = (more: Partial<BreathQuestion> = {}): BreathQuestion => ({
  volume_m3: 0.02,
  bees_kg: 0.5,
  heat_Wkg: 12,
  flow_m3s: 0.00003,
  hours: 6,
  limits_pct: [1, 4],
  ...more,
});
/** 6 W of half a kilogram at rest: 6 ÷ 467,500 × 0.02405 m³ a second. */
const MADE = 3.0866e-7;

describe('what shut-in bees breathe', () => {
  it('comes to what the air that goes through carries off', () => {
    const { steady_pct, minutesTo } = breath(ask());
    expect(steady_pct).toBeCloseTo(0.042 + (100 * MADE) / 3e-5, 4);
    expect(minutesTo).toEqual([
      { limit_pct: 1, minutes: expect.closeTo(29.7, 1) },
      { limit_pct: 4, minutes: null },
    ]);
  });
  it('rises evenly without any air, to what oxygen there is and no further', () => {
    const shut = breath(ask({ flow_m3s: 0, limits_pct: [0.042, 4, 21, 22] }));
    const minutes = (pct: number) => ((pct - 0.042) / 100) * (0.02 / MADE / 60);
    expect(shut.steady_pct).toBeNull();
    expect(shut.end_pct).toBe(21);
    expect(shut.minutesTo.map((each) => each.minutes)).toEqual([
      0,
      expect.closeTo(minutes(4), 2),
      expect.closeTo(minutes(21), 1),
      null,
    ]);
  });
  it('ends with the time that is asked about', () => {
    const at = breath(ask({ flow_m3s: 0, limits_pct: [4] })).minutesTo[0]?.minutes ?? Number.NaN;
    const minutes = (hours: number) =>
      breath(ask({ flow_m3s: 0, limits_pct: [4], hours })).minutesTo[0]?.minutes;
    expect(minutes(at / 60 + 0.001)).toBeCloseTo(at, 9);
    expect(minutes(at / 60 - 0.001)).toBeNull();
  });
  it('stays as outside where nobody breathes', () => {
    expect(breath(ask({ bees_kg: 0 }))).toEqual({
      steady_pct: 0.042,
      end_pct: 0.042,
      minutesTo: [
        { limit_pct: 1, minutes: null },
        { limit_pct: 4, minutes: null },
      ],
    });
  });
  it('is what small steps come to', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.002, max: 0.1, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 3e-4, noNaN: true }),
        (volume_m3, bees_kg, flow_m3s) => {
          const question = ask({ volume_m3, bees_kg, flow_m3s, hours: 1, limits_pct: [2] });
          const made = (bees_kg * 12 * 0.02405) / 467_500;
          let share = 0;
          for (let second = 0; second < 3_600; second += 0.5)
            share += (0.5 * (made - flow_m3s * share)) / volume_m3;
          const end = Math.min(21, 0.042 + 100 * share);
          expect(Math.abs(breath(question).end_pct - end)).toBeLessThan(0.01);
        },
      ),
      { numRuns: 40 },
    );
  });
});
