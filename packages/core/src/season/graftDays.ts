import type { SeasonQuestion } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';

/** Days from the graft on which cells are ripe (handbook 5). */
export const RIPE_D = 10;
const SUNDAY = 7;

/** A day on which a round may be grafted, with the lots that its queens can go to and how long they wait for each. */
export interface GraftDay {
  graft: Day;
  take: Day;
  /** Of its cells so many become queens. */
  rate: number;
  goesTo: readonly Going[];
}

/** Where queens of a day wait for a lot. */
export interface Going {
  lot: number;
  waits_d: number;
  /** In a bank, or not at all. */
  byBank: boolean;
  /** In their rooms. */
  inRoom: boolean;
}

/** Only days whose queens some lot can use are looked at: all others would but cost. */
export function graftDays(question: SeasonQuestion): GraftDay[] {
  const { from, to, lots, weekdays, closed = [], bank, roomWait_d = 0, standing = [] } = question;
  const shut = new Set(closed);
  const most = bank?.days ?? 0;
  return Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, (_, day) =>
    plusDays(from, day),
  ).flatMap((graft): GraftDay[] => {
    const { rate, take_d } = spellOf(graft, question);
    const take = plusDays(graft, take_d);
    if (standing.some((round) => round.graft === graft)) return [];
    const closedThen = [graft, plusDays(graft, RIPE_D), take].some((day) => shut.has(day));
    if (rate === 0 || closedThen || (weekdays && !weekdays.includes(weekdayOf(graft)))) return [];
    const goesTo = lots.flatMap(({ by }, lot): Going[] => {
      const waits_d = daysBetween(take, by);
      const byBank = waits_d >= 0 && waits_d <= most;
      const inRoom = waits_d > 0 && waits_d <= roomWait_d;
      return byBank || inRoom ? [{ lot, waits_d, byBank, inRoom }] : [];
    });
    return goesTo.length > 0 ? [{ graft, take, rate, goesTo }] : [];
  });
}

/** What is known of the graft's time of the year: the last spell that has begun by then. */
const spellOf = (
  graft: Day,
  { rate, take_d, spells = [] }: SeasonQuestion,
): Pick<NonNullable<SeasonQuestion['spells']>[number], 'rate' | 'take_d'> =>
  spells.findLast(({ from }) => from <= graft) ?? { rate, take_d };

/** 1 is Monday. */
const weekdayOf = (day: Day): number => new Date(`${day}T00:00:00Z`).getUTCDay() || SUNDAY;
/** The Monday of a day's week. */
export const mondayOf = (day: Day): Day => plusDays(day, 1 - weekdayOf(day));
