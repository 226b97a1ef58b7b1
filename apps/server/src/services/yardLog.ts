import type { LogEvent, YardLog } from '@yellow-cell/contract';
import { fold, type Known } from '@yellow-cell/core';
import { besideOf } from '../store/beside.ts';
import { boxIdPage } from '../store/boxes.ts';
import type { Store } from '../store/database.ts';
import { loadDesigns } from '../store/designs.ts';
import { eventsAbout, eventsOfBoxes } from '../store/events.ts';
import { findYard, yardIds } from '../store/yards.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { designIdsOf, ROUND_KINDS, SEASON_KINDS, subjectIds } from './story.ts';

/** The stories of one page of a yard's boxes, for a reader who tells them at any date. */
export async function yardLog(
  context: Context,
  yard: string,
  after: string | undefined,
  limit: number,
): Promise<YardLog> {
  return context.reading(async (store) => {
    if (!(await findYard(store, yard))) throw new NotFound('There is no such yard.');
    const { ids, next } = await boxIdPage(store, yard, after, limit);
    const log = await logOf(store, ids);
    const yards = [yard, ...subjectIds(log.events, 'yard')];
    const weather = await eventsAbout(store, [...new Set(yards)], ['weatherRecorded']);
    return { ...log, events: [...log.events, ...weather], next };
  });
}

/** Blooms and trials of a yard in the order they happened, corrections applied. */
export const seasonLog = (context: Context, yard: string): Promise<LogEvent[]> =>
  context.reading(async (store) => {
    const known: Known = { designs: new Map(), yards: await yardIds(store) };
    return [...fold(known, await eventsAbout(store, [yard], SEASON_KINDS)).story];
  });

/** The story of one box. */
export const boxLog = (context: Context, box: string): Promise<YardLog> =>
  context.reading(async (store) => ({ ...(await logOf(store, [box])), next: null }));

async function logOf(store: Store, boxes: readonly string[]): Promise<Omit<YardLog, 'next'>> {
  const events = await eventsOfBoxes(store, boxes);
  const rounds = await eventsAbout(store, subjectIds(events, 'round'), ROUND_KINDS);
  const beside = (await besideOf(store, boxes)).map(({ event, box, before }) => ({ event, box, before }));
  const all = [...new Map([...rounds, ...events].map((event) => [event.id, event])).values()];
  const designs = new Set([...designIdsOf(all), ...beside.flatMap(({ before }) => before?.box.design ?? [])]);
  return { of: [...boxes], events: all, beside, designs: await loadDesigns(store, [...designs]) };
}
