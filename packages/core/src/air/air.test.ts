import type { AirQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { air, airProblems } from './air.ts';
import { type Breather, flowFactor, roundHeight } from './flow.ts';
import { dewPoint, moisture, saturation } from './moisture.ts';

const CD = 0.61;
const HOLE_M2 = (Math.PI / 4) * 0.025 ** 2;
const hole = (height_m: number): Breather => ({ area_m2: HOLE_M2, height_m, tall_m: 0.025 });
const flow = (openings: Breather[], rise_K: number, mean_K: number) =>
  flowFactor(openings, CD) * Math.sqrt(rise_K / mean_K);

describe('openings', () => {
  it('pass what the handbook works out: two 25 mm holes 0.2 m apart, and one', () => {
    expect(flow([hole(0), hole(0.2)], 10, 300)).toBeCloseTo(7.66e-5, 7);
    expect(flow([hole(0)], 10, 300)).toBeCloseTo(9.0e-6, 7);
    expect(flow([hole(0), hole(0.2)], 10, 300) / flow([hole(0)], 10, 300)).toBeCloseTo(8.5, 1);
  });

  it('of any two sizes follow the series formula 1/A*² = 1/A₁² + 1/A₂²', () => {
    const area = fc.double({ min: 1e-5, max: 1e-2, noNaN: true });
    fc.assert(
      fc.property(area, area, fc.double({ min: 0.05, max: 1, noNaN: true }), (a, b, h) => {
        const openings = [
          { area_m2: a, height_m: 0, tall_m: 1e-9 },
          { area_m2: b, height_m: h, tall_m: 1e-9 },
        ];
        const star = (a * b) / Math.hypot(a, b);
        const expected = 0.61 * star * Math.sqrt((2 * 9.81 * h * 10) / 300);
        expect(flow(openings, 10, 300) / expected).toBeCloseTo(1, 6);
      }),
    );
  });

  it('balance at the neutral level whatever there is, and more openings never pass less', () => {
    const openings = fc.array(
      fc.record({
        area_m2: fc.double({ min: 1e-5, max: 1e-2, noNaN: true }),
        height_m: fc.double({ min: 0, max: 1, noNaN: true }),
        tall_m: fc.constant(0.02),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(openings, (list) => {
        for (let count = 2; count <= list.length; count++)
          expect(flowFactor(list.slice(0, count), CD)).toBeGreaterThanOrEqual(
            flowFactor(list.slice(0, count - 1), CD) - 1e-12,
          );
      }),
    );
  });

  it('all at one height breathe alone', () => {
    expect(flowFactor([hole(0.1), hole(0.1)], CD)).toBeCloseTo(2 * flowFactor([hole(0.1)], CD), 12);
    expect(flowFactor([], CD)).toBe(0);
    expect(roundHeight(HOLE_M2)).toBeCloseTo(0.025, 12);
  });
});

const shut: AirQuestion = {
  outside_C: 22,
  ua_WK: 1.1,
  bees_kg: 0.5,
  heat_Wkg: 12,
  openings: [],
  comb_kg: 3,
  limits_C: [23, 36],
};

describe('a box shut in', () => {
  it('without openings rises first-order, as the formula says', () => {
    const { rise_K, minutesTo } = air(shut);
    expect(rise_K).toBeCloseTo(6 / 1.1, 9);
    const tau = (3_500 * 0.5 + 2_500 * 3) / 1.1;
    expect(minutesTo[0]?.minutes).toBeCloseTo((-tau * Math.log(1 - 1.1 / 6)) / 60, 6);
    expect(minutesTo[1]).toEqual({ limit_C: 36, minutes: null });
  });

  it('reaches its limits when an explicit march in small steps does', () => {
    const question = {
      ...shut,
      heat_Wkg: 40,
      bees_kg: 1.2,
      openings: [
        { area_cm2: 4.9, height_m: 0.02 },
        { area_cm2: 12, height_m: 0.2 },
      ],
      limits_C: [26, 30, 33],
      sun_W: 20,
    };
    const { minutesTo, rise_K, flow_m3s } = air(question);
    const factor = flowFactor(
      question.openings.map(({ area_cm2, height_m }) => ({
        area_m2: area_cm2 / 1e4,
        height_m,
        tall_m: roundHeight(area_cm2 / 1e4),
      })),
      CD,
    );
    const q = (rise: number) => factor * Math.sqrt(rise / (22 + rise / 2 + 273.15));
    expect((1.1 + 1_200 * flow_m3s) * rise_K).toBeCloseTo(68, 6);
    expect(flow_m3s).toBeCloseTo(q(rise_K), 12);
    const passed = new Map<number, number>();
    let rise = 0;
    for (let second = 0; second < 40_000; second += 0.5) {
      for (const limit of question.limits_C)
        if (22 + rise >= limit && !passed.has(limit)) passed.set(limit, second / 60);
      rise += (0.5 * (68 - (1.1 + 1_200 * q(rise)) * rise)) / (3_500 * 1.2 + 2_500 * 3);
    }
    for (const { limit_C, minutes } of minutesTo) {
      if (minutes === null) expect(passed.has(limit_C)).toBe(false);
      else expect(minutes).toBeCloseTo(passed.get(limit_C) ?? Number.NaN, 1);
    }
  });

  it('is past a limit at the start, with brood soonest', () => {
    const [brood, none] = [34.5, undefined].map(
      (start_C) =>
        air({ ...shut, heat_Wkg: 40, ...(start_C ? { start_C } : {}), limits_C: [36] }).minutesTo[0]?.minutes,
    );
    expect(brood).toBeLessThan(none ?? 0);
    expect(air({ ...shut, limits_C: [20, 22] }).minutesTo.map(({ minutes }) => minutes)).toEqual([0, 0]);
  });

  it('cannot let out neither heat nor air', () => {
    expect(airProblems({ ...shut, ua_WK: 0 })).toHaveLength(1);
    expect(air({ ...shut, ua_WK: 0, bees_kg: 0 }).rise_K).toBe(0);
  });
});

describe('water', () => {
  const winter = {
    outside_C: -1,
    outside_RH: 0.85,
    inside_C: 6,
    flow_m3s: 7.66e-5,
    stores_kgDay: 0.075,
    surfaces: [
      { name: 'cover', surface_C: 4.2 },
      { name: 'wall', surface_C: 2.5 },
    ],
  };

  it('given off is carried out or condenses: the balance closes', () => {
    const numbers = fc.record({
      outside_C: fc.double({ min: -20, max: 15, noNaN: true }),
      outside_RH: fc.double({ min: 0.1, max: 1, noNaN: true }),
      lift: fc.double({ min: 0, max: 20, noNaN: true }),
      flow_m3s: fc.double({ min: 1e-6, max: 1e-3, noNaN: true }),
      stores_kgDay: fc.double({ min: 0, max: 0.3, noNaN: true }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(numbers, ({ lift, share, ...question }) => {
        const inside_C = question.outside_C + lift;
        const answer = moisture({
          ...question,
          inside_C,
          surfaces: [{ name: 'cover', surface_C: question.outside_C + lift * share }],
        });
        const density = (e: number, t: number) => (100 * e) / (461.5 * (t + 273.15));
        const inside = density(answer.inside_RH * saturation(inside_C), inside_C);
        const outside = density(question.outside_RH * saturation(question.outside_C), question.outside_C);
        const given = (0.66 * question.stores_kgDay) / 86_400;
        const gone = question.flow_m3s * (inside - outside) + answer.condensate_gDay / 86_400 / 1_000;
        if (answer.condensate_gDay > 0 || answer.wettest === null) expect(gone).toBeCloseTo(given, 12);
        if (answer.wettest !== null)
          expect(answer.dewPoint_C).toBeCloseTo(question.outside_C + lift * share, 6);
      }),
    );
  });

  it('condenses on the coldest surface, all of it where no air goes', () => {
    expect(moisture(winter)).toMatchObject({ wettest: 'wall' });
    expect(moisture({ ...winter, flow_m3s: 0 }).condensate_gDay).toBeCloseTo(0.66 * 75, 9);
    expect(moisture({ ...winter, flow_m3s: 0.01 })).toMatchObject({ wettest: null, condensate_gDay: 0 });
    expect(dewPoint(saturation(7))).toBeCloseTo(7, 9);
    expect(Number.isFinite(moisture({ ...winter, outside_RH: 0, stores_kgDay: 0 }).dewPoint_C)).toBe(true);
  });
});

describe('over ice', () => {
  it('the air holds less below freezing, and the dew point is found back', () => {
    // Tables: 2.60 hPa over ice and 2.86 over water at −10 °C.
    expect(saturation(-10, true)).toBeCloseTo(2.6, 2);
    expect(saturation(-10)).toBeCloseTo(2.86, 1);
    for (const celsius of [-30, -10, -0.5, 0, 4, 30]) {
      expect(dewPoint(saturation(celsius, true), true)).toBeCloseTo(celsius, 9);
      expect(saturation(celsius, true) <= saturation(celsius)).toBe(true);
    }
    expect(saturation(0, true)).toBe(saturation(0));
    expect(dewPoint(0, true)).toBe(-272.62);
  });

  it('more water comes to lie, with the outside’s own humidity over water still', () => {
    const asked = {
      outside_C: -12,
      outside_RH: 0.85,
      inside_C: 2,
      flow_m3s: 0.00003,
      stores_kgDay: 0.05,
      surfaces: [{ name: 'cover', surface_C: -6 }],
    };
    const [water, ice] = [moisture(asked), moisture({ ...asked, ice: true })];
    expect(ice.condensate_gDay).toBeGreaterThan(water.condensate_gDay);
    expect(ice.dewPoint_C).toBeCloseTo(-6, 9);
    expect(moisture({ ...asked, surfaces: [{ name: 'cover', surface_C: 1 }], ice: true })).toEqual(
      moisture({ ...asked, surfaces: [{ name: 'cover', surface_C: 1 }] }),
    );
  });
});
