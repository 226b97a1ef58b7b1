import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { boxPhysics } from './boxPhysics.ts';
import { usualConditions } from './conditions.ts';
import { irradiance, sunAt } from './sun.ts';

const FAMILIES = ['nucleus', 'threeWay', 'fourWay', 'twoWayBody', 'followerReduced', 'observation'] as const;
const asked = fc.record({
  family: fc.constantFrom(...FAMILIES),
  outside_C: fc.integer({ min: -20, max: 33 }),
  bees: fc.constantFrom('calm' as const, 'resting' as const, 'alarmed' as const),
  brood: fc.boolean(),
});

describe('a whole box', () => {
  it('never cools by being closed where it is cooler outside', () => {
    fc.assert(
      fc.property(asked, ({ family, outside_C, bees, brood }) => {
        const conditions = usualConditions({ outside_C, bees, brood }, defaultConstants);
        // Bees that must hold themselves warm give more than a calm kilogram does; closing them in is no colder then.
        for (const { inside_C, shut } of boxPhysics(familyDesign(family), conditions).compartments)
          if (inside_C > outside_C) expect(shut.steady_C).toBeGreaterThanOrEqual(inside_C - 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it('breathes by the heat that warms it: where they work harder than their mood, the air is spoilt the sooner', () => {
    const cold = usualConditions({ outside_C: -20, bees: 'calm', brood: true }, defaultConstants);
    for (const { bees, bees_kg, shut } of boxPhysics(familyDesign('fourWay'), cold).compartments) {
      expect(bees.heat_W / bees_kg).toBeGreaterThan(cold.heat_Wkg);
      // A mole of 0.02405 m³ for each 467.5 kJ, into what air goes through at last.
      if (shut.flow_m3s > 0)
        expect(shut.breath.steady_pct).toBeCloseTo(
          Math.min(21, 0.042 + (100 * bees.heat_W * 0.02405) / 467_500 / shut.flow_m3s),
          6,
        );
      else expect(shut.breath.minutesTo[0]?.minutes).toBeGreaterThan(0);
    }
  });

  it('with more bees is never cooler, at rest or shut', () => {
    fc.assert(
      fc.property(asked, fc.double({ min: 0.1, max: 0.6, noNaN: true }), (air, kg) => {
        const { family, ...weather } = air;
        const design = familyDesign(family);
        const conditions = usualConditions(weather, defaultConstants);
        const of = (bees_kg: number) => {
          const homes = boxPhysics(design, conditions).compartments.map(({ spaces }) => spaces[0] ?? '');
          return boxPhysics(design, {
            ...conditions,
            bees_kg: Object.fromEntries(homes.map((home) => [home, bees_kg])),
          }).compartments;
        };
        const [few, many] = [of(kg), of(kg * 1.5)];
        few.forEach((room, index) => {
          expect(many[index]?.shut.steady_C).toBeGreaterThanOrEqual(room.shut.steady_C - 1e-6);
          // Where they cool it, more of them may; else not.
          if (['clusters', 'warms', 'rests', 'chills'].includes(many[index]?.bees.does ?? ''))
            expect(many[index]?.inside_C).toBeGreaterThanOrEqual(room.inside_C - 1e-6);
        });
      }),
      { numRuns: 25 },
    );
  });

  it('couples its rooms both ways alike: what one more watt in either does to the other', () => {
    const design = familyDesign('threeWay');
    const conditions = usualConditions({ outside_C: 30, bees: 'resting', brood: true }, defaultConstants);
    const homes = boxPhysics(design, conditions).compartments.map(({ spaces }) => spaces[0] ?? '');
    const [left = '', middle = '', right = ''] = homes;
    const shut = (more: string) =>
      boxPhysics(design, {
        ...conditions,
        bees_kg: Object.fromEntries(homes.map((home) => [home, home === more ? 0.45 : 0.4])),
      }).compartments.map(({ shut: { steady_C } }) => steady_C);
    const [plain, byLeft, byRight] = [shut(''), shut(left), shut(right)];
    expect((byLeft[2] ?? 0) - (plain[2] ?? 0)).toBeCloseTo((byRight[0] ?? 0) - (plain[0] ?? 0), 6);
    const byMiddle = shut(middle);
    expect((byMiddle[0] ?? 0) - (plain[0] ?? 0)).toBeCloseTo((byLeft[1] ?? 0) - (plain[1] ?? 0), 1);
  });

  it('has in the south half a year later the sun that it has in the north', () => {
    for (const day of ['2026-01-15', '2026-04-10', '2026-06-21', '2026-10-01']) {
      const [north, south] = [
        sunAt(`${day}T12:00:00Z`, 48, 0),
        sunAt(`${plusDays(day, 183)}T12:00:00Z`, -48, 0),
      ];
      // The halves of a year differ by days, and the sun’s clock by a quarter of an hour.
      expect(Math.abs(north.altitude_deg - south.altitude_deg)).toBeLessThan(2);
      const [toSun, toSunSouth] = [irradiance(north, 90, 180), irradiance(south, 90, 0)];
      expect(Math.abs(toSun - toSunSouth)).toBeLessThan(0.05 * toSun);
      expect(irradiance(north, 90, 0)).toBeLessThan(toSun / 2);
    }
  });
});
