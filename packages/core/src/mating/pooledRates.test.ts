import fc from 'fast-check';
import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import { pooledRates, rateProblems } from './pooledRates.ts';

const groupsOf = (...records: readonly (readonly [number, number])[]) =>
  records.map(([takes, tried], index) => ({ name: `g${index}`, takes, tried }));
const rates = (...records: readonly (readonly [number, number])[]) =>
  pooledRates({ groups: groupsOf(...records), share: 0.9 });

/** Another way for the means: given m and κ a rate's mean is (mκ + takes) ÷ (κ + tried); m and 1 ÷ (1 + κ) on an even grid. */
function means(
  records: readonly (readonly [number, number])[],
  steps = 160,
): { common: number; each: number[] } {
  let [sum, common] = [0, 0];
  const each = records.map(() => 0);
  const points = Array.from({ length: steps }, (_, at) => (at + 0.5) / steps);
  for (const m of points)
    for (const s of points) {
      const kappa = 1 / s - 1;
      const [a, b] = [m * kappa, (1 - m) * kappa];
      const weight = Math.exp(
        records.reduce((log, [t, n]) => log + jStat.betaln(a + t, b + n - t) - jStat.betaln(a, b), 0),
      );
      sum += weight;
      common += weight * m;
      records.forEach(([t, n], index) => {
        each[index] = (each[index] ?? 0) + (weight * (a + t)) / (kappa + n);
      });
    }
  return { common: common / sum, each: each.map((all) => all / sum) };
}

describe('rates of groups, pooled in part', () => {
  it('has the figures of a finer integration', () => {
    const { mean, low, high, groups } = rates([32, 46], [10, 20]);
    for (const [figure, finer] of [
      [mean, 0.5708],
      [low, 0.3103],
      [high, 0.7899],
      [groups[0]?.mean, 0.6802],
      [groups[0]?.median, 0.6823],
      [groups[0]?.low, 0.5671],
      [groups[0]?.high, 0.7862],
      [groups[0]?.best, 0.9056],
      [groups[1]?.best, 0.0943],
    ] as const)
      expect(Math.abs((figure ?? Number.NaN) - finer)).toBeLessThan(0.001);
  });

  it('has the means that another way gives', () => {
    for (const records of [
      [
        [32, 46],
        [10, 20],
      ],
      [
        [0, 0],
        [3, 4],
      ],
      [
        [0, 5],
        [5, 5],
        [2, 4],
      ],
      [[7, 9]],
    ] as const) {
      const { mean, groups } = rates(...records);
      const other = means(records);
      expect(Math.abs(mean - other.common)).toBeLessThan(0.001);
      groups.forEach((group, index) => {
        expect(Math.abs(group.mean - (other.each[index] ?? Number.NaN))).toBeLessThan(0.001);
      });
    }
  });

  it('knows nothing of one group without a record', () => {
    const { mean, low, high, groups } = rates([0, 0]);
    expect([mean, low, high].map((each) => Number(each.toFixed(3)))).toEqual([0.5, 0.05, 0.95]);
    expect(groups[0]?.best).toBeCloseTo(1, 9);
    expect(groups[0]?.mean).toBeCloseTo(0.5, 6);
  });

  it('draws a small group towards the others, a large one hardly, and gives an untried one what is common', () => {
    const { groups } = rates([90, 100], [1, 2], [0, 0]);
    const [large, small, untried] = groups;
    expect(large?.mean).toBeGreaterThan(0.85);
    expect(small?.mean).toBeGreaterThan(0.5);
    expect(small?.mean).toBeLessThan(large?.mean ?? 0);
    expect((untried?.high ?? 0) - (untried?.low ?? 0)).toBeGreaterThan(
      (large?.high ?? 1) - (large?.low ?? 0),
    );
  });

  it('mirrors takes and misses, and is fair to groups alike', () => {
    const record = fc
      .integer({ min: 0, max: 30 })
      .chain((tried) => fc.tuple(fc.integer({ min: 0, max: tried }), fc.constant(tried)));
    fc.assert(
      fc.property(record, record, (a, b) => {
        const there = rates(a, b);
        const back = rates([a[1] - a[0], a[1]], [b[1] - b[0], b[1]]);
        expect(there.mean).toBeCloseTo(1 - back.mean, 5);
        there.groups.forEach((group, index) => {
          expect(group.mean).toBeCloseTo(1 - (back.groups[index]?.mean ?? 0), 5);
          expect(group.low).toBeCloseTo(1 - (back.groups[index]?.high ?? 0), 2);
          expect(group.low).toBeLessThanOrEqual(group.median);
          expect(group.median).toBeLessThanOrEqual(group.high);
        });
        expect(there.groups.reduce((sum, { best }) => sum + best, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 1 },
    );
    for (const { best } of rates([5, 9], [5, 9], [5, 9]).groups) expect(best).toBeCloseTo(1 / 3, 6);
  });

  it('refuses more takes than attempts, and a name twice', () => {
    expect(
      rateProblems({
        groups: [
          { name: 'a', takes: 3, tried: 2 },
          { name: 'a', takes: 0, tried: 0 },
        ],
      }).map(({ path }) => path),
    ).toEqual(['groups.0.takes', 'groups.1.name']);
  });
});
