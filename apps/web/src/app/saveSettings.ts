import type { Settings } from '@yellow-cell/contract';
import { sendJson } from './api.ts';
import { queries, sessionQuery } from './queries.ts';

/**
 * Settings move on with every save, so a change is laid over the newest that is known: an undo writes over what
 * it undoes. What is on screen follows, also where the save is refused because somebody else was faster; that is not
 * waited for, as a server that is away is asked again for as long as it takes.
 */
export async function saveSettings(change: (now: Settings) => Partial<Settings>): Promise<void> {
  const { settings } = await queries.ensureQueryData(sessionQuery);
  const follow = () => queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
  try {
    await sendJson<Settings>('PUT', '/settings', { ...settings, ...change(settings) });
  } catch (error) {
    void follow();
    throw error;
  }
  await follow();
}
