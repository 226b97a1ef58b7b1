import { type Day, plusDays } from './days.ts';

/** A year of bees at a place, both days included: it begins in the midst of winter. */
export interface SeasonYear {
  /** The calendar year in which it begins. */
  year: number;
  from: Day;
  to: Day;
}

/** The year that begins in a calendar year: from January in the north, from July in the south. */
export function seasonYear(year: number, latitude_deg: number): SeasonYear {
  const first = latitude_deg < 0 ? '07-01' : '01-01';
  return { year, from: `${year}-${first}`, to: plusDays(`${year + 1}-${first}`, -1) };
}

/** The year that a day lies in. */
export function seasonYearOf(day: Day, latitude_deg: number): SeasonYear {
  const year = Number(day.slice(0, 4));
  const same = seasonYear(year, latitude_deg);
  return day >= same.from ? same : seasonYear(year - 1, latitude_deg);
}
