import type { DailyWeight, Reading } from '@yellow-cell/contract';
import { daysBetween } from '../calendar/days.ts';
import { monthNames } from '../calendar/months.ts';
import type { Constants } from '../constants/registry.ts';
import { winter } from '../winter/cluster.ts';
import type { WinterPlan } from '../winter/forecast.ts';

/** The middle of each day's weights that can be trusted, oldest first. */
export function dailyWeights(readings: readonly Reading[]): DailyWeight[] {
  const byDay = new Map<string, number[]>();
  for (const { measure, flag, value, at } of readings) {
    if (measure !== 'weight_kg' || flag !== null || value === null) continue;
    const date = at.slice(0, 10);
    byDay.set(date, [...(byDay.get(date) ?? []), value]);
  }
  return [...byDay]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([date, values]) => {
      const sorted = values.sort((a, b) => a - b);
      return { date, weight_kg: sorted[Math.floor(sorted.length / 2)] ?? 0 };
    });
}

export interface ScaleUse {
  /** Measured ÷ reckoned. */
  factor: number;
  days: number;
  used_kg: number;
}

/** How much more, or less, a box on a scale used than reckoned, over the days of the plan's months; undefined with too few. */
export function scaleUse(
  { bees_kg, ua_WK, months }: WinterPlan,
  weights: readonly DailyWeight[],
  constants: Constants,
): ScaleUse | undefined {
  const { scaleGain_kg, scaleLoss_kg, scaleLeast_d } = constants;
  const dayUse = new Map(
    months.map(({ name, outside_C }) => [
      name,
      winter({ bees_kg, ua_WK, outside_C, days: 1, brood: false }, constants).stores_kg,
    ]),
  );
  let [days, used_kg, reckoned_kg] = [0, 0, 0];
  weights.slice(1).forEach(({ date, weight_kg }, index) => {
    const before = weights[index] as DailyWeight;
    const gap = daysBetween(before.date, date);
    const use = dayUse.get(monthName(date));
    const lost = before.weight_kg - weight_kg;
    if (use === undefined || gap <= 0 || lost / gap < -scaleGain_kg || lost / gap > scaleLoss_kg) return;
    days += gap;
    used_kg += lost;
    reckoned_kg += use * gap;
  });
  if (days < scaleLeast_d || reckoned_kg <= 0) return undefined;
  return { factor: Math.max(0, used_kg / reckoned_kg), days, used_kg };
}

const monthName = (date: string): string => monthNames[Number(date.slice(5, 7)) - 1] ?? '';
