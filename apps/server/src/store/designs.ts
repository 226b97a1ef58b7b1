import {
  type Design,
  type DesignContent,
  DesignContent as DesignContentSchema,
  type DesignSummary,
  type DesignVersion,
} from '@yellow-cell/contract';
import { ProblemsError, upgradeDesign } from '@yellow-cell/core';
import { sql } from 'kysely';
import { currentBreeder, type Store } from './database.ts';

interface VersionRow {
  design_id: string;
  id: string;
  number: number;
  content: object;
  note: string;
  saved_at: string;
  saved_by: string;
}

/** Designs whole, with all their versions in order; all of the breeder's, or those of `ids`. */
export async function loadDesigns(store: Store, ids?: readonly string[]): Promise<Design[]> {
  if (ids?.length === 0) return [];
  const designs = await store
    .selectFrom('design')
    .select(['id', 'name'])
    .$if(ids !== undefined, (query) => query.where('id', 'in', ids ?? []))
    .orderBy('name')
    .execute();
  const versions = await store
    .selectFrom('design_version')
    .select(['design_id', 'id', 'number', 'content', 'note', 'saved_at', 'saved_by'])
    .$if(ids !== undefined, (query) => query.where('design_id', 'in', ids ?? []))
    .orderBy('number')
    .execute();
  return designs.map((design) => ({
    ...design,
    versions: versions.filter(({ design_id }) => design_id === design.id).map(versionOf),
  }));
}

/** The newest version of each design, and how many boxes were built from any. */
export async function listDesigns(store: Store): Promise<DesignSummary[]> {
  const rows = await store
    .selectFrom('design')
    .innerJoin('design_version as version', (join) =>
      join
        .onRef('version.breeder_id', '=', 'design.breeder_id')
        .onRef('version.design_id', '=', 'design.id')
        .on(
          'version.number',
          '=',
          sql<number>`(select max(number) from design_version newest where newest.breeder_id = design.breeder_id and newest.design_id = design.id)`,
        ),
    )
    .select((eb) => [
      'design.name',
      'version.design_id',
      'version.id',
      'version.number',
      'version.content',
      'version.note',
      'version.saved_at',
      'version.saved_by',
      eb
        .selectFrom('box_state')
        .select(sql<number>`count(*)::int`.as('boxes'))
        .whereRef('box_state.breeder_id', '=', 'design.breeder_id')
        .whereRef('box_state.design_id', '=', 'design.id')
        .as('boxes'),
    ])
    .orderBy('design.name')
    .execute();
  return rows.map((row) => ({
    id: row.design_id,
    name: row.name,
    latest: versionOf(row),
    boxes: row.boxes ?? 0,
  }));
}

export async function addDesign(store: Store, id: string, name: string): Promise<void> {
  await store
    .insertInto('design')
    .values({ breeder_id: currentBreeder, id, name })
    .onConflict((conflict) => conflict.doNothing())
    .execute();
}

export async function renameDesign(store: Store, id: string, name: string): Promise<void> {
  await store.updateTable('design').set({ name }).where('id', '=', id).execute();
}

/** Holds the design until the transaction ends, so that two writers cannot make the same version. */
export async function lockDesign(store: Store, id: string): Promise<boolean> {
  return (
    (await store.selectFrom('design').select('id').where('id', '=', id).forUpdate().executeTakeFirst()) !==
    undefined
  );
}

export async function addVersion(
  store: Store,
  design: string,
  { content, ...version }: DesignVersion,
): Promise<void> {
  const { id, number, note, savedAt, savedBy } = version;
  await store
    .insertInto('design_version')
    .values({
      breeder_id: currentBreeder,
      design_id: design,
      id,
      number,
      content: JSON.stringify(content),
      note,
      saved_at: savedAt,
      saved_by: savedBy,
    })
    .execute();
}

function versionOf({ id, number, content, note, saved_at, saved_by }: VersionRow): DesignVersion {
  return { id, number, content: contentOf(content), note, savedAt: saved_at, savedBy: saved_by };
}

function contentOf(stored: object): DesignContent {
  const raised = upgradeDesign(stored as Record<string, unknown>);
  if (!raised.ok) throw new ProblemsError([raised.problem]);
  return raised.design === stored ? (stored as DesignContent) : DesignContentSchema.parse(raised.design);
}
