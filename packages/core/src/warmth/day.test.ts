import { describe, expect, it } from 'vitest';
import { withPart } from '../box/parts.ts';
import { mm } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { usualConditions } from './conditions.ts';
import { type DayPlan, dayInBox, warmestHours } from './day.ts';

const still = usualConditions({ outside_C: 20, bees: 'resting', brood: true }, defaultConstants);
const june: DayPlan = { date: '2026-06-21', latitude_deg: 48, longitude_deg: 15, mean_C: 20, swing_K: 6 };
const design = familyDesign('threeWay');

describe('a day in a box', () => {
  const shade = dayInBox(design, still, june);

  it('follows the air in the shade with its own time: later, and warmer than it at every hour', () => {
    expect(shade.map(({ hour }) => hour)).toEqual(Array.from({ length: 24 }, (_, hour) => hour));
    expect(shade.reduce((sum, { outside_C }) => sum + outside_C, 0) / 24).toBeCloseTo(20, 9);
    for (const { inside_C, outside_C } of shade)
      for (const each of inside_C) expect(each).toBeGreaterThan(outside_C);
    // Some seven kilojoules a kelvin of bees, combs and wood behind 1.1 W/K: some two hours.
    for (const [room, { hour, inside_C }] of warmestHours(shade).entries()) {
      expect(hour).toBeGreaterThan(15);
      expect(hour).toBeLessThanOrEqual(19);
      // It swings less than the air outside, by twelve kelvin.
      const swing = inside_C - Math.min(...shade.map((each) => each.inside_C[room] ?? 0));
      expect(swing).toBeLessThan(12);
      expect(swing).toBeGreaterThan(6);
    }
    // Foam walls store less and lose less: it is later still.
    const { id } = mainBody(design);
    const foam = withPart(design, id, { wall: mm(40), material: 'foam' });
    expect(warmestHours(dayInBox(foam, still, june))[0]?.inside_C).toBeGreaterThan(
      warmestHours(shade)[0]?.inside_C ?? 0,
    );
  });

  it('is warmer in the sun; the east side first where the front looks south', () => {
    const sun = dayInBox(design, still, { ...june, mean_C: 12, sun: { front_deg: 180, paint: 'dark' } });
    const dark = dayInBox(design, still, { ...june, mean_C: 12 });
    const gain = (hour: number, compartment: number) =>
      (sun[hour]?.inside_C[compartment] ?? 0) - (dark[hour]?.inside_C[compartment] ?? 0);
    expect(gain(13, 1)).toBeGreaterThan(2);
    expect(gain(3, 1)).toBeLessThan(gain(13, 1) / 4);
    // Seen from above with the front nearest and looking south, the right side looks east.
    expect(gain(8, 2)).toBeGreaterThan(gain(8, 0));
    expect(gain(17, 0)).toBeGreaterThan(gain(17, 2));
  });

  it('has its roof under a clear sky by night alone', () => {
    const cold = {
      ...usualConditions({ outside_C: 0, bees: 'calm', brood: false }, defaultConstants),
      clearNight: true,
    };
    const day = { ...june, date: '2026-01-15', mean_C: 0 };
    const [clear, veiled] = [true, false].map((clearNight) => dayInBox(design, { ...cold, clearNight }, day));
    const colder = (hour: number) => (veiled?.[hour]?.inside_C[1] ?? 0) - (clear?.[hour]?.inside_C[1] ?? 0);
    expect(colder(6)).toBeGreaterThan(0.2);
    expect(colder(15)).toBeLessThan(colder(6) / 2);
    const sun = { front_deg: 180, paint: 'wood' } as const;
    // With the sun as well: what is lit by day is dark by night.
    const lit = dayInBox(design, cold, { ...day, sun });
    expect(lit[6]?.inside_C[1]).toBeLessThan(
      dayInBox(design, { ...cold, clearNight: false }, { ...day, sun })[6]?.inside_C[1] ?? 0,
    );
  });

  it('is kept by its bees under what harms them, where the air is no hotter than they can deal with', () => {
    const hot = dayInBox(design, still, { ...june, mean_C: 28 });
    for (const { inside_C } of warmestHours(hot)) expect(inside_C).toBeLessThan(defaultConstants.danger_C);
  });
});
