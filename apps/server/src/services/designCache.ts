import type { Design } from '@yellow-cell/contract';
import type { Store } from '../store/database.ts';
import { loadDesigns } from '../store/designs.ts';

/** Saved versions never change, so a design read once is read for good until it has a version more; and a box derived from it is derived once. */
const KEPT = 500;
const known = new Map<string, { latest: number; design: Design }>();

export async function designsOf(store: Store, breeder: string, ids: readonly string[]): Promise<Design[]> {
  if (ids.length === 0) return [];
  const now = await store
    .selectFrom('design')
    .innerJoin('design_version as version', (join) =>
      join.onRef('version.breeder_id', '=', 'design.breeder_id').onRef('version.design_id', '=', 'design.id'),
    )
    .select((eb) => ['design.id', 'design.name', eb.fn.max('version.number').as('latest')])
    .where('design.id', 'in', ids)
    .groupBy(['design.id', 'design.name'])
    .execute();
  return knownDesigns(
    store,
    breeder,
    now.map(({ id, name, latest }) => ({ id, name, latest: Number(latest) })),
  );
}

export async function allDesigns(store: Store, breeder: string): Promise<Map<string, Design>> {
  const ids = await store.selectFrom('design').select('id').execute();
  const designs = await designsOf(
    store,
    breeder,
    ids.map(({ id }) => id),
  );
  return new Map(designs.map((design) => [design.id, design]));
}

/** The same where names and newest versions are known already. */
export async function knownDesigns(
  store: Store,
  breeder: string,
  now: readonly { id: string; name: string; latest: number }[],
): Promise<Design[]> {
  const keyOf = (id: string) => `${breeder} ${id}`;
  const stale = now.filter(({ id, latest }) => known.get(keyOf(id))?.latest !== latest);
  for (const design of await loadDesigns(
    store,
    stale.map(({ id }) => id),
  )) {
    if (known.size >= KEPT) known.delete(known.keys().next().value ?? '');
    known.set(keyOf(design.id), { latest: design.versions.at(-1)?.number ?? 0, design });
  }
  return now.flatMap(({ id, name }) => {
    const design = known.get(keyOf(id))?.design;
    return design ? [{ ...design, name }] : [];
  });
}
