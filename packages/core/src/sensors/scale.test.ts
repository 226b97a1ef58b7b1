import type { DailyWeight, Reading } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { winter } from '../winter/cluster.ts';
import { estimatedWinter } from '../winter/estimatedClimate.ts';
import { judgeFeed } from './judge.ts';
import { dailyWeights, scaleUse } from './scale.ts';

const plan = { bees_kg: 1.5, ua_WK: 1.5, stores_kg: 14, months: estimatedWinter() };
const november = plan.months.find(({ name }) => name === 'November')?.outside_C ?? 0;
const aDay = winter({ ...plan, outside_C: november, days: 1, brood: false }).stores_kg;
const losing = (share: number, days = 25): DailyWeight[] =>
  Array.from({ length: days }, (_, day) => ({
    date: plusDays('2026-11-02', day),
    weight_kg: 30 - day * aDay * share,
  }));

describe('use by a scale', () => {
  it('is what was lost against what was reckoned', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 3, noNaN: true }), (share) => {
        expect(scaleUse(plan, losing(share), defaultConstants)?.factor).toBeCloseTo(share, 9);
      }),
    );
  });

  it('leaves out days of feeding and of opening, months of no winter, and too few days', () => {
    const fed = losing(1).map(({ date, weight_kg }, day) => ({
      date,
      weight_kg: weight_kg + (day > 9 ? 4 : 0) - (day > 15 ? 6 : 0),
    }));
    expect(scaleUse(plan, fed, defaultConstants)?.factor).toBeCloseTo(1, 9);
    expect(scaleUse(plan, losing(1, 10), defaultConstants)).toBeUndefined();
    expect(
      scaleUse(
        plan,
        losing(1).map((each) => ({ ...each, date: each.date.replace('-11-', '-07-') })),
        defaultConstants,
      ),
    ).toBeUndefined();
    expect(scaleUse(plan, [], defaultConstants)).toBeUndefined();
  });

  it('is not changed by wrong readings, whatever they are', () => {
    const hive = ({ date, weight_kg }: DailyWeight) => ({
      box: 'B1',
      at: `${date}T12:00:00.000Z`,
      weight_kg,
    });
    const wrong = fc.oneof(
      fc.constant('err'),
      fc.double({ min: 60, max: 500, noNaN: true }),
      fc.constant(null),
    );
    fc.assert(
      fc.property(fc.array(fc.record({ day: fc.nat(23), value: wrong }), { maxLength: 8 }), (errors) => {
        const odd = errors.map(({ day, value }, index) => ({
          box: 'B1',
          at: `${plusDays('2026-11-02', day)}T1${3 + (index % 6)}:${10 + index}:00.000Z`,
          weight_kg: value,
        }));
        const all = [...losing(1.2).map(hive), ...odd].sort((a, b) => a.at.localeCompare(b.at));
        const told: Reading[] = [];
        for (const each of all) told.push(...judgeFeed({ hives: [each] }, told, '2026-12-01T00:00:00.000Z'));
        expect(scaleUse(plan, dailyWeights(told), defaultConstants)?.factor).toBeCloseTo(1.2, 6);
      }),
      { numRuns: 40 },
    );
  });
});
