import type { RearingSeason } from '@yellow-cell/contract';
import {
  calendarEntries,
  constantsWith,
  type Day,
  lotEntries,
  lotStates,
  roomsFor,
  roundEntries,
  roundViews,
} from '@yellow-cell/core';
import { type StoredYard, viewsOf } from './storedYard.ts';

/** All yards of a breeder, and the rounds, with the day from which they are told. */
export interface CalendarTask {
  yards: readonly StoredYard[];
  season: RearingSeason;
  today: Day;
}

/** What is expected of all of them as a calendar file. */
export async function calendarOf({ yards, season, today }: CalendarTask): Promise<string> {
  const constants = constantsWith(yards[0]?.constants ?? {});
  const views = roundViews(season, constants, today);
  const entries = [
    ...yards.flatMap((stored) => calendarEntries(stored.yard, viewsOf(stored), stored.today)),
    ...roundEntries(views, today),
    ...lotEntries(lotStates(season, views, roomsFor(season, views, constants, today), today), today),
  ];
  const { calendarFile } = await import('@yellow-cell/files/calendar');
  return calendarFile(entries, 'Yellow Cell');
}
