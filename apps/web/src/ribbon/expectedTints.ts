import type { Climate } from '@yellow-cell/contract';
import { type Constants, type Day, maxOn, plusDays } from '@yellow-cell/core';

export type Tint = 'warm' | 'cold' | 'plain';
/** Days in a row of which the climate says the same, first and last. */
export interface TintRun {
  from: Day;
  to: Day;
  tint: Tint;
}

export const tintOf = (max_C: number, flies: boolean, { coldDay_C }: Constants): Tint =>
  flies ? 'warm' : max_C < coldDay_C ? 'cold' : 'plain';

/** What a year's days are like in the yard's climate, its own or as estimated: the ground that days of which more is known are drawn on. */
export function expectedTints(
  { from, days }: { from: Day; days: number },
  climate: Climate | undefined,
  latitude_deg: number,
  constants: Constants,
): TintRun[] {
  const runs: TintRun[] = [];
  for (let day = 0; day < days; day++) {
    const date = plusDays(from, day);
    const max_C = maxOn(climate, date, latitude_deg);
    const tint = tintOf(max_C, max_C >= constants.queensFly_C, constants);
    const last = runs.at(-1);
    if (last?.tint === tint) last.to = date;
    else runs.push({ from: date, to: date, tint });
  }
  return runs;
}
