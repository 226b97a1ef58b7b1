import type { KeptWorkshop, Workshop } from '@yellow-cell/contract';
import { sendJson } from '../app/api.ts';
import { queries, workshopQuery } from '../app/queries.ts';

/**
 * Lays a change over the newest workshop that is known, and shows what is kept then; also where the save is refused
 * because somebody else was faster.
 */
export async function saveWorkshop(change: Partial<Workshop>): Promise<void> {
  const now = await queries.ensureQueryData(workshopQuery);
  try {
    const kept = await sendJson<KeptWorkshop>('PUT', '/workshop', { ...now, ...change });
    queries.setQueryData(workshopQuery.queryKey, kept);
  } catch (error) {
    void queries.invalidateQueries({ queryKey: workshopQuery.queryKey });
    throw error;
  }
}
