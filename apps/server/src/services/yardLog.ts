import type { LogEvent, YardLog } from '@yellow-cell/contract';
import { fold, type Known } from '@yellow-cell/core';
import { besideOf } from '../store/beside.ts';
import { boxKeyPage } from '../store/boxes.ts';
import type { Store } from '../store/database.ts';
import { loadDesigns } from '../store/designs.ts';
import { countEvents, eventsAbout, eventsOfBoxes } from '../store/events.ts';
import { findYard, yardIds } from '../store/yards.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { designIdsOf, ROUND_KINDS, SEASON_KINDS, subjectIds } from './story.ts';

/** A page ends where its boxes have more entries than this between them: a reader of many boxes waits for none long. */
const ENTRIES_A_PAGE = 800;

/** The stories of one page of a yard's boxes, for a reader who tells them at any date; the yard's own weather with the first. */
export async function yardLog(
  context: Context,
  yard: string,
  after: string | undefined,
  limit: number,
): Promise<YardLog> {
  return context.reading(async (store) => {
    if (!(await findYard(store, yard))) throw new NotFound('There is no such yard.');
    const keys = await boxKeyPage(store, yard, after, limit);
    const page = await withinEntries(store, keys.slice(0, limit));
    const log = await logOf(
      store,
      page.map(({ id }) => id),
    );
    const yards = new Set([yard, ...subjectIds(log.events, 'yard')]);
    if (after !== undefined) yards.delete(yard);
    const weather = await eventsAbout(store, [...yards], ['weatherRecorded']);
    const next = page.length < keys.length ? (page.at(-1)?.key ?? null) : null;
    return { ...log, events: [...log.events, ...weather], next };
  });
}

/** The first of them, up to a page's entries; one at least. */
async function withinEntries<T extends { id: string }>(store: Store, boxes: readonly T[]): Promise<T[]> {
  const counts = await countEvents(
    store,
    boxes.map(({ id }) => id),
  );
  let sum = 0;
  return boxes.filter(({ id }, index) => {
    sum += counts.get(id) ?? 0;
    return index === 0 || sum <= ENTRIES_A_PAGE;
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
