import type { Climate } from '@yellow-cell/contract';
import jStat from 'jstat';
import type { Constants } from '../constants/registry.ts';
import { maxOn } from '../winter/ownClimate.ts';

/** Of the days of a month whose weather is known, so many flew. */
export interface MonthFlown {
  /** 1 is January. */
  month: number;
  known: number;
  flew: number;
}

/** Any year: only its months count. */
const YEAR = 2026;
const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);

/**
 * The share of days on which queens can fly in each month, January first: what the yard's own days say, leaning on its
 * climate as if that were some more of them.
 */
export function flyingShares(
  flown: readonly MonthFlown[],
  climate: Climate | undefined,
  latitude_deg: number,
  constants: Constants,
): number[] {
  const { climateWorth_d } = constants;
  return MONTHS.map((month) => {
    const { known, flew } = flown.find((each) => each.month === month) ?? { known: 0, flew: 0 };
    const byClimate = shareByClimate(month, climate, latitude_deg, constants);
    return (flew + climateWorth_d * byClimate) / (known + climateWorth_d);
  });
}

/** Days that are warm enough, strayed about what the middle of the month reaches, and dry. */
function shareByClimate(
  month: number,
  climate: Climate | undefined,
  latitude_deg: number,
  { queensFly_C, strayDay_K, dryShare }: Constants,
): number {
  const reached_C = maxOn(climate, `${YEAR}-${String(month).padStart(2, '0')}-15`, latitude_deg);
  return dryShare * (1 - jStat.normal.cdf(queensFly_C, reached_C, strayDay_K));
}
