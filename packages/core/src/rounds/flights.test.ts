import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { flyingShares } from '../weather/flyingShares.ts';
import { flightsOf, flyingEnds } from './flights.ts';
import { SUMMER_FLIES } from './season.test.kit.ts';
import { spellsOf } from './spellsOf.ts';

const GIVEN = '2026-06-01';

describe('flights of virgins', () => {
  it('come to eggs on the day that handbook 5 has where every day flies and each of them mates', () => {
    const { share, eggs_d } = flightsOf(GIVEN, () => 1, { ...defaultConstants, matesOnDay: 1 });
    // Flights 7 or 8 days after the ripe cell, eggs 2 to 4 days after: 10.5 in the mean.
    expect(share).toBeCloseTo(1, 12);
    expect(eggs_d).toBeCloseTo(10.5, 12);
  });
  it('are none without a day that flies, and as many as one such day lets mate', () => {
    expect(flightsOf(GIVEN, () => 0, defaultConstants)).toEqual({ share: 0, eggs_d: undefined });
    const one = (day: string) => flightsOf(GIVEN, (on) => (on === day ? 1 : 0), defaultConstants).share;
    expect(one('2026-06-08')).toBeCloseTo(0.5 * defaultConstants.matesOnDay, 12);
    expect(one('2026-06-09')).toBeCloseTo(defaultConstants.matesOnDay, 12);
    expect(one('2026-06-07')).toBe(0);
    // Eggs by day 30 at the latest: a flight on day 26 serves all, on day 28 a third of them, on day 29 none.
    expect(one('2026-06-27')).toBeCloseTo(defaultConstants.matesOnDay, 12);
    expect(one('2026-06-29')).toBeCloseTo(defaultConstants.matesOnDay / 3, 12);
    expect(one('2026-06-30')).toBe(0);
  });
});

describe('the end of flying weather', () => {
  it('is the last day before months that hardly fly, also in the south and from the winter on', () => {
    const ends = (from: string, flying: readonly number[] = SUMMER_FLIES) =>
      flyingEnds(from, flying, defaultConstants);
    expect(ends('2026-05-31')).toBe('2026-09-30');
    expect(ends('2026-01-10')).toBe('2026-09-30');
    expect(ends('2026-10-01')).toBe('2027-09-30');
    const south = [...SUMMER_FLIES.slice(6), ...SUMMER_FLIES.slice(0, 6)];
    expect(ends('2026-11-15', south)).toBe('2027-03-31');
    expect(
      ends(
        '2026-05-31',
        SUMMER_FLIES.map(() => 0.6),
      ),
    ).toBeUndefined();
    expect(
      ends(
        '2026-05-31',
        SUMMER_FLIES.map(() => 0),
      ),
    ).toBeUndefined();
  });
});

describe('the share of days that fly', () => {
  const known = (month: number, days: number, flew: number) =>
    flyingShares([{ month, known: days, flew }], undefined, 48, defaultConstants)[month - 1] ?? 0;
  it('is the climate’s where nothing is known, and the yard’s own where much is', () => {
    const [july, january] = [known(7, 0, 0), known(1, 0, 0)];
    expect(july).toBeGreaterThan(0.5);
    expect(july).toBeLessThanOrEqual(defaultConstants.dryShare);
    expect(january).toBeLessThan(0.01);
    expect(known(7, 2_000, 500)).toBeCloseTo(0.25, 1);
    // Twenty days of the climate against twenty of the yard.
    expect(known(7, 20, 4)).toBeCloseTo((july + 0.2) / 2, 12);
  });
  it('follows a climate that was read, and is half of the dry days where the month just reaches what queens want', () => {
    const months = Array.from({ length: 12 }, () => ({ min_C: 8, max_C: defaultConstants.queensFly_C }));
    const shares = flyingShares([], { months }, 48, defaultConstants);
    expect(shares).toHaveLength(12);
    for (const share of shares) expect(share).toBeCloseTo(defaultConstants.dryShare / 2, 12);
  });
  it('turns round in the south', () => {
    const south = flyingShares([], undefined, -38, defaultConstants);
    expect(south[0]).toBeGreaterThan((south[6] ?? 1) + 0.2);
  });
});

describe('spells of a season', () => {
  const season = { from: '2026-06-01', to: '2026-09-10', rate: 0.7, take_d: 40 };
  const spells = (of: (day: string) => number) => spellsOf(season, of, defaultConstants);
  it('are one where it always flies', () => {
    expect(spells(() => 1)).toEqual([{ from: '2026-06-01', rate: expect.closeTo(0.7, 6), take_d: 40 }]);
  });
  it('lose rounds whose virgins find no day, and take longer where they wait for one', () => {
    const late = spells((day) => (day <= '2026-08-31' ? 1 : 0));
    expect(late[0]?.rate).toBeCloseTo(0.7, 6);
    expect(late.at(-1)?.rate).toBe(0);
    expect(late.map(({ from }) => from)).toEqual([...late.map(({ from }) => from)].sort());
    const waiting = spells((day) => (day >= '2026-07-05' ? 1 : 0));
    expect(waiting[0]?.take_d).toBeGreaterThan(40);
    expect(waiting.at(-1)).toMatchObject({ rate: expect.closeTo(0.7, 6), take_d: 40 });
  });
});
