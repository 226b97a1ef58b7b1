import type { WarmthQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withPart } from '../box/parts.ts';
import { mm } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { winter } from '../winter/cluster.ts';
import { boxPhysics } from './boxPhysics.ts';
import type { Conditions } from './conditions.ts';
import { irradiance, sunAt } from './sun.ts';
import { solveWarmth, uValue, warmth, warmthProblems } from './warmth.ts';

const PINE = 0.12;
const slab = (
  between: [string, string],
  area_m2: number,
  thickness_mm: number,
  kind: WarmthQuestion['faces'][number]['kind'] = 'wall',
) => ({
  between,
  area_m2,
  kind,
  layers: [{ thickness_mm, lambda_WmK: PINE }],
});

describe('a network of spaces', () => {
  it('of one slab is the formula', () => {
    const { spaces, faces } = warmth({
      outside_C: -5,
      spaces: [{ name: 'a', heat_W: 6 }],
      faces: [slab(['a', 'outside'], 0.2, 19)],
    });
    const u = 1 / (0.13 + 0.019 / PINE + 0.04);
    expect(faces[0]?.u_Wm2K).toBeCloseTo(u, 12);
    expect(spaces[0]?.inside_C).toBeCloseTo(-5 + 6 / (u * 0.2), 10);
    expect(faces[0]?.innerSurface_C).toBeCloseTo((spaces[0]?.inside_C ?? 0) - (6 / 0.2) * 0.13, 10);
  });

  it('of two nodes splits heat by the conductances, and a held space says what it needs', () => {
    const question: WarmthQuestion = {
      outside_C: 0,
      spaces: [{ name: 'a', hold_C: 20 }, { name: 'b' }],
      faces: [slab(['a', 'b'], 0.1, 10, 'inner'), slab(['b', 'outside'], 0.1, 19)],
    };
    const [inner, outer] = question.faces.map((face) => uValue(face, defaultConstants) * 0.1) as [
      number,
      number,
    ];
    const { spaces } = warmth(question);
    expect(spaces[1]?.inside_C).toBeCloseTo((20 * inner) / (inner + outer), 10);
    expect(spaces[0]?.heat_W).toBeCloseTo((20 * inner * outer) / (inner + outer), 10);
  });

  it('closes its balance, never needs more with more insulation, and is symmetric', () => {
    const network = fc.record({
      count: fc.integer({ min: 1, max: 6 }),
      heats: fc.array(fc.double({ min: 0, max: 30, noNaN: true }), { minLength: 6, maxLength: 6 }),
      areas: fc.array(fc.double({ min: 0.01, max: 0.5, noNaN: true }), { minLength: 20, maxLength: 20 }),
      thick: fc.double({ min: 1, max: 100, noNaN: true }),
      flow: fc.double({ min: 0, max: 1e-3, noNaN: true }),
    });
    fc.assert(
      fc.property(network, ({ count, heats, areas, thick, flow }) => {
        const names = Array.from({ length: count }, (_, index) => `s${index}`);
        const build = (thickness: number): WarmthQuestion => ({
          outside_C: -3,
          spaces: names.map((name, index) => ({ name, heat_W: heats[index] ?? 0 })),
          faces: [
            ...names.map((name, index) => slab([name, 'outside'], areas[index] ?? 0.1, thickness)),
            ...names
              .slice(1)
              .map((name, index) =>
                slab([names[index] ?? '', name], areas[index + 6] ?? 0.1, thickness, 'inner'),
              ),
          ],
          flows: [{ between: ['s0', 'outside'], flow_m3s: flow }],
        });
        const answer = warmth(build(thick));
        const at = (name: string) =>
          name === 'outside' ? -3 : (answer.spaces.find((space) => space.name === name)?.inside_C ?? 0);
        for (const { name, heat_W } of answer.spaces) {
          const lost = build(thick).faces.reduce(
            (sum, { between }, index) => {
              if (!between.includes(name)) return sum;
              const other = between[0] === name ? between[1] : between[0];
              return sum + (answer.faces[index]?.g_WK ?? 0) * (at(name) - at(other));
            },
            name === 's0' ? 1_200 * flow * (at(name) + 3) : 0,
          );
          expect(lost).toBeCloseTo(heat_W, 9);
        }
        const warmer = warmth(build(thick * 1.5));
        const mean = (each: typeof answer) => each.spaces.reduce((sum, { inside_C }) => sum + inside_C, 0);
        expect(mean(warmer)).toBeGreaterThanOrEqual(mean(answer) - 1e-9);
      }),
    );
  });

  it('names what cannot be: untied, doubled, unknown, over-determined', () => {
    const problems = (question: Partial<WarmthQuestion>) =>
      warmthProblems({ outside_C: 0, spaces: [{ name: 'a' }], faces: [], ...question }).map(
        ({ sentence }) => sentence,
      );
    expect(problems({})).toEqual(['Nothing ties a to a fixed temperature.']);
    expect(problems({ spaces: [{ name: 'a', heat_W: 1, hold_C: 2 }, { name: 'a' }] })).toHaveLength(2);
    expect(problems({ faces: [slab(['a', 'b'], 1, 1), slab(['a', 'a'], 1, 1)] })).toHaveLength(2);
    expect(problems({ flows: [{ between: ['a', 'outside'], flow_m3s: 0 }] })).toHaveLength(1);
  });

  it('settles where an independent march through time settles', () => {
    for (const [heat, thick] of [
      [6, 19],
      [15, 40],
      [2, 6],
    ] as const) {
      const question: WarmthQuestion = {
        outside_C: -8,
        spaces: [{ name: 'a', heat_W: heat }, { name: 'void' }, { name: 'b', heat_W: heat / 2 }],
        faces: [
          slab(['a', 'outside'], 0.25, thick),
          slab(['a', 'void'], 0.11, 9.5, 'inner'),
          slab(['void', 'outside'], 0.2, thick),
          slab(['void', 'b'], 0.11, 4, 'inner'),
          slab(['b', 'outside'], 0.3, thick),
        ],
        flows: [{ between: ['b', 'outside'], flow_m3s: 5e-5 }],
      };
      const g = question.faces.map((face) => ({
        between: face.between,
        g:
          face.area_m2 /
          (0.26 -
            (face.between[1] === 'outside' ? 0.09 : 0) +
            (face.layers[0]?.thickness_mm ?? 0) / 1_000 / PINE),
      }));
      const t: Record<string, number> = { a: 0, void: 0, b: 0, outside: -8 };
      const ties = [...g, { between: ['b', 'outside'], g: 0.06 }];
      for (let step = 0; step < 200_000; step++) {
        const rate: Record<string, number> = { a: heat, void: 0, b: heat / 2 };
        for (const { between, g: each } of ties) {
          const [one = '', other = ''] = between;
          const q = each * ((t[one] ?? 0) - (t[other] ?? 0));
          rate[one] = (rate[one] ?? 0) - q;
          rate[other] = (rate[other] ?? 0) + q;
        }
        for (const name of ['a', 'void', 'b']) t[name] = (t[name] ?? 0) + ((rate[name] ?? 0) * 5) / 2_000;
      }
      for (const { name, inside_C } of solveWarmth(question, defaultConstants).spaces)
        expect(inside_C).toBeCloseTo(t[name] ?? Number.NaN, 6);
    }
  });
});

const january: Conditions = {
  outside_C: -5,
  outside_RH: 0.85,
  heat_Wkg: 12,
  brood: false,
  constants: defaultConstants,
};

describe('a box from its design', () => {
  it('of 373 × 465 × 244 in 19 mm softwood all round has the handbook’s UA of about 2.3 W/K', () => {
    const plain = familyDesign('bank');
    const [whole] = boxPhysics({ ...plain, floor: { ...plain.floor, lip: mm(0.001) } }, january).compartments;
    expect(whole?.ua_WK).toBeGreaterThan(2.2);
    expect(whole?.ua_WK).toBeLessThan(2.4);
  });

  it('is the same on both sides where it is the same on both sides', () => {
    const [left, , right] = boxPhysics(familyDesign('threeWay'), january).compartments;
    expect(right?.ua_WK).toBeCloseTo(left?.ua_WK ?? 0, 9);
    expect(right?.inside_C).toBeCloseTo(left?.inside_C ?? 0, 9);
    expect(right?.shut.steady_C).toBeCloseTo(left?.shut.steady_C ?? Number.NaN, 9);
    expect(right?.shut.minutesTo).toEqual(left?.shut.minutesTo);
  });

  it('saves by a shared divider, by insulation behind a follower, and by thicker walls', () => {
    for (const { ua_WK, sharedUa_WK } of boxPhysics(familyDesign('twoWayBody'), january).compartments)
      expect(sharedUa_WK).toBeLessThan(ua_WK);
    const design = familyDesign('followerReduced');
    const ua = (changed: typeof design, insulation_mm = 0) =>
      boxPhysics(changed, { ...january, insulation_mm }).compartments[0]?.ua_WK ?? 0;
    expect(ua(design, 30)).toBeLessThan(ua(design));
    expect(ua(withPart(design, mainBody(design).id, { wall: mm(40) }))).toBeLessThan(ua(design));
    expect(ua(withPart(design, mainBody(design).id, { material: 'foam' }))).toBeLessThan(ua(design));
  });

  it('drips where its cover is the coldest, and runs down where its walls are', () => {
    const design = familyDesign('nucleus');
    const warm = withPart(design, mainBody(design).id, { lining: { material: 'foam', thickness: mm(18.9) } });
    const verdict = (changed: typeof design) => boxPhysics(changed, january).compartments[0]?.water.verdict;
    expect(verdict(warm)).toBe('drips');
    expect(verdict({ ...warm, roof: { ...warm.roof, kind: 'insulated', thickness: mm(60) } })).toBe(
      'runsDown',
    );
  });

  it('is warmed by the sun on the side that it shines on, most through a pane', () => {
    const noon = sunAt('2026-06-21T11:00:00Z', 48, 15);
    expect(noon.altitude_deg).toBeCloseTo(65.4, 0);
    expect(irradiance(noon, 90, 180)).toBeGreaterThan(irradiance(noon, 90, 0));
    expect(irradiance(sunAt('2026-06-21T23:00:00Z', 48, 15), 0, 0)).toBe(0);
    const design = familyDesign('observation');
    const sun = { place: sunAt('2026-06-21T07:00:00Z', 48, 15), front_deg: 180, paint: 'wood' } as const;
    const shown = (lit: boolean) =>
      boxPhysics(design, { ...january, outside_C: 20, ...(lit ? { sun } : {}) }).compartments[1]?.inside_C ??
      0;
    expect(shown(true)).toBeGreaterThan(shown(false) + 10);
  });
});

describe('a winter cluster', () => {
  it('has the handbook’s worked figures', () => {
    const cold = { bees_kg: 2, ua_WK: 2.5, outside_C: -5, days: 30, brood: false };
    const answer = winter(cold);
    expect(answer.radius_m).toBeCloseTo(0.129, 3);
    expect(answer.watts).toBeCloseTo(11.06, 2);
    expect(answer.stores_kg).toBeCloseTo(2.26, 2);
    expect(winter({ ...cold, ua_WK: 0.9 }).watts).toBeCloseTo(7.26, 2);
    expect(winter({ ...cold, ua_WK: 0.9 }).stores_kg).toBeCloseTo(1.48, 2);
    expect(winter({ ...cold, bees_kg: 0.5 })).toMatchObject({
      watts: expect.closeTo(5.34, 2),
      effort_Wkg: expect.closeTo(10.7, 1),
    });
  });
});
