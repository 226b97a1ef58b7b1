import type { BoxPage, BoxRow, CompartmentRow } from '@yellow-cell/contract';
import { sql } from 'kysely';
import type { Store } from './database.ts';

export interface PageQuery {
  yard?: string;
  /** Part of a label; letters of either case. */
  find?: string;
  after?: string;
  limit: number;
}

/** One page of boxes in the order of their labels, with their compartments, by key. */
export async function boxPage(store: Store, query: PageQuery): Promise<BoxPage> {
  const rows = await boxPageQuery(store, query).execute();
  const boxes = rows.slice(0, query.limit);
  const last = rows.length > query.limit ? boxes.at(-1) : undefined;
  return {
    boxes: boxes.map(
      ({ label_key: _, ...row }): BoxRow => ({ ...row, compartments: row.compartments ?? [] }),
    ),
    next: last ? `${last.label_key}~${last.id}` : null,
  };
}

/** The query alone, so that a benchmark can send the same SQL by itself. */
export function boxPageQuery(store: Store, { yard, find, after, limit }: PageQuery) {
  const [afterKey = '', afterId = ''] = splitKey(after);
  return store
    .selectFrom('box_state as box')
    .select((eb) => [
      'box.box_id as id',
      'box.label',
      'box.label_key',
      'box.design_id as design',
      'box.design_version as designVersion',
      'box.yard_id as yard',
      'box.stand',
      eb
        .selectFrom('compartment_state as c')
        .select(
          sql<
            CompartmentRow[]
          >`json_agg(json_build_object('position', c.position, 'name', c.name, 'frames', c.frames,
            'status', c.status, 'since', c.since, 'due', c.due, 'dueFrom', c.due_from, 'dueExpected', c.due_expected,
            'dueTo', c.due_to) order by c.position)`.as('rows'),
        )
        .whereRef('c.breeder_id', '=', 'box.breeder_id')
        .whereRef('c.box_id', '=', 'box.box_id')
        .$castTo<CompartmentRow[] | null>()
        .as('compartments'),
    ])
    .where('box.taken_apart_on', 'is', null)
    .$if(yard !== undefined, (q) => q.where('box.yard_id', '=', yard ?? null))
    .$if(find !== undefined, (q) => q.where('box.label', 'ilike', `%${escapeLike(find ?? '')}%`))
    .$if(after !== undefined, (q) =>
      q.where(sql<boolean>`(box.label_key, box.box_id) > (${afterKey}, ${afterId}::uuid)`),
    )
    .orderBy('box.label_key')
    .orderBy('box.box_id')
    .limit(limit + 1);
}

/** Ids of one page of a yard's boxes, and the key of the next. */
export async function boxIdPage(
  store: Store,
  yard: string,
  after: string | undefined,
  limit: number,
): Promise<{ ids: string[]; next: string | null }> {
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
  const page = rows.slice(0, limit);
  const last = rows.length > limit ? page.at(-1) : undefined;
  return { ids: page.map(({ box_id }) => box_id), next: last ? `${last.label_key}~${last.box_id}` : null };
}

function splitKey(after: string | undefined): string[] {
  if (after === undefined) return [];
  const at = after.lastIndexOf('~');
  return [after.slice(0, at), after.slice(at + 1)];
}

const escapeLike = (typed: string): string => typed.replace(/[\\%_]/g, (sign) => `\\${sign}`);
