import type { Climate } from '@yellow-cell/contract';
import { type Day, maxOn, plusDays } from '@yellow-cell/core';

export type Tint = 'warm' | 'cold' | 'plain';
/** Days in a row of which the climate says the same, first and last. */
export interface TintRun {
  from: Day;
  to: Day;
  tint: Tint;
}

/** Days that reach this in the mean let queens fly; those under the other are cold (handbook 5, flying weather). */
const FLIES_C = 18;
const COLD_C = 5;
export const tintOf = (max_C: number, flies: boolean): Tint =>
  flies ? 'warm' : max_C < COLD_C ? 'cold' : 'plain';

/** What a year's days are like in the yard's climate, its own or as estimated: the ground that days of which more is known are drawn on. */
export function expectedTints(
  { from, days }: { from: Day; days: number },
  climate: Climate | undefined,
  latitude_deg: number,
): TintRun[] {
  const runs: TintRun[] = [];
  for (let day = 0; day < days; day++) {
    const date = plusDays(from, day);
    const max_C = maxOn(climate, date, latitude_deg);
    const tint = tintOf(max_C, max_C >= FLIES_C);
    const last = runs.at(-1);
    if (last?.tint === tint) last.to = date;
    else runs.push({ from: date, to: date, tint });
  }
  return runs;
}
