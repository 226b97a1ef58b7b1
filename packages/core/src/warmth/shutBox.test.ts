import { describe, expect, it } from 'vitest';
import { flowAt } from '../air/flow.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { boxPhysics } from './boxPhysics.ts';
import { usualConditions } from './conditions.ts';
import type { HeatFace } from './network.ts';
import { type ShutBox, shutCourses } from './shutBox.ts';
import { OUTSIDE, uValue } from './warmth.ts';

const LIMITS = [36, 38];
const wood = (thickness_mm: number) => ({ thickness_mm, lambda_WmK: 0.12 });
const face = (a: string, b: string, area_m2: number, thickness_mm: number): HeatFace => ({
  between: [a, b],
  area_m2,
  kind: b === OUTSIDE ? 'wall' : 'inner',
  layers: [wood(thickness_mm)],
  part: 'wall',
});
/** Four rooms side by side under one roof space. */
function fourRooms(factor: number, outside_C = 22, start_C = 34.5): ShutBox {
  const rooms = ['a', 'b', 'c', 'd'];
  return {
    outside_C,
    fixed: new Map(),
    spaces: [
      ...rooms.map((id, at) => ({
        id,
        heat_W: at === 0 || at === 3 ? 19 : 13,
        capacity_JK: 8_000,
        factor,
        start_C,
      })),
      { id: 'roof', heat_W: 0, capacity_JK: 60, factor: 0, start_C: outside_C },
    ],
    faces: [
      face('a', OUTSIDE, 0.16, 19),
      face('d', OUTSIDE, 0.16, 19),
      face('b', OUTSIDE, 0.05, 19),
      face('c', OUTSIDE, 0.05, 19),
      face('a', 'b', 0.11, 3),
      face('b', 'c', 0.11, 3),
      face('c', 'd', 0.11, 3),
      ...rooms.map((id) => face(id, 'roof', 0.04, 3)),
      face('roof', OUTSIDE, 0.2, 19),
    ],
    flows: [],
  };
}

/** Another way: the same rooms and the wood between them by plain small steps forward. */
function forward({ outside_C, spaces, faces }: ShutBox, hours: number, step_s = 1) {
  const { airHeat_Jm3K, woodHeat_Jm3K } = defaultConstants;
  const at = new Map(spaces.map(({ id }, index) => [id, index]));
  const inside = spaces.map(({ start_C }) => start_C);
  const temperature = (id: string): number => inside[at.get(id) ?? -1] ?? outside_C;
  const woods = faces.map((each) => {
    const [first] = each.layers;
    return {
      ...each,
      g: 2 * uValue(each, defaultConstants) * each.area_m2,
      stored: ((first?.thickness_mm ?? 0) / 1_000) * each.area_m2 * woodHeat_Jm3K,
      now: (temperature(each.between[0]) + temperature(each.between[1])) / 2,
    };
  });
  const first = spaces.map(() => LIMITS.map((): number | null => null));
  for (let seconds = 0; seconds < hours * 3_600; seconds += step_s) {
    const watts = spaces.map(({ heat_W, factor }, index) => {
      const rise = (inside[index] ?? 0) - outside_C;
      return heat_W - airHeat_Jm3K * flowAt(factor, outside_C, Math.abs(rise)) * rise;
    });
    for (const each of woods) {
      let into = 0;
      for (const end of each.between) {
        const through = each.g * (temperature(end) - each.now);
        const index = at.get(end);
        if (index !== undefined) watts[index] = (watts[index] ?? 0) - through;
        into += through;
      }
      each.now += (into * step_s) / each.stored;
    }
    spaces.forEach(({ capacity_JK }, index) => {
      inside[index] = (inside[index] ?? 0) + ((watts[index] ?? 0) * step_s) / capacity_JK;
      LIMITS.forEach((limit, which) => {
        const passed = first[index];
        if (passed && passed[which] === null && (inside[index] ?? 0) >= limit)
          passed[which] = (seconds + step_s) / 60;
      });
    });
  }
  return { inside, first };
}

describe('a box shut as a whole', () => {
  it.each([
    ['sealed', 0],
    ['vented', 0.004],
    ['open', 0.02],
  ])('%s, is what small steps forward come to', (_, factor) => {
    const box = fourRooms(factor);
    const courses = shutCourses(box, LIMITS, defaultConstants);
    const { inside, first } = forward(box, 48);
    box.spaces.forEach(({ id }, index) => {
      const course = courses.get(id);
      expect(Math.abs((course?.steady_C ?? 0) - (inside[index] ?? 0)), id).toBeLessThan(0.5);
      course?.minutesTo.forEach(({ minutes }, which) => {
        const other = first[index]?.[which] ?? null;
        if (minutes === null) expect(other === null || other > 12 * 60, id).toBe(true);
        else
          expect(
            Math.abs(minutes - (other ?? Number.POSITIVE_INFINITY)),
            `${id} ${LIMITS[which]}`,
          ).toBeLessThan(2);
      });
    });
  });

  it('never cools where outside is cooler than every start, and more vent is never hotter', () => {
    for (const outside_C of [-5, 10, 25]) {
      const steady = [0, 0.002, 0.01].map((factor) =>
        shutCourses(fourRooms(factor, outside_C), LIMITS, defaultConstants),
      );
      for (const id of ['a', 'b', 'c', 'd']) {
        const [sealed, vented, open] = steady.map((courses) => courses.get(id)?.steady_C ?? Number.NaN);
        expect(sealed).toBeGreaterThan(vented ?? Number.NaN);
        expect(vented).toBeGreaterThan(open ?? Number.NaN);
        expect(open).toBeGreaterThan(outside_C);
      }
    }
  });

  it('mirrors where it is the same on both sides', () => {
    const courses = shutCourses(fourRooms(0.003), LIMITS, defaultConstants);
    courses.get('a')?.minutesTo.forEach(({ minutes }, which) => {
      const mirrored = courses.get('d')?.minutesTo[which]?.minutes;
      expect(minutes === null ? null : Math.abs(minutes - (mirrored ?? Number.NaN)) < 1e-6).toBe(
        minutes === null ? null : true,
      );
    });
    expect(courses.get('b')?.steady_C).toBeCloseTo(courses.get('c')?.steady_C ?? Number.NaN, 9);
  });

  it('of four ways: the middle ones are in danger within the hour, before the outer ones', () => {
    const { compartments } = boxPhysics(
      familyDesign('fourWay'),
      usualConditions({ outside_C: 22, bees: 'alarmed', brood: true }, defaultConstants),
    );
    const danger = compartments.map(({ shut }) => shut.minutesTo[1]?.minutes ?? Number.POSITIVE_INFINITY);
    const [left = 0, midLeft = 0, midRight = 0, right = 0] = danger;
    expect(Math.max(...danger)).toBeLessThan(60);
    expect(midLeft).toBeLessThan(left);
    expect(midRight).toBeLessThan(right);
    expect(midLeft).toBeCloseTo(midRight, 6);
    expect(compartments[1]?.shut.steady_C).toBeGreaterThan((compartments[0]?.shut.steady_C ?? 0) + 5);
  });

  it('has its air told beside its heat', () => {
    const [whole] = boxPhysics(
      familyDesign('nucleus'),
      usualConditions({ outside_C: 22, bees: 'alarmed', brood: true }, defaultConstants),
    ).compartments;
    const [fans, harms] = whole?.shut.breath.minutesTo ?? [];
    expect(fans?.minutes).toBeGreaterThan(2);
    expect(harms?.minutes).toBeGreaterThan(fans?.minutes ?? Number.POSITIVE_INFINITY);
    expect(harms?.minutes).toBeLessThan(12);
  });
});
