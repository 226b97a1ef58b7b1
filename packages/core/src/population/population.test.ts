import type { PopulationQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { population, populationProblems } from './population.ts';

const FROM = '2026-05-17';
const ask = (more: Partial<PopulationQuestion> = {}): PopulationQuestion => ({
  from: FROM,
  days: 90,
  format: 'langstroth-deep',
  frames: 3,
  bees_kg: 0.5,
  sealedCells: 3_000,
  openCells: 0,
  stores_kg: 1.5,
  laysFrom: '2026-06-01',
  feed: [
    { on: '2026-05-18', kg: 1 },
    { on: '2026-06-10', kg: 2 },
    { on: '2026-07-01', kg: 3 },
  ],
  ...more,
});
/** Both sides of three Langstroth deep combs. */
const CELLS = 3 * 2 * 42.6 * 20.3 * 4.1;
const STORED_CELLS = (1_000 / 1.65) * 4.1;

describe('a small colony day by day', () => {
  it('begins as it was given, a row a day', () => {
    const { days } = population(ask());
    expect(days).toHaveLength(90);
    expect(days[0]).toEqual({
      on: FROM,
      bees: expect.closeTo(4166.5, 6),
      eggs: 0,
      open: 0,
      sealed: expect.closeTo(3_000, 6),
      stores_kg: 1.5,
      emerged: 0,
      died: 0,
    });
    expect(days.at(-1)?.on).toBe('2026-08-14');
  });

  it('has all given brood out within twelve days, sealed or not, and her own workers 21 days after her first egg', () => {
    const { days } = population(ask({ openCells: 600 }));
    const at = (on: string) => days.find((day) => day.on === on);
    const given = days.slice(1, 22).reduce((sum, { emerged }) => sum + emerged, 0);
    expect(days[1]?.emerged).toBeCloseTo(250, 6);
    expect(days[12]?.emerged).toBeCloseTo(250, 6);
    expect(given).toBeGreaterThan(3_550);
    expect(at('2026-06-01')?.eggs).toBeGreaterThan(0);
    expect(at('2026-05-31')?.eggs).toBe(0);
    expect(at('2026-06-10')?.sealed).toBeGreaterThan(0);
    expect(at('2026-06-21')?.emerged).toBe(0);
    expect(at('2026-06-22')?.emerged).toBeGreaterThan(0);
  });

  it('dwindles without a queen, grows once her workers emerge, and holds on less without sealed brood', () => {
    const bees = (more: Partial<PopulationQuestion>) =>
      population(ask({ forage_gFlier: 0.2, ...more })).days.map((day) => day.bees);
    expect(bees({ laysFrom: null }).at(-1)).toBeLessThan(800);
    const grown = bees({});
    expect(grown.at(-1)).toBeGreaterThan(Math.min(...grown) * 1.5);
    const day30 = (sealedCells: number) => bees({ sealedCells })[30] ?? 0;
    expect(day30(3_000)).toBeGreaterThan(day30(0) + 1_500);
  });

  it('starves where it finds nothing, and not before', () => {
    const { days } = population(ask({ stores_kg: 0.3, feed: [], sealedCells: 0 }));
    const empty = days.findIndex(({ stores_kg }) => stores_kg === 0);
    expect(days[empty - 1]?.bees).toBeGreaterThan(2_000);
    expect(days[empty + 1]?.bees).toBe(0);
    expect(
      days.slice(empty + 1).every(({ bees, eggs, open, sealed }) => bees + eggs + open + sealed === 0),
    ).toBe(true);
    expect(
      population(ask({ stores_kg: 0.3, feed: [], forage_gFlier: 0.2 })).days.at(-1)?.bees,
    ).toBeGreaterThan(500);
  });

  it('lays no more in less room, with fewer bees, or later', () => {
    const eggs = (more: Partial<PopulationQuestion>) =>
      population(ask(more))
        .days.slice(0, 30)
        .reduce((sum, day) => sum + day.eggs, 0);
    expect(eggs({ frames: 2 })).toBeLessThanOrEqual(eggs({}));
    expect(eggs({ bees_kg: 0.3 })).toBeLessThan(eggs({}));
    expect(eggs({ laysFrom: '2026-06-08' })).toBeLessThan(eggs({}));
  });

  it('keeps its books: none from nowhere, none below nothing, no more cells than there are', () => {
    fc.assert(
      fc.property(
        fc.record({
          bees_kg: fc.double({ min: 0, max: 2, noNaN: true }),
          sealedCells: fc.integer({ min: 0, max: 6_000 }),
          openCells: fc.integer({ min: 0, max: 3_000 }),
          stores_kg: fc.double({ min: 0, max: 3, noNaN: true }),
          lays: fc.option(fc.nat(60)),
          feeds: fc.array(
            fc.record({
              day: fc.integer({ min: 0, max: 89 }),
              kg: fc.double({ min: 0, max: 5, noNaN: true }),
            }),
            { maxLength: 5 },
          ),
        }),
        ({ lays, feeds, ...more }) => {
          const feed = feeds.map(({ day, kg }) => ({ on: plusDays(FROM, day), kg }));
          const { days } = population(
            ask({ ...more, laysFrom: lays === null ? null : plusDays(FROM, lays), feed }),
          );
          const fed = feeds.reduce((sum, { kg }) => sum + kg * 1.1, 0);
          days.forEach((day, at) => {
            const before = days[at - 1];
            for (const figure of Object.values(day))
              if (typeof figure === 'number') expect(figure).toBeGreaterThanOrEqual(0);
            expect(day.eggs + day.open + day.sealed + day.stores_kg * STORED_CELLS).toBeLessThanOrEqual(
              CELLS + 1e-6,
            );
            expect(day.stores_kg).toBeLessThanOrEqual(more.stores_kg + fed + 1e-9);
            if (!before) return;
            expect(day.bees).toBeCloseTo(before.bees + day.emerged - day.died, 6);
            expect(day.emerged).toBeLessThanOrEqual(before.sealed + 1e-6);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('refuses more cells than the combs hold, an unknown format, and feed on another day', () => {
    expect(populationProblems(ask({ sealedCells: 25_000 })).map(({ path }) => path)).toEqual(['frames']);
    expect(populationProblems(ask({ format: 'none' })).map(({ path }) => path)).toEqual(['format']);
    expect(
      populationProblems(
        ask({
          feed: [
            { on: '2026-05-16', kg: 1 },
            { on: FROM, kg: 1 },
            { on: '2026-08-15', kg: 1 },
          ],
        }),
      ).map(({ path }) => path),
    ).toEqual(['feed.0.on', 'feed.2.on']);
    const full = Math.floor(CELLS);
    expect(populationProblems(ask({ sealedCells: full, stores_kg: 0 }))).toEqual([]);
    expect(populationProblems(ask({ sealedCells: full + 2, stores_kg: 0 }))).toHaveLength(1);
  });
});
