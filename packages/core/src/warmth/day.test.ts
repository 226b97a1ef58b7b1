import { describe, expect, it } from 'vitest';
import { familyDesign } from '../families/build.ts';
import type { Conditions } from './conditions.ts';
import { type DayPlan, dayInBox } from './day.ts';

const still: Conditions = {
  outside_C: 0,
  outside_RH: 0.8,
  heat_Wkg: 20,
  held_C: 34.5,
  stores_kgDayPerKg: 0.1,
  brood: true,
};
const june: DayPlan = { date: '2026-06-21', latitude_deg: 48, longitude_deg: 15, mean_C: 20, swing_K: 6 };
const design = familyDesign('threeWay');

describe('a day in a box', () => {
  it('follows the air in the shade: warmest in the afternoon, its mean the mean of the day', () => {
    const hours = dayInBox(design, still, june);
    expect(hours).toHaveLength(24);
    expect(hours.reduce((sum, { outside_C }) => sum + outside_C, 0) / 24).toBeCloseTo(20, 9);
    const inside = hours.map(({ inside_C }) => inside_C[0] ?? 0);
    expect(inside.indexOf(Math.max(...inside))).toBe(15);
    for (const { inside_C, outside_C } of hours)
      for (const each of inside_C) expect(each).toBeGreaterThan(outside_C);
  });

  it('is warmer in the sun by day and the same at night; the east side first where the front looks south', () => {
    const shade = dayInBox(design, still, june);
    const sun = dayInBox(design, still, { ...june, sun: { front_deg: 180, paint: 'dark' } });
    const gain = (hour: number, compartment: number) =>
      (sun[hour]?.inside_C[compartment] ?? 0) - (shade[hour]?.inside_C[compartment] ?? 0);
    expect(gain(1, 0)).toBeCloseTo(0, 9);
    expect(gain(12, 1)).toBeGreaterThan(2);
    // Seen from above with the front nearest and looking south, the right side looks east.
    expect(gain(8, 2)).toBeGreaterThan(gain(8, 0));
    expect(gain(16, 0)).toBeGreaterThan(gain(16, 2));
  });
});
