import { type DehydratedState, dehydrate, hydrate, type Query } from '@tanstack/react-query';
import { queries } from './queries.ts';
import { keepSnapshot, readSnapshot } from './shelf.ts';

/** What was last seen of these is shown again without a network: the yards as they stand, not the whole log. */
const KEPT = [
  'session',
  'workshop',
  'yards',
  'designs',
  'standing',
  'around',
  'due',
  'years',
  'boxLog',
  'season',
  'toSettle',
  'rearing',
];
/** Another shape of what is kept makes the old of no use. */
const SHAPE = 'v5';
const KEEP_MS = 1_000;
/** Putting it all away takes a slow phone a while: it waits so long at most until nothing else is to be done. */
const IDLE_MS = 4_000;
const WAIT_MS = 800;

const isKept = ({ queryKey, state }: Query): boolean =>
  KEPT.includes(String(queryKey[0])) && state.status === 'success';

/** Puts back what was last seen; a device that is slow to answer does not hold up the start. */
export async function restoreQueries(): Promise<void> {
  await Promise.race([putBack(), new Promise<void>((done) => setTimeout(done, WAIT_MS))]);
}

/** Also when it comes late: what the server has told since is newer, and stays. */
async function putBack(): Promise<void> {
  const kept = await readSnapshot<{ shape: string; state: DehydratedState }>('queries');
  if (kept?.shape !== SHAPE) return;
  hydrate(queries, kept.state);
  // Shown at once, and asked for anew as soon as it is wanted.
  await queries.invalidateQueries({
    refetchType: 'none',
    predicate: ({ state }) => state.dataUpdatedAt < begun,
  });
}
const begun = Date.now();

/** Safari has no idle time to be told of. */
const whenIdle = (work: () => void): void => {
  if ('requestIdleCallback' in globalThis) requestIdleCallback(work, { timeout: IDLE_MS });
  else work();
};

/** Keeps what comes in, a moment after the first of it, or as the page is left: a server that is asked again and again puts it off no further. */
export function keepQueries(): void {
  let planned: ReturnType<typeof setTimeout> | undefined;
  const keep = (): void => {
    if (planned === undefined) return;
    clearTimeout(planned);
    planned = undefined;
    const state = dehydrate(queries, {
      shouldDehydrateQuery: isKept,
      shouldDehydrateMutation: () => false,
    });
    void keepSnapshot('queries', { shape: SHAPE, state });
  };
  queries.getQueryCache().subscribe(({ type, query }) => {
    if (type === 'updated' && isKept(query)) planned ??= setTimeout(whenIdle, KEEP_MS, keep);
  });
  window.addEventListener('pagehide', keep);
}
