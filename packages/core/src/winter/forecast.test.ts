import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { constantsWith, defaultConstants } from '../constants/registry.ts';
import { beesOfSeams, seamsOfBees, winter } from './cluster.ts';
import { calibrate, forecastWinter, valleyDay, valleyWinter } from './forecast.ts';

const plan = { bees_kg: 1.5, ua_WK: 1.5, stores_kg: 12, months: valleyWinter() };
const noSpread = { spreadBees: 0, spreadUa: 0, spreadRoom: 0, spreadWeather_K: 0, spreadUse: 0 };

describe('a winter', () => {
  it('without spread is the sum of its months', () => {
    const used = plan.months.map(
      ({ days, outside_C }) => winter({ ...plan, outside_C, days, brood: false }).stores_kg,
    );
    const { months } = forecastWinter(plan, constantsWith(noSpread), 20);
    months.forEach(({ low_kg, middle_kg, high_kg }, index) => {
      const left = 12 - used.slice(0, index + 1).reduce((sum, each) => sum + each, 0);
      for (const value of [low_kg, middle_kg, high_kg]) expect(value).toBeCloseTo(left, 9);
    });
  });

  it('has a band that widens with the spread of any assumption, the same for the same seed', () => {
    const width = (spreads: Record<string, number>) => {
      const last = forecastWinter(plan, constantsWith(spreads), 400).months.at(-1);
      return (last?.high_kg ?? 0) - (last?.low_kg ?? 0);
    };
    for (const key of ['spreadBees', 'spreadUa', 'spreadWeather_K', 'spreadUse'] as const)
      expect(width({ ...noSpread, [key]: defaultConstants[key] * 2 })).toBeGreaterThan(
        width({ ...noSpread, [key]: defaultConstants[key] }),
      );
    expect(forecastWinter(plan)).toEqual(forecastWinter(plan));
    expect(forecastWinter({ ...plan, stores_kg: 3 }).starved).toBeGreaterThan(forecastWinter(plan).starved);
  });

  it('is fitted to hefts by how much they say', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1.6, noNaN: true }), (factor) => {
        const used = plan.months.map(
          ({ days, outside_C }) => winter({ ...plan, outside_C, days, brood: false }).stores_kg,
        );
        const hefts = [2, 4].map((month) => ({
          month,
          stores_kg: 12 - factor * used.slice(0, month).reduce((sum, each) => sum + each, 0),
        }));
        expect(calibrate(plan, hefts)).toBeCloseTo(factor, 9);
      }),
    );
    expect(calibrate(plan, [])).toBe(1);
  });

  it('counts bees by seams and seams by bees, at any pitch', () => {
    expect(seamsOfBees(beesOfSeams(6, 34.9), 34.9)).toBeCloseTo(6, 9);
    expect(beesOfSeams(7, 37.5)).toBeGreaterThan(beesOfSeams(7, 34.9));
  });

  it('turns the built-in valley by half a year south of the equator', () => {
    const [north, south] = [valleyWinter(), valleyWinter(-33)];
    expect(south.map(({ outside_C }) => outside_C)).toEqual(north.map(({ outside_C }) => outside_C));
    expect([south[0]?.name, south[3]?.name, north[3]?.name]).toEqual(['April', 'July', 'January']);
    expect(valleyDay('2026-01-15', 48)).toBeCloseTo(-1, 9);
    expect(valleyDay('2026-07-15', -33)).toBeCloseTo(-1, 9);
    expect(valleyDay('2026-01-15', -33)).toBeCloseTo(valleyDay('2026-07-15', 48), 1);
  });
});
