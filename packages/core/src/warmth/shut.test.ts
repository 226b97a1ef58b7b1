import type { ShutQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { shut, shutProblems } from './shut.ts';
import { OUTSIDE, tiesOf } from './warmth.ts';

const layer = { thickness_mm: 19, lambda_WmK: 0.12 };
const wall = (name: string, area_m2 = 0.1) =>
  ({ between: [name, OUTSIDE], area_m2, kind: 'wall', layers: [layer] }) as ShutQuestion['faces'][number];
const inner = (a: string, b: string, area_m2 = 0.09) =>
  ({ between: [a, b], area_m2, kind: 'inner', layers: [] }) as ShutQuestion['faces'][number];
const ask = (more: Partial<ShutQuestion>): ShutQuestion => ({
  outside_C: 22,
  hours: 6,
  limits_C: [36, 38],
  spaces: [{ name: 'left', heat_W: 14.1, capacity_JK: 5200 }],
  faces: [],
  ...more,
});

/** Another way: small steps of Runge and Kutta, fourth order. */
function stepped(
  question: ShutQuestion,
  step_s: number,
): { end: number[]; hottest: number[]; first: (number | null)[][] } {
  const { outside_C, start_C = outside_C, hours, spaces, limits_C } = question;
  const index = new Map(spaces.map(({ name }, at) => [name, at]));
  const ties = tiesOf(question, defaultConstants).map(({ between, g_WK }) => ({
    a: index.get(between[0]),
    b: index.get(between[1]),
    g_WK,
  }));
  const change = (t: readonly number[]): number[] => {
    const watts = spaces.map(({ heat_W = 0 }) => heat_W);
    for (const { a, b, g_WK } of ties) {
      const through =
        g_WK * ((a === undefined ? outside_C : (t[a] ?? 0)) - (b === undefined ? outside_C : (t[b] ?? 0)));
      if (a !== undefined) watts[a] = (watts[a] ?? 0) - through;
      if (b !== undefined) watts[b] = (watts[b] ?? 0) + through;
    }
    return watts.map((each, at) => each / (spaces[at]?.capacity_JK ?? 1));
  };
  const plus = (t: readonly number[], d: readonly number[], by: number): number[] =>
    t.map((each, at) => each + by * (d[at] ?? 0));
  let t = spaces.map((space) => space.start_C ?? start_C);
  const hottest = [...t];
  const first: (number | null)[][] = t.map((at) => limits_C.map((limit) => (at >= limit ? 0 : null)));
  for (let step = 1; step * step_s <= hours * 3_600 + 1e-9; step++) {
    const k1 = change(t);
    const k2 = change(plus(t, k1, step_s / 2));
    const k3 = change(plus(t, k2, step_s / 2));
    const k4 = change(plus(t, k3, step_s));
    t = t.map(
      (each, at) =>
        each + (step_s / 6) * ((k1[at] ?? 0) + 2 * (k2[at] ?? 0) + 2 * (k3[at] ?? 0) + (k4[at] ?? 0)),
    );
    t.forEach((each, at) => {
      hottest[at] = Math.max(hottest[at] ?? each, each);
      limits_C.forEach((limit, which) => {
        const passed = first[at];
        if (passed && passed[which] === null && each >= limit) passed[which] = (step * step_s) / 60;
      });
    });
  }
  return { end: t, hottest, first };
}

describe('a shut box in time', () => {
  it('follows the curve of one space with one wall', () => {
    const g = tiesOf({ faces: [wall('left')] }, defaultConstants)[0]?.g_WK ?? 0;
    const [left] = shut(ask({ faces: [wall('left')] })).spaces;
    const steady = 14.1 / g;
    const at = (seconds: number) => 22 + steady * (1 - Math.exp((-g * seconds) / 5200));
    expect(left?.end_C).toBeCloseTo(at(6 * 3_600), 9);
    expect(left?.hottest_C).toBeCloseTo(at(6 * 3_600), 9);
    for (const { limit_C, minutes } of left?.minutes ?? []) {
      expect(minutes).toBeCloseTo((-Math.log(1 - (limit_C - 22) / steady) * 5200) / g / 60, 6);
    }
  });

  it('grows warmer evenly where it is tied to nothing, and not at all without heat', () => {
    const spaces = [
      { name: 'left', heat_W: 10, capacity_JK: 6_000 },
      { name: 'right', capacity_JK: 500, start_C: 30 },
    ];
    const [left, right] = shut(ask({ spaces, start_C: 20, hours: 1, limits_C: [23, 40] })).spaces;
    expect(left).toEqual({
      name: 'left',
      end_C: expect.closeTo(26, 9),
      hottest_C: expect.closeTo(26, 9),
      minutes: [
        { limit_C: 23, minutes: expect.closeTo(30, 6) },
        { limit_C: 40, minutes: null },
      ],
    });
    expect(right).toMatchObject({ end_C: 30, hottest_C: 30, minutes: [{ minutes: 0 }, { minutes: null }] });
  });

  it('keeps the heat of two spaces that only have each other', () => {
    const spaces = [
      { name: 'a', capacity_JK: 1_000, start_C: 40 },
      { name: 'b', capacity_JK: 3_000, start_C: 20 },
    ];
    for (const { end_C } of shut(ask({ spaces, faces: [inner('a', 'b')], hours: 48 })).spaces)
      expect(end_C).toBeCloseTo(25, 6);
  });

  it('sees a space rise over its end and fall again, and a limit that it passes only then', () => {
    const spaces = [
      { name: 'cold', capacity_JK: 800, start_C: 10 },
      { name: 'hot', capacity_JK: 5_000, start_C: 45 },
    ];
    const question = ask({
      spaces,
      faces: [inner('cold', 'hot', 0.3), wall('cold'), wall('hot', 0.3)],
      hours: 12,
      limits_C: [29, 34],
    });
    const [cold] = shut(question).spaces;
    expect(cold?.hottest_C).toBeGreaterThan((cold?.end_C ?? 0) + 5);
    expect(cold?.hottest_C).toBeCloseTo(32.98, 2);
    expect(cold?.minutes[0]?.minutes).toBeCloseTo(10.82, 2);
    expect(cold?.minutes[1]?.minutes).toBeNull();
  });

  it('is what small steps come to, for any network', () => {
    const count = fc.integer({ min: 1, max: 5 });
    const network = count.chain((n) =>
      fc.record({
        heats: fc.array(fc.double({ min: 0, max: 30, noNaN: true }), { minLength: n, maxLength: n }),
        capacities: fc.array(fc.integer({ min: 400, max: 9_000 }), { minLength: n, maxLength: n }),
        starts: fc.array(fc.integer({ min: 5, max: 40 }), { minLength: n, maxLength: n }),
        faces: fc.array(
          fc.record({
            a: fc.nat(n),
            b: fc.nat(n),
            area_m2: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
            layers: fc.nat(2),
          }),
          { maxLength: 8 },
        ),
        flow: fc.double({ min: 0, max: 5e-4, noNaN: true }),
      }),
    );
    fc.assert(
      fc.property(network, ({ heats, capacities, starts, faces, flow }) => {
        const nameOf = (at: number): string => (at === heats.length ? OUTSIDE : `s${at}`);
        const question = ask({
          hours: 3,
          limits_C: [30, 36],
          spaces: heats.map((heat_W, at) => ({
            name: `s${at}`,
            heat_W,
            capacity_JK: capacities[at] ?? 1,
            start_C: starts[at] ?? 20,
          })),
          faces: faces
            .filter(({ a, b }) => a !== b)
            .map(({ a, b, area_m2, layers }) => ({
              between: [nameOf(a), nameOf(b)],
              area_m2,
              kind: 'inner',
              layers: new Array(layers).fill(layer),
            })),
          flows: [{ between: ['s0', OUTSIDE], flow_m3s: flow }],
        });
        const { end, hottest, first } = stepped(question, 10);
        shut(question).spaces.forEach((space, at) => {
          expect(space.end_C).toBeCloseTo(end[at] ?? Number.NaN, 5);
          expect(space.hottest_C).toBeCloseTo(hottest[at] ?? Number.NaN, 2);
          space.minutes.forEach(({ minutes }, which) => {
            const other = first[at]?.[which] ?? null;
            const near = Math.abs(space.hottest_C - (question.limits_C[which] ?? 0)) < 0.01;
            if (!near)
              expect(minutes === null ? null : Math.abs(minutes - (other ?? 1e9)) < 0.2).toBe(
                other === null ? null : true,
              );
          });
        });
      }),
      { numRuns: 60 },
    );
  });

  it('says which names and ends are none', () => {
    const spaces = [{ name: 'a' }, { name: 'a' }, { name: OUTSIDE }] as ShutQuestion['spaces'];
    expect(
      shutProblems({ spaces, faces: [wall('b'), inner('a', 'a')], flows: [] }).map(({ path }) => path),
    ).toEqual(['spaces.1.name', 'spaces.2.name', 'faces.0.between.0', 'faces.1.between']);
  });
});
