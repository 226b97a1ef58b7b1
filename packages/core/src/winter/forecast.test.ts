import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { constantsWith, defaultConstants } from '../constants/registry.ts';
import { seededRandom } from '../random.ts';
import { beesOfSeams, seamsOfBees, winter } from './cluster.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import {
  calibrate,
  comesThrough,
  forecastWinter,
  type WinterForecast,
  winterAhead,
  winterNeed,
} from './forecast.ts';

const plan = { bees_kg: 1.5, ua_WK: 1.5, stores_kg: 12, months: estimatedWinter() };
const noSpread = {
  spreadBees: 0,
  spreadUa: 0,
  spreadRoom: 0,
  spreadWeather_K: 0,
  spreadUse: 0,
  spreadDying: 0,
  spreadTurn: 0,
  spreadBroodUse: 0,
};
const nobodyDies = { winterDies: 0, winterDiesMost: 0, winterBroodUse: 0, winterEmerges: 0 };
const days = plan.months.reduce((sum, month) => sum + month.days, 0);
const last = ({ months }: WinterForecast) => months.at(-1) as WinterForecast['months'][number];

describe('a winter', () => {
  it('without spread, and with nobody who dies or is reared, is the sum of its months', () => {
    const used = plan.months.map(
      ({ days, outside_C }) => winter({ ...plan, outside_C, days, brood: false }).stores_kg,
    );
    const still = constantsWith({ ...noSpread, ...nobodyDies });
    const { months } = forecastWinter(plan, still, 20);
    months.forEach(({ low_kg, middle_kg, high_kg, bees_kg }, index) => {
      const left = 12 - used.slice(0, index + 1).reduce((sum, each) => sum + each, 0);
      for (const value of [low_kg, middle_kg, high_kg]) expect(value).toBeCloseTo(left, 9);
      expect(bees_kg.middle).toBeCloseTo(1.5, 9);
    });
    expect(winterNeed(plan, still)).toBeCloseTo(
      used.reduce((sum, each) => sum + each, 0),
      9,
    );
  });

  it('lets so many die on a day, more where they work hard, and rears some after midwinter', () => {
    const at = (changes: Record<string, number>, ua_WK = 0.05) =>
      last(
        forecastWinter({ ...plan, ua_WK }, constantsWith({ ...noSpread, winterEmerges: 0, ...changes }), 1),
      ).bees_kg.middle;
    // In so warm a box nobody works hard: 0.3 % of them on each day.
    expect(at({})).toBeCloseTo(1.5 * Math.exp(-0.003 * days), 9);
    // Where everything is hard, 1 %.
    expect(at({ easy_Wkg: 2, dwindle_Wkg: 5, least_Wkg: 6, turnLeast_kg: 0.05 })).toBeCloseTo(
      1.5 * Math.exp(-0.01 * days),
      9,
    );
    // The first emerge 21 days after brood began: 49 days after the shortest day is 8 February, they come from 1 March on.
    const reared = Math.log(at({ winterEmerges: 0.01 }) / at({}));
    const rate = (from: number, to: number) => ((from + to) / 2 / 45) * 0.01 * (to - from);
    expect(reared).toBeCloseTo(rate(0, 31), 3);
    expect(at({ winterEmerges: 0.01, broodFrom_d: 90 })).toBeCloseTo(at({}), 9);
  });

  it('tells the bees of spring in order, the fewest first', () => {
    const { spring_kg } = forecastWinter({ ...plan, stores_kg: 12 }, defaultConstants, 200);
    expect([...spring_kg].sort((a, b) => a - b)).toEqual(spring_kg);
    expect(new Set(spring_kg).size).toBeGreaterThan(20);
  });

  it('uses half to double as much once there is brood', () => {
    const constants = constantsWith({ ...noSpread, ...nobodyDies, winterBroodUse: 0.75 });
    const { months } = forecastWinter({ ...plan, stores_kg: 40 }, constants, 1);
    const used = (index: number) => (months[index - 1]?.middle_kg ?? 40) - (months[index]?.middle_kg ?? 0);
    const plain = plan.months.map((month) => winter({ ...plan, ...month, brood: false }).stores_kg);
    // From 8 February on: all of March, and by steps of ten days two thirds of February.
    expect(used(5) / (plain[5] ?? 1)).toBeCloseTo(1.75, 9);
    expect(used(4) / (plain[4] ?? 1)).toBeCloseTo(1 + 0.75 * (2 / 3), 9);
    expect(used(3) / (plain[3] ?? 1)).toBeCloseTo(1, 9);
  });

  it('has a band that widens with the spread of any assumption, the same for the same seed', () => {
    const width = (spreads: Record<string, number>, of: 'stores' | 'bees') => {
      const month = last(forecastWinter(plan, constantsWith(spreads), 400));
      return of === 'stores' ? month.high_kg - month.low_kg : month.bees_kg.high - month.bees_kg.low;
    };
    for (const key of ['spreadBees', 'spreadUa', 'spreadWeather_K', 'spreadUse'] as const)
      expect(width({ ...noSpread, [key]: defaultConstants[key] * 2 }, 'stores')).toBeGreaterThan(
        width({ ...noSpread, [key]: defaultConstants[key] }, 'stores'),
      );
    expect(width({ ...noSpread, spreadDying: 0.4 }, 'bees')).toBeGreaterThan(
      width({ ...noSpread, spreadDying: 0.2 }, 'bees'),
    );
    // Months that come together stray further as a winter.
    expect(width({ ...noSpread, spreadWeather_K: 2.5, weatherTogether: 1 }, 'stores')).toBeGreaterThan(
      1.5 * width({ ...noSpread, spreadWeather_K: 2.5, weatherTogether: 0 }, 'stores'),
    );
    expect(forecastWinter(plan, defaultConstants)).toEqual(forecastWinter(plan, defaultConstants));
    expect(forecastWinter({ ...plan, stores_kg: 3 }, defaultConstants).starved).toBeGreaterThan(
      forecastWinter(plan, defaultConstants).starved,
    );
  });

  it('holds about ninety of a hundred winters that are gone through day by day by another hand', () => {
    const { months } = forecastWinter(plan, defaultConstants, 2_000);
    const winters = Array.from({ length: 400 }, (_, index) => anotherWinter(index + 1));
    for (const index of [2, 5]) {
      const band = months[index] as WinterForecast['months'][number];
      const within = (value: (at: { stores: number; bees: number }) => number, low: number, high: number) =>
        winters.filter((each) => {
          const found = value(each[index] as { stores: number; bees: number });
          return found >= low && found <= high;
        }).length / winters.length;
      for (const share of [
        within(({ stores }) => stores, band.low_kg, band.high_kg),
        within(({ bees }) => bees, band.bees_kg.low, band.bees_kg.high),
      ]) {
        expect(share).toBeGreaterThanOrEqual(0.85);
        expect(share).toBeLessThanOrEqual(0.95);
      }
    }
  });

  it('says that the small dwindle before they starve, the hungry starve, and the others come through', () => {
    const of = (bees_kg: number, stores_kg: number, more = {}) =>
      forecastWinter({ ...plan, bees_kg, stores_kg, ...more }, defaultConstants);
    expect(of(0.3, 10).dwindled).toBeGreaterThan(0.9);
    expect(of(0.3, 10).starved).toBe(0);
    expect(of(1.5, 2).starved).toBeGreaterThan(0.95);
    expect(comesThrough(of(1.5, 15))).toBeGreaterThan(0.95);
    // A partner over the divider keeps more of them.
    expect(of(0.5, 10, { company_kg: 0.5 }).dwindled).toBeLessThan(of(0.5, 10).dwindled - 0.1);
    const some = of(0.6, 6);
    expect(some.starved + some.dwindled + comesThrough(some)).toBeCloseTo(1, 9);
  });

  it('dwindles below the figure of the turn, and not at it', () => {
    const left_kg = 1.5 * Math.exp(-0.003 * days);
    const dwindled = (turnLeast_kg: number) =>
      forecastWinter(
        { ...plan, ua_WK: 0.05 },
        constantsWith({ ...noSpread, winterEmerges: 0, turnLeast_kg }),
        3,
      ).dwindled;
    expect([dwindled(left_kg - 1e-6), dwindled(left_kg + 1e-6)]).toEqual([0, 1]);
  });

  it('is never worse for more bees, more stores or a warmer box', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.double({ min: 1, max: 14, noNaN: true }),
        (bees_kg, ua_WK, stores_kg) => {
          const through = (more: Partial<typeof plan>) =>
            comesThrough(
              forecastWinter({ ...plan, bees_kg, ua_WK, stores_kg, ...more }, defaultConstants, 100),
            );
          const now = through({});
          expect(through({ stores_kg: stores_kg + 1 })).toBeGreaterThanOrEqual(now);
          expect(through({ ua_WK: ua_WK * 0.8 })).toBeGreaterThanOrEqual(now);
          const need = (walls_WK: number) =>
            winterNeed({ ...plan, bees_kg, ua_WK: walls_WK }, constantsWith(nobodyDies));
          expect(need(ua_WK * 0.8)).toBeLessThanOrEqual(need(ua_WK) + 1e-9);
        },
      ),
      { numRuns: 30 },
    );
  });

  it('counts who comes through with so many', () => {
    const spring_kg = [0, 0, 0.4, 0.8];
    expect(comesThrough({ spring_kg })).toBe(0.5);
    expect(comesThrough({ spring_kg }, 0.4)).toBe(0.5);
    expect(comesThrough({ spring_kg }, 0.41)).toBe(0.25);
  });

  it('is fitted to hefts by how much they say', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1.6, noNaN: true }), (factor) => {
        const { months } = forecastWinter({ ...plan, factor, stores_kg: 40 }, constantsWith(noSpread), 1);
        const hefts = [2, 4].map((month) => ({ month, stores_kg: months[month - 1]?.middle_kg ?? 0 }));
        expect(calibrate({ ...plan, stores_kg: 40 }, hefts, defaultConstants)).toBeCloseTo(factor, 9);
      }),
    );
    expect(calibrate(plan, [], defaultConstants)).toBe(1);
    expect(calibrate(plan, [{ month: 0, stores_kg: 9 }], defaultConstants)).toBe(1);
  });

  it('goes on from the day, with what is left of its month, and is whole out of season', () => {
    const north = winterAhead(estimatedWinter(), '2026-11-10', 48);
    expect(north.months.map(({ name, days }) => [name, days])).toEqual([
      ['November', 21],
      ['December', 31],
      ['January', 31],
      ['February', 28],
      ['March', 31],
    ]);
    expect(north.since_d).toBe(-41);
    expect(winterAhead(estimatedWinter(), '2027-02-28', 48)).toMatchObject({
      since_d: 69,
      months: [{ days: 1 }, {}],
    });
    expect(winterAhead(estimatedWinter(), '2026-06-10', 48)).toEqual({
      months: estimatedWinter(),
      since_d: -81,
    });
    expect(winterAhead(estimatedWinter(-41), '2026-07-01', -41)).toMatchObject({
      since_d: 10,
      months: [{ name: 'July' }, {}, {}],
    });
  });

  it('counts bees by seams and seams by bees, at any pitch', () => {
    expect(
      seamsOfBees(beesOfSeams(6, 34.9, defaultConstants.litresPerKg), 34.9, defaultConstants.litresPerKg),
    ).toBeCloseTo(6, 9);
    expect(beesOfSeams(7, 37.5, defaultConstants.litresPerKg)).toBeGreaterThan(
      beesOfSeams(7, 34.9, defaultConstants.litresPerKg),
    );
  });
});

/** A second method: day by day, by the handbook's sentences and a source of chance of its own. */
function anotherWinter(seed: number): { stores: number; bees: number }[] {
  const random = seededRandom(90_000 + seed);
  const bell = () => Array.from({ length: 12 }, random).reduce((sum, each) => sum + each, -6);
  let bees = 1.5 * (1 + 0.12 * bell());
  const ua_WK = 1.5 * (1 + 0.12 * bell());
  const litresPerKg = 4.5 * (1 + 0.1 * bell());
  const use = 1 + 0.1 * bell();
  const dying = 1 + 0.2 * bell();
  const brood = 1.5 + 0.5 * random();
  const whole_K = 2.5 * Math.sqrt(0.23) * bell();
  let stores = 12;
  let day = 0;
  return estimatedWinter().map(({ days, outside_C }) => {
    const warmer = whole_K + 2.5 * Math.sqrt(0.77) * bell();
    for (let each = 0; each < days; each++, day++) {
      const radius = Math.cbrt((3 * bees * litresPerKg) / 4_000 / Math.PI);
      const between = 1 / (1 / (5 * 4 * Math.PI * radius ** 2) + 1 / ua_WK);
      const watts = Math.max(3 * bees, between * (10 - outside_C - warmer));
      stores -= ((watts * 86_400) / 12.7e6) * use * (day >= 81 + 49 ? brood : 1);
      const strain = Math.min(1, Math.max(0, (watts / bees - 5) / 5));
      const reared = Math.min(1, Math.max(0, (day - 81 - 49 - 21) / 45));
      bees *= 1 - dying * (0.003 + 0.007 * strain) + 0.01 * (1 - strain) * reared;
    }
    return { stores: Math.max(0, stores), bees: stores > 0 ? bees : 0 };
  });
}
