import type { Design, DesignVersion, NewDesign, NewVersion, NextVersion } from '@yellow-cell/contract';
import { designChanges, designProblems, ProblemsError } from '@yellow-cell/core';
import { findBreeder } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import { addDesign, addVersion, loadDesigns, lockDesign, renameDesign } from '../store/designs.ts';
import { Conflict, NotFound } from './conflict.ts';
import type { Context } from './context.ts';

export async function createDesign(context: Context, { id, name, version }: NewDesign): Promise<Design> {
  refuseImpossible(version);
  return context.within(async (store) => {
    await addDesign(store, id, name);
    await lockDesign(store, id);
    const design = await designById(store, id);
    if (!design.versions.some((each) => each.id === version.id)) {
      if (design.versions.length > 0)
        throw new Conflict('This design was already saved.', ['It has a first version.'], design);
      await addVersion(store, id, await versionFrom(context, store, version, 1));
    }
    return designById(store, id);
  });
}

/** The next version of a design; a version that came in between is a conflict that says what it changed. */
export async function saveVersion(
  context: Context,
  id: string,
  { basedOn, name, version }: NextVersion,
): Promise<Design> {
  refuseImpossible(version);
  return context.within(async (store) => {
    if (!(await lockDesign(store, id))) throw new NotFound('There is no such design.');
    const design = await designById(store, id);
    if (design.versions.some((each) => each.id === version.id)) return design;
    const latest = design.versions.at(-1);
    if (latest && latest.number !== basedOn) throw conflictOf(design, basedOn, latest);
    await addVersion(store, id, await versionFrom(context, store, version, basedOn + 1));
    if (name !== design.name) await renameDesign(store, id, name);
    return designById(store, id);
  });
}

export async function designById(store: Store, id: string): Promise<Design> {
  const [design] = await loadDesigns(store, [id]);
  if (!design) throw new NotFound('There is no such design.');
  return design;
}

function refuseImpossible({ content }: NewVersion): void {
  const problems = designProblems(content);
  if (problems.length > 0)
    throw new ProblemsError(
      problems.map((problem) => ({ ...problem, path: `version.content.${problem.path}` })),
    );
}

function conflictOf(design: Design, basedOn: number, latest: DesignVersion): Conflict {
  const base = design.versions.find(({ number }) => number === basedOn);
  const changed = base ? designChanges(base.content, latest.content) : [];
  return new Conflict(
    `Version ${latest.number} of “${design.name}” was saved in between by ${latest.savedBy}.`,
    changed.length > 0 ? changed : ['Only its note or name changed.'],
    latest,
  );
}

async function versionFrom(
  { clock }: Context,
  store: Store,
  { id, content, note }: NewVersion,
  number: number,
): Promise<DesignVersion> {
  const savedBy = (await findBreeder(store))?.settings.person ?? '';
  return { id, number, content, note, savedAt: clock.now(), savedBy };
}
