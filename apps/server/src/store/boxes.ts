import type { BoxPage, BoxRow, CompartmentRow } from '@yellow-cell/contract';
import { sql } from 'kysely';
import type { Store } from './database.ts';

export interface PageQuery {
  yard?: string;
  /** Built from this design. */
  design?: string;
  /** Part of a label; letters of either case. */
  find?: string;
  after?: string;
  limit: number;
}

/** One page of boxes in the order of their labels, with their compartments, by key. */
export async function boxPage(store: Store, query: PageQuery): Promise<BoxPage> {
  const rows = await boxPageQuery(store, query).execute();
  const boxes = new Map<string, BoxRow>();
  const keys: string[] = [];
  for (const row of rows) {
    let box = boxes.get(row.id);
    if (!box) {
      const { id, label, design, designVersion, yard, stand } = row;
      box = { id, label, design, designVersion, yard, stand, compartments: [] };
      boxes.set(id, box);
      keys.push(`${row.label_key}~${id}`);
    }
    const { position, name, frames, status, since, due, dueFrom, dueExpected, dueTo } = row as CompartmentRow;
    box.compartments.push({ position, name, frames, status, since, due, dueFrom, dueExpected, dueTo });
  }
  const more = boxes.size > query.limit;
  return {
    boxes: [...boxes.values()].slice(0, query.limit),
    next: more ? (keys[query.limit - 1] ?? null) : null,
  };
}

/** The query alone, so that a benchmark can send the same SQL by itself: a line for each compartment, one box more than asked for. */
export function boxPageQuery(store: Store, { yard, design, find, after, limit }: PageQuery) {
  const [afterKey = '', afterId = ''] = splitKey(after);
  const page = store
    .selectFrom('box_state')
    .select(['breeder_id', 'box_id', 'label', 'label_key', 'design_id', 'design_version', 'yard_id', 'stand'])
    .where('taken_apart_on', 'is', null)
    .$if(yard !== undefined, (q) => q.where('yard_id', '=', yard ?? null))
    .$if(design !== undefined, (q) => q.where('design_id', '=', design ?? ''))
    .$if(find !== undefined, (q) => q.where('label', 'ilike', `%${escapeLike(find ?? '')}%`))
    .$if(after !== undefined, (q) =>
      q.where(sql<boolean>`(label_key, box_id) > (${afterKey}, ${afterId}::uuid)`),
    )
    .orderBy('label_key')
    .orderBy('box_id')
    .limit(limit + 1);
  return store
    .selectFrom(page.as('box'))
    .innerJoinLateral(
      (eb) =>
        eb
          .selectFrom('compartment_state')
          .select([
            'position',
            'name',
            'frames',
            'status',
            'since',
            'due',
            'due_from',
            'due_expected',
            'due_to',
          ])
          .whereRef('compartment_state.breeder_id', '=', 'box.breeder_id')
          .whereRef('compartment_state.box_id', '=', 'box.box_id')
          .orderBy('position')
          .as('c'),
      (join) => join.onTrue(),
    )
    .select([
      'box.box_id as id',
      'box.label',
      'box.label_key',
      'box.design_id as design',
      'box.design_version as designVersion',
      'box.yard_id as yard',
      'box.stand',
      'c.position',
      'c.name',
      'c.frames',
      'c.status',
      'c.since',
      'c.due',
      'c.due_from as dueFrom',
      'c.due_expected as dueExpected',
      'c.due_to as dueTo',
    ])
    .orderBy('box.label_key')
    .orderBy('box.box_id')
    .orderBy('c.position');
}

/** Keys of one page of a yard's boxes, in the order of their labels, and one more where there are more. */
export async function boxKeyPage(
  store: Store,
  yard: string,
  after: string | undefined,
  limit: number,
): Promise<{ id: string; key: string }[]> {
  const [afterKey = '', afterId = ''] = splitKey(after);
  const rows = await store
    .selectFrom('box_state')
    .select(['box_id', 'label_key'])
    .where('yard_id', '=', yard)
    .$if(after !== undefined, (q) =>
      q.where(sql<boolean>`(label_key, box_id) > (${afterKey}, ${afterId}::uuid)`),
    )
    .orderBy('label_key')
    .orderBy('box_id')
    .limit(limit + 1)
    .execute();
  return rows.map(({ box_id, label_key }) => ({ id: box_id, key: `${label_key}~${box_id}` }));
}

export function splitKey(after: string | undefined): string[] {
  if (after === undefined) return [];
  const at = after.lastIndexOf('~');
  return [after.slice(0, at), after.slice(at + 1)];
}

export const escapeLike = (typed: string): string => typed.replace(/[\\%_]/g, (sign) => `\\${sign}`);
