import { dayOf } from '@yellow-cell/core';
import { listYards } from '../store/yards.ts';
import type { CalendarTask } from '../work/calendar.ts';
import type { Context } from './context.ts';
import { rearingSeason } from './rearing.ts';
import { storedYard } from './storedYard.ts';

/** All that a breeder's calendar is made of; days of rounds are told by the first yard's time. */
export async function calendarTask(context: Context): Promise<CalendarTask> {
  const [yards, zone] = await context.reading(async (store) => {
    const all = await listYards(store);
    const stored = [];
    for (const { id } of all) stored.push(await storedYard(context, store, id));
    return [stored, all[0]?.zone ?? 'UTC'] as const;
  });
  const today = dayOf(context.clock.now(), zone);
  return { yards, today, season: await rearingSeason(context, today) };
}
