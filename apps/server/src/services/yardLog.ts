import type { LogEvent, YardLog } from '@yellow-cell/contract';
import { fold, type Known } from '@yellow-cell/core';
import { boxIdPage } from '../store/boxes.ts';
import type { Store } from '../store/database.ts';
import { loadDesigns } from '../store/designs.ts';
import { eventsAbout } from '../store/events.ts';
import { findYard, yardIds } from '../store/yards.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { SEASON_KINDS, storyOf } from './story.ts';

/** The story of one page of a yard's boxes, for a reader who folds it at any date. */
export async function yardLog(
  context: Context,
  yard: string,
  after: string | undefined,
  limit: number,
): Promise<YardLog> {
  return context.reading(async (store) => {
    if (!(await findYard(store, yard))) throw new NotFound('There is no such yard.');
    const { ids, next } = await boxIdPage(store, yard, after, limit);
    return { ...(await logOf(store, ids)), next };
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

async function logOf(store: Store, boxes: readonly string[]): Promise<Pick<YardLog, 'events' | 'designs'>> {
  const { events, designIds } = await storyOf(store, {
    boxes: new Set(boxes),
    rounds: new Set(),
    yards: new Set(),
    seasons: new Set(),
  });
  return { events, designs: await loadDesigns(store, designIds) };
}
