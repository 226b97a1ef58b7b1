import type { Day } from './days.ts';

/** The half year in which colonies rear brood, both days included. */
export interface GrowingSeason {
  from: Day;
  to: Day;
}

/** The one that a day lies in: April to September, south of the equator October to March; undefined in winter. */
export function growingSeason(on: Day, latitude_deg: number): GrowingSeason | undefined {
  const [year, month] = [Number(on.slice(0, 4)), Number(on.slice(5, 7))];
  const isWarmInNorth = month >= 4 && month <= 9;
  if (isWarmInNorth !== latitude_deg >= 0) return undefined;
  if (isWarmInNorth) return { from: `${year}-04-01`, to: `${year}-09-30` };
  const begun = month >= 10 ? year : year - 1;
  return { from: `${begun}-10-01`, to: `${begun + 1}-03-31` };
}
