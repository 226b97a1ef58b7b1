import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { saturation, vapour } from '../air/moisture.ts';
import { withPart } from '../box/parts.ts';
import { mm } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { boxAtRest, boxPhysics } from './boxPhysics.ts';
import { type Conditions, humidityAt, usualConditions } from './conditions.ts';
import { innerSurface } from './warmth.ts';

const FAMILIES = ['nucleus', 'threeWay', 'fourWay', 'followerReduced', 'foldedSheet'] as const;
const weather = fc.record({
  outside_C: fc.integer({ min: -20, max: 42 }),
  brood: fc.boolean(),
  clearNight: fc.boolean(),
});
const of = ({
  outside_C,
  brood,
  clearNight,
}: {
  outside_C: number;
  brood: boolean;
  clearNight: boolean;
}) => ({
  ...usualConditions({ outside_C, bees: 'resting', brood }, defaultConstants),
  clearNight,
});

describe('what the bees of a box give', () => {
  it('is all accounted for: heat by faces and air, water by the air and on the walls, stores by the heat', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FAMILIES), weather, (family, air) => {
        const conditions: Conditions = of(air);
        const { compartments, spaces } = boxPhysics(familyDesign(family), conditions);
        const given = compartments.reduce((sum, { bees }) => sum + bees.warms_W, 0);
        const lost = compartments
          .flatMap(({ paths }) => paths)
          .filter(({ part }) => part !== 'divider')
          .reduce((sum, { watts }) => sum + watts, 0);
        // Under a follower there is a room without bees, whose faces are nobody's path.
        if (spaces.length === compartments.length + 1 && conditions.outside_C <= 34)
          expect(Math.abs(lost - given)).toBeLessThan(0.02 * Math.max(1, Math.abs(given)) + 0.05);
        for (const { bees, stores_kgMonth, water, air, inside_C } of compartments) {
          expect(stores_kgMonth).toBeCloseTo((bees.heat_W * 30 * 86_400) / 12.7e6, 9);
          const made_gDay = (stores_kgMonth / 30) * 0.66 * 1_000 + bees.water_kgs * 86_400 * 1_000;
          const outside = vapour(
            conditions.outside_RH * saturation(conditions.outside_C),
            conditions.outside_C,
          );
          const inside = vapour(water.inside_RH * saturation(inside_C), inside_C);
          const carried_gDay = air.flow_m3s * (inside - outside) * 86_400 * 1_000;
          // Bees that are about fan more than the warmth asks for, where water would form.
          if (conditions.outside_C <= 10)
            expect(water.condensate_gDay + Math.max(0, carried_gDay)).toBeCloseTo(made_gDay, 3);
          expect(water.condensate_gDay).toBeLessThanOrEqual(made_gDay + 1e-9);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('water in a box', () => {
  const january = {
    ...usualConditions({ outside_C: -5, bees: 'calm', brood: false }, defaultConstants),
    clearNight: true,
  };
  const lined = (() => {
    const plain = familyDesign('nucleus');
    return withPart(plain, mainBody(plain).id, { lining: { material: 'foam', thickness: mm(18.9) } });
  })();
  const [room] = boxAtRest(lined, january).compartments;

  it('is said of each surface: the cover under the night sky is the coldest, and it alone is wet', () => {
    expect(room?.water.verdict).toBe('drips');
    const wet = room?.water.surfaces.filter((surface) => surface.wet).map(({ name }) => name);
    expect(wet).toEqual(['cover']);
    expect(room?.water.surfaces.map(({ name }) => name).sort()).toEqual([
      'back',
      'cover',
      'front',
      'left',
      'right',
    ]);
    const [plain] = boxAtRest(lined, { ...january, clearNight: false }).compartments;
    const cover = (of: typeof room) =>
      of?.water.surfaces.find(({ name }) => name === 'cover')?.surface_C ?? 0;
    expect(cover(room)).toBeLessThan(cover(plain) - 2);
  });

  it('is reckoned with surfaces poorly aired, 0.25 m²K/W on every face', () => {
    const face = {
      between: ['room', 'outside'] as [string, string],
      area_m2: 1,
      kind: 'wall' as const,
      layers: [{ thickness_mm: 19, lambda_WmK: 0.12 }],
    };
    const at = new Map([
      ['room', 10],
      ['outside', 0],
    ]);
    const r = 0.25 + 0.019 / 0.12 + 0.04;
    expect(innerSurface(face, at, 0, { ...defaultConstants, rsiWall: 0.25 })).toBeCloseTo(
      10 - (10 / r) * 0.25,
      9,
    );
    // Three kelvin warmer out there by the sun.
    expect(innerSurface(face, at, 3, { ...defaultConstants, rsiWall: 0.25 })).toBeCloseTo(
      10 - (7 / r) * 0.25,
      9,
    );
  });

  it('does not form where bees are about to fan it out, and forms where they are clustered', () => {
    const closed = withPart(lined, mainBody(lined).id, {
      entrances: mainBody(lined).entrances.map((each) => ({ ...each, state: 'reduced' as const })),
    });
    const verdict = (outside_C: number) =>
      boxAtRest(closed, usualConditions({ outside_C, bees: 'resting', brood: true }, defaultConstants))
        .compartments[0]?.water.verdict;
    expect(verdict(2)).not.toBe('dry');
    expect(verdict(22)).toBe('dry');
  });

  it('has damp air outside in the cold, drier in warmth, and no more vapour in heat than on a mild day', () => {
    expect(humidityAt(-10, defaultConstants)).toBe(0.85);
    expect(humidityAt(5, defaultConstants)).toBe(0.85);
    expect(humidityAt(20, defaultConstants)).toBeCloseTo(0.7, 9);
    expect(humidityAt(36, defaultConstants) * saturation(36)).toBeCloseTo(0.7 * saturation(24), 9);
  });
});
