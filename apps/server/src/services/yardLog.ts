import type { YardLog } from '@yellow-cell/contract';
import { boxIdPage } from '../store/boxes.ts';
import type { Store } from '../store/database.ts';
import { loadDesigns } from '../store/designs.ts';
import { findYard } from '../store/yards.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { storyOf } from './story.ts';

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

/** The story of one box. */
export const boxLog = (context: Context, box: string): Promise<YardLog> =>
  context.reading(async (store) => ({ ...(await logOf(store, [box])), next: null }));

async function logOf(store: Store, boxes: readonly string[]): Promise<Pick<YardLog, 'events' | 'designs'>> {
  const { events, designIds } = await storyOf(store, {
    boxes: new Set(boxes),
    rounds: new Set(),
    yards: new Set(),
  });
  return { events, designs: await loadDesigns(store, designIds) };
}
