import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { frameFormat, standardFormats } from '../formats/formats.ts';
import { bandAbout } from './bandAbout.ts';
import { broodBeside } from './broodBeside.ts';
import { population } from './population.ts';
import { wellFed } from './wellFed.ts';

describe('what is reckoned beside a count', () => {
  it('is a band of 1.645 deviations either way, never below none', () => {
    expect(bandAbout(2, 0.1)).toEqual({
      low: expect.closeTo(2 * (1 - 0.1645), 9),
      middle: 2,
      high: expect.closeTo(2 * 1.1645, 9),
    });
    expect(bandAbout(2, 0.7).low).toBe(0);
  });

  it('is brood of all ages beside the bees of a colony that lays: a third of it open', () => {
    const { openCells, sealedCells } = broodBeside(1, defaultConstants);
    expect(openCells + sealedCells).toBeCloseTo(8_333 * 0.9, 6);
    expect(openCells / (openCells + sealedCells)).toBeCloseTo(1 / 3, 9);
    expect(broodBeside(0.5, defaultConstants).openCells).toBeCloseTo(openCells / 2, 9);
  });

  it('is a quarter of its combs in stores: of a deep frame, both sides at 1.65 g a square centimetre', () => {
    const [deep] = standardFormats.filter(({ id }) => id === 'langstroth-deep');
    if (!deep) throw new Error('There is such a format.');
    const format = frameFormat(deep);
    const one = wellFed(format, 1, defaultConstants);
    expect(wellFed(format, 3, defaultConstants).stores_kg).toBeCloseTo(3 * one.stores_kg, 9);
    // Some 2.9 kg on a full frame.
    expect(one.stores_kg).toBeGreaterThan(0.6);
    expect(one.stores_kg).toBeLessThan(0.85);
    expect(one.forage_gFlier).toBe(defaultConstants.springForage_g);
  });
});

describe('feed', () => {
  const ask = (on: string) =>
    population(
      {
        from: '2026-05-17',
        days: 3,
        format: 'langstroth-deep',
        frames: 3,
        bees_kg: 0.5,
        sealedCells: 0,
        openCells: 0,
        stores_kg: 1,
        laysFrom: null,
        feed: [{ on, kg: 1 }],
      },
      defaultConstants,
    ).days.map(({ stores_kg }) => stores_kg);
  it('of the first day is there on the second, and of another on its own', () => {
    const [first = 0, second = 0, third = 0] = ask('2026-05-17');
    expect(first).toBe(1);
    expect(second).toBeGreaterThan(1.5);
    expect(third).toBeLessThan(second);
    const [, before = 0, after = 0] = ask('2026-05-19');
    expect(before).toBeLessThan(1);
    expect(after).toBeGreaterThan(1.5);
  });
});
