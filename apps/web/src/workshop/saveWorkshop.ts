import type { KeptWorkshop, Workshop } from '@yellow-cell/contract';
import { sendJson } from '../app/api.ts';
import { queries, workshopQuery } from '../app/queries.ts';

/** What a change makes of the workshop as it stands when its turn comes. */
export type WorkshopChange = (now: Workshop) => Partial<Workshop>;

let last: Promise<unknown> = Promise.resolve();

/**
 * Changes take turns, each laid over what the one before it left; one that somebody else was faster than is refused, and
 * what they made of it is shown. Gives the change that takes this one back.
 */
export function saveWorkshop(change: WorkshopChange): Promise<WorkshopChange> {
  const turn = last.then(() => save(change));
  last = turn.catch(() => undefined);
  return turn;
}

async function save(change: WorkshopChange): Promise<WorkshopChange> {
  const { version, ...now } = await queries.ensureQueryData(workshopQuery);
  const changed = change(now);
  try {
    const kept = await sendJson<KeptWorkshop>('PUT', '/workshop', { ...now, ...changed, version });
    queries.setQueryData(workshopQuery.queryKey, kept);
  } catch (error) {
    void queries.invalidateQueries({ queryKey: workshopQuery.queryKey });
    throw error;
  }
  const before = Object.keys(changed).map((field) => [field, now[field as keyof Workshop]]);
  return () => Object.fromEntries(before);
}
