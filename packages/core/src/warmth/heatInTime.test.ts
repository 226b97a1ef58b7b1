import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { type Drive, type HeatBalance, heatInTime } from './heatInTime.ts';
import type { HeatFace } from './network.ts';
import { OUTSIDE, solveWarmth, uValue } from './warmth.ts';

const wall = (between: [string, string], area_m2: number, thickness_mm = 19): HeatFace => ({
  between,
  area_m2,
  kind: between[1] === OUTSIDE ? 'wall' : 'inner',
  layers: [{ thickness_mm, lambda_WmK: 0.12 }],
  part: 'wall',
});
const positive = (max: number) => fc.double({ min: max / 20, max, noNaN: true });
/** Two rooms with a wall between, each with its own air. */
const rooms = fc
  .record({
    a: positive(0.3),
    b: positive(0.3),
    c: positive(0.3),
    factorA: positive(0.01),
    watts: positive(30),
  })
  .map(({ a, b, c, factorA, watts }) => ({
    balance: {
      fixed: new Map<string, number>(),
      flows: [],
      faces: [wall(['a', OUTSIDE], a), wall(['b', OUTSIDE], b), wall(['a', 'b'], c, 9)],
      spaces: [
        { id: 'a', capacity_JK: 4_000, factor: factorA },
        { id: 'b', capacity_JK: 2_000, factor: 0 },
      ],
    } satisfies HeatBalance,
    watts,
  }));
const steady = (watts: number, more: Partial<Drive> = {}): Drive => ({
  outside_C: 5,
  heat: (at) => ({ watts: at === 0 ? watts : 0, slope_WK: 0 }),
  ...more,
});

describe('heat in time', () => {
  it('comes to rest where long enough steps do', () => {
    fc.assert(
      fc.property(rooms, ({ balance, watts }) => {
        const { begin, rest, stepsOf } = heatInTime(balance, defaultConstants);
        let moment = begin([5, 5], 5);
        const advance = stepsOf(1_800);
        for (let step = 0; step < 600; step++) moment = advance(moment, steady(watts));
        rest([5, 5], steady(watts)).forEach((each, at) => {
          expect(each).toBeCloseTo(moment.inside[at] ?? Number.NaN, 4);
        });
      }),
      { numRuns: 25 },
    );
  });

  it('without air comes to what the network of walls says, the sun on a face as if it were warmer out there', () => {
    const faces = [wall(['a', OUTSIDE], 0.2), wall(['b', OUTSIDE], 0.1), wall(['a', 'b'], 0.1, 9)];
    const balance: HeatBalance = {
      fixed: new Map(),
      flows: [],
      faces,
      spaces: ['a', 'b'].map((id) => ({ id, capacity_JK: 1_000, factor: 0 })),
    };
    const { rest } = heatInTime(balance, defaultConstants);
    const sunny_K = 12;
    const [a, b] = rest([5, 5], steady(8, { outer_K: [0, sunny_K, 0] }));
    const g_WK = uValue(faces[1] as HeatFace, defaultConstants) * 0.1;
    const known = solveWarmth(
      {
        outside_C: 5,
        spaces: [
          { name: 'a', heat_W: 8 },
          { name: 'b', heat_W: g_WK * sunny_K },
        ],
        faces,
      },
      defaultConstants,
    );
    expect(a).toBeCloseTo(known.spaces[0]?.inside_C ?? Number.NaN, 6);
    expect(b).toBeCloseTo(known.spaces[1]?.inside_C ?? Number.NaN, 6);
  });

  it('finds the one state of bees that turn about at a limit', () => {
    // They cool with 40 W a kelvin over 36 °C, up to 60 W: steps without measure would swing for ever.
    const balance: HeatBalance = {
      fixed: new Map(),
      flows: [],
      faces: [wall(['a', OUTSIDE], 0.5)],
      spaces: [{ id: 'a', capacity_JK: 4_000, factor: 0 }],
    };
    const { rest } = heatInTime(balance, defaultConstants);
    const g_WK = uValue(balance.faces[0] as HeatFace, defaultConstants) * 0.5;
    for (const outside_C of [20, 30, 36, 40, 50, 70]) {
      const [found = Number.NaN] = rest([10], {
        outside_C,
        heat: (_, now_C) => {
          const cools = Math.min(60, Math.max(0, 40 * (now_C - 36)));
          return { watts: 10 - cools, slope_WK: cools > 0 && cools < 60 ? -40 : 0 };
        },
      });
      const cools = Math.min(60, Math.max(0, 40 * (found - 36)));
      expect(g_WK * (found - outside_C)).toBeCloseTo(10 - cools, 4);
    }
  });

  it('follows a day’s wave as one store behind one wall must: smaller, and later', () => {
    // A wall that stores nothing: amplitude 1 ÷ √(1 + (ωτ)²), behind by atan(ωτ) ÷ ω.
    const face = { ...wall([OUTSIDE, OUTSIDE], 0.4), between: ['a', OUTSIDE] as [string, string] };
    const constants = { ...defaultConstants, woodHeat_Jm3K: 1e-6 };
    const capacity_JK = 12_000;
    const { begin, stepsOf } = heatInTime(
      { fixed: new Map(), flows: [], faces: [face], spaces: [{ id: 'a', capacity_JK, factor: 0 }] },
      constants,
    );
    const DAY_S = 86_400;
    const omega = (2 * Math.PI) / DAY_S;
    const tau_s = capacity_JK / (uValue(face, constants) * face.area_m2);
    const step_s = 60;
    const advance = stepsOf(step_s);
    let moment = begin([0], 0);
    let [most, at_s] = [Number.NEGATIVE_INFINITY, 0];
    for (let seconds = step_s; seconds <= 3 * DAY_S; seconds += step_s) {
      moment = advance(moment, {
        outside_C: 10 * Math.cos(omega * seconds),
        heat: () => ({ watts: 0, slope_WK: 0 }),
      });
      const [now = 0] = moment.inside;
      if (seconds > 2 * DAY_S - DAY_S / 2 && now > most) [most, at_s] = [now, seconds % DAY_S];
    }
    expect(most).toBeCloseTo(10 / Math.sqrt(1 + (omega * tau_s) ** 2), 1);
    expect(Math.abs(at_s - Math.atan(omega * tau_s) / omega)).toBeLessThan(3 * 60);
  });
});
