import type {
  AirQuestion,
  CheckAnswer,
  MoistureQuestion,
  WarmthQuestion,
  WinterQuestion,
} from '@yellow-cell/contract';
import { families, familyDesign } from '@yellow-cell/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from './compute.ts';
import { type SubjectName, subjects } from './subjects.ts';

/** Fixes that are tried of one design (`checkDesign`). */
const MOST_TRIED = 40;

const air: AirQuestion = {
  outside_C: 22,
  ua_WK: 1.1,
  bees_kg: 0.5,
  heat_Wkg: 12,
  openings: [
    { area_cm2: 4.91, height_m: 0.02 },
    { area_cm2: 4.91, height_m: 0.22 },
  ],
  comb_kg: 3,
  limits_C: [36, 38],
};
const warmth: WarmthQuestion = {
  outside_C: -5,
  spaces: [
    { name: 'a', heat_W: 6 },
    { name: 'b', hold_C: 15 },
  ],
  faces: [
    {
      between: ['a', 'outside'],
      area_m2: 0.11,
      kind: 'wall',
      layers: [{ thickness_mm: 19, lambda_WmK: 0.12 }],
    },
    { between: ['a', 'b'], area_m2: 0.1, kind: 'inner', layers: [{ thickness_mm: 9.5, lambda_WmK: 0.13 }] },
  ],
};
const winter: WinterQuestion = { bees_kg: 2, ua_WK: 2.5, outside_C: -5, days: 30, brood: false };
const moisture: MoistureQuestion = {
  outside_C: -1,
  outside_RH: 0.85,
  inside_C: 6,
  flow_m3s: 7.66e-5,
  stores_kgDay: 0.075,
  surfaces: [{ name: 'cover', surface_C: 4.2 }],
};
const sound: readonly (readonly [SubjectName, object])[] = [
  ['air', air],
  ['warmth', warmth],
  ['winter', winter],
  ['moisture', moisture],
  ['moisture', { ...moisture, outside_C: -14, surfaces: [{ name: 'cover', surface_C: -6 }], ice: true }],
];

describe('the physics from outside', () => {
  it.each(sound)('%s answers in its own schema', (subject, asked) => {
    const result = compute(subject, asked);
    expect(result).toMatchObject({ ok: true });
    if (result.ok) expect(subjects[subject].answer.safeParse(result.answer).success).toBe(true);
  });

  it.each(sound)(
    '%s takes other figures of the registry, and refuses those that are none',
    (subject, asked) => {
      const changes = {
        air: { discharge: 0.5 },
        warmth: { rse: 0.1 },
        winter: { surface_C: 12 },
        moisture: { waterOfStores: 0.5 },
      }[subject as 'air'];
      expect(compute(subject, { ...asked, constants: changes })).not.toEqual(compute(subject, asked));
      const refused = compute(subject, { ...asked, constants: { discharge: 7, wings: 1 } });
      expect(refused).toMatchObject({
        problems: [{ path: 'constants.discharge' }, { path: 'constants.wings' }],
      });
    },
  );

  it.each<readonly [SubjectName, object, string, string]>([
    ['air', { ...air, openings: [{ area_cm2: 0, height_m: 0 }] }, 'openings.0.area_cm2', 'above 0 cm²'],
    ['air', { ...air, openings: [{ area_cm2: 5, height_m: -0.1 }] }, 'openings.0.height_m', 'below 0 m'],
    ['air', { ...air, ua_WK: 0, openings: [] }, 'ua_WK', 'without end'],
    ['air', { ...air, bees_kg: -1 }, 'bees_kg', 'below 0 kg'],
    ['air', { ...air, wind_ms: 3 }, 'wind_ms', 'no field'],
    [
      'warmth',
      {
        ...warmth,
        faces: [{ ...warmth.faces[0], layers: [{ thickness_mm: 0, lambda_WmK: 1 }] }, warmth.faces[1]],
      },
      'faces.0.layers.0.thickness_mm',
      'above 0 mm',
    ],
    [
      'warmth',
      { ...warmth, faces: [{ ...warmth.faces[0], layers: [{ thickness_mm: 1, lambda_WmK: 1e-300 }] }] },
      'faces.0.layers.0.lambda_WmK',
      '0.001',
    ],
    ['warmth', { ...warmth, faces: [] }, 'spaces.0', 'Nothing ties a'],
    [
      'warmth',
      { ...warmth, spaces: [...warmth.spaces, { name: 'c', heat_W: 1, hold_C: 2 }] },
      'spaces.2.hold_C',
      'give one of them',
    ],
    ['winter', { ...winter, bees_kg: 0 }, 'bees_kg', 'above 0 kg'],
    ['winter', { ...winter, days: -1 }, 'days', 'below 0 days'],
    ['winter', { ...winter, brood: 'no' }, 'brood', 'boolean'],
    ['moisture', { ...moisture, outside_RH: 85 }, 'outside_RH', 'share from 0 to 1'],
    ['moisture', { ...moisture, surfaces: [] }, 'surfaces', 'At least one surface'],
  ])('%s refuses what cannot be (%#)', (subject, asked, path, words) => {
    const result = compute(subject, asked);
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(result.problems.find((problem) => problem.path === path)?.sentence).toContain(words);
  });

  it('never answers with what is no number, wherever in range it is asked', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const tiny = fc.oneof(fc.constant(1e-300), number(1e-6, 10));
    const question = fc.record({
      outside_C: number(-90, 150),
      ua_WK: tiny,
      bees_kg: number(0, 100),
      heat_Wkg: number(0, 500),
      openings: fc.array(fc.record({ area_cm2: tiny, height_m: number(0, 10) }), { maxLength: 4 }),
      comb_kg: number(0, 1_000),
      limits_C: fc.array(number(-90, 150), { maxLength: 4 }),
      start_C: number(-90, 150),
    });
    const whole = (answer: unknown) => expect(JSON.stringify(answer)).not.toMatch(/NaN|Infinity/);
    fc.assert(
      fc.property(question, (asked) => {
        const result = compute('air', asked);
        if (!result.ok) return;
        whole(result.answer);
        expect(subjects.air.answer.safeParse(result.answer).success).toBe(true);
      }),
    );
    fc.assert(
      fc.property(number(1e-9, 100), tiny, number(-90, 60), (bees_kg, ua_WK, outside_C) => {
        const result = compute('winter', { ...winter, bees_kg, ua_WK, outside_C });
        expect(result.ok && subjects.winter.answer.safeParse(result.answer).success).toBe(true);
      }),
    );
    fc.assert(
      fc.property(
        number(-90, 150),
        number(0, 1),
        number(-90, 150),
        fc.oneof(fc.constant(0), number(0, 10)),
        number(0, 100),
        number(-90, 150),
        (outside_C, outside_RH, inside_C, flow_m3s, stores_kgDay, surface_C) => {
          const result = compute('moisture', {
            outside_C,
            outside_RH,
            inside_C,
            flow_m3s,
            stores_kgDay,
            surfaces: [{ name: 'wall', surface_C }],
          });
          expect(result.ok && subjects.moisture.answer.safeParse(result.answer).success).toBe(true);
        },
      ),
    );
  });
});

describe('a whole design from outside', () => {
  it('is checked in its own schema, for every family', () => {
    for (const { family } of families) {
      const result = compute('check', { design: familyDesign(family) });
      expect(result.ok && subjects.check.answer.safeParse(result.answer).success).toBe(true);
    }
  });

  it('is refused with the path of what cannot be', () => {
    const design = familyDesign('threeWay');
    const [body, ...rest] = design.layers;
    const paths = (changed: object) => {
      const result = compute('check', { design: changed });
      return result.ok ? [] : result.problems.map(({ path }) => path);
    };
    expect(paths({ ...design, layers: [{ ...body, bays: [] }, ...rest] })).toContain('design.layers.0.bays');
    expect(paths({ ...design, layers: rest })).toContain('design.layers.0');
    expect(paths({ ...design, roof: undefined })).toContain('design.roof');
    expect(paths({ ...design, schemaVersion: 1 })).toContain('design.schemaVersion');
  });

  it('stays answerable when nearly nothing in it holds', () => {
    const design = familyDesign('threeWay');
    const [body] = design.layers;
    if (body?.kind !== 'body') throw new Error('a body');
    const slots = (bay: number) =>
      Array.from({ length: 30 }, (_, index) => ({ id: `s-${bay}-${index}`, holds: 'comb' as const }));
    const wide = {
      ...body,
      insideWidth: { mm: 4_000 },
      entrances: [],
      grooves: Array.from({ length: 40 }, (_, index) => ({
        id: `g-${index}`,
        at: { mm: 90 * (index + 1) },
        depth: { mm: 5 },
        play: { mm: 14 },
      })),
      boards: Array.from({ length: 40 }, (_, index) => ({
        ...body.boards[0],
        id: `b-${index}`,
        groove: `g-${index}`,
        down: { mm: 0 },
      })),
      bays: Array.from({ length: 41 }, (_, index) => ({
        id: `y-${index}`,
        frames: slots(index),
        format: null,
        use: 'colony',
      })),
    };
    const result = compute('check', { design: { ...design, layers: [wide] } });
    if (!result.ok) throw new Error('It was refused.');
    // A fix is tried by checking the whole box again: of what does not hold the worst are tried, and there is an end to it.
    const { checks } = result.answer as CheckAnswer;
    expect(checks.filter(({ holds }) => !holds).length).toBeGreaterThan(MOST_TRIED);
    expect(checks.filter(({ fix }) => fix).length).toBeLessThanOrEqual(MOST_TRIED);
  });
});
