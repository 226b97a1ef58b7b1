import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { constantsWith, defaultConstants } from '../constants/registry.ts';
import { type Regulating, regulate } from './regulation.ts';

const half: Regulating = {
  bees_kg: 0.5,
  brood: true,
  outside_C: 0,
  mood_Wkg: 20,
  room: { width_m: 0.37, length_m: 0.46, depth_m: 0.24 },
  factor: 0,
  outside_RH: 0.7,
};
const at = (air_C: number, more: Partial<Regulating> = {}) =>
  regulate({ ...half, ...more }, air_C, defaultConstants);
/** Surface of half a kilogram as a ball, in m². */
const AREA = 4 * Math.PI * ((3 * 0.00225) / (4 * Math.PI)) ** (2 / 3);

describe('bees regulate', () => {
  it('in cold as a cluster that holds its surface: 10 °C without brood, 20 with', () => {
    expect(at(0, { brood: false })).toMatchObject({
      does: 'clusters',
      heat_W: expect.closeTo(5 * AREA * 10, 9),
    });
    expect(at(0)).toMatchObject({
      does: 'warms',
      heat_W: expect.closeTo(5 * AREA * 20, 9),
      share: expect.closeTo((5 * AREA * 20) / 20, 9),
    });
    // Air as warm as their surface asks for nothing more than the least of a cluster, 3 W/kg.
    expect(at(10, { brood: false })).toMatchObject({ does: 'rests', heat_W: 1.5 });
  });

  it('within their means, 40 W/kg; beyond them they grow cold', () => {
    expect(at(-28).does).toBe('warms');
    expect(at(-29)).toMatchObject({ does: 'chills', heat_W: 20, share: 1 });
  });

  it('give as little as a cluster up to 10 °C outside, and as they are about from 18 on', () => {
    const heat = (outside_C: number) => at(25, { outside_C }).heat_W / 0.5;
    expect(heat(10)).toBe(3);
    expect(heat(14)).toBeCloseTo((3 + 20) / 2, 9);
    expect(heat(18)).toBe(20);
    expect(heat(30)).toBe(20);
    expect(at(25, { outside_C: 30, mood_Wkg: 12 }).heat_W).toBe(6);
  });

  it('fan from 34.5 to 36 °C, carry water from there to 37, and are beyond it over 38', () => {
    const hot = { outside_C: 30 };
    expect(at(34.5, hot)).toMatchObject({ does: 'rests', fans_m3s: 0, water_kgs: 0 });
    expect(at(35.25, hot)).toMatchObject({
      does: 'fans',
      fans_m3s: expect.closeTo(0.5 * 0.15e-3, 9),
      water_kgs: 0,
    });
    expect(at(36, hot)).toMatchObject({ does: 'fans', share: 1, fans_m3s: 0.15e-3, water_kgs: 0 });
    expect(at(36.5, hot).does).toBe('carriesWater');
    expect(at(38, hot).does).toBe('carriesWater');
    expect(at(38.01, hot).does).toBe('overheats');
  });

  it('carry no more water than they can, nor than the air through the room takes up', () => {
    const dry = { outside_C: 30, outside_RH: 0, factor: 1 };
    expect(at(37, dry).water_kgs).toBeCloseTo((0.1 * 0.5) / 3_600, 12);
    // What 0.15 L/s can hold at 37 °C, nine tenths saturated, over what it brings: 39.6 less 21.2 g/m³.
    expect(at(37, { outside_C: 30, outside_RH: 0.7 }).water_kgs).toBeCloseTo(0.15e-3 * (0.0396 - 0.0212), 7);
    expect(at(37, { outside_C: 36, outside_RH: 1 }).water_kgs).toBe(0);
  });

  it('breathe out a part of their heat as water, and what another model says they spend they give', () => {
    expect(at(0).warms_W).toBeCloseTo(at(0).heat_W * 0.87, 9);
    expect(at(0, { spends_Wkg: 7 }).heat_W).toBe(3.5);
    expect(regulate(half, 0, constantsWith({ latentShare: 0 })).warms_W).toBeCloseTo(5 * AREA * 20, 9);
  });

  it('never bring more into a warmer room', () => {
    fc.assert(
      fc.property(
        fc.record({
          bees_kg: fc.double({ min: 0.05, max: 3, noNaN: true }),
          brood: fc.boolean(),
          outside_C: fc.double({ min: -25, max: 44, noNaN: true }),
        }),
        fc.double({ min: -25, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (bees, air_C, warmer_K) => {
          expect(at(air_C + warmer_K, bees).warms_W).toBeLessThanOrEqual(at(air_C, bees).warms_W + 1e-9);
        },
      ),
    );
  });
});
