import { aroundQuery, queries, sessionQuery, standingQuery, yardsQuery } from './queries.ts';

/** A server that is slower than that is waited for on screen. */
const WAIT_MS = 1_000;

/**
 * Asks for what the yard shows before anything is drawn: one thing after the other, each drawn and held back for a
 * moment, would come later together. What was kept from before is shown at once instead.
 */
export async function askFirst(): Promise<void> {
  if (queries.getQueryData(sessionQuery.queryKey)) return;
  await Promise.race([askAll(), new Promise<void>((done) => setTimeout(done, WAIT_MS))]);
}

async function askAll(): Promise<void> {
  await Promise.all([queries.prefetchQuery(sessionQuery), queries.prefetchQuery(yardsQuery)]);
  const yards = queries.getQueryData(yardsQuery.queryKey) ?? [];
  const [, wanted] = /^\/yard\/?([^/]*)$/.exec(location.pathname) ?? [];
  const yard = wanted === '' ? yards[0] : yards.find(({ id }) => id === wanted);
  if (!yard) return;
  await Promise.all([
    queries.prefetchQuery(aroundQuery(yard.id)),
    queries.prefetchInfiniteQuery(standingQuery(yard.id)),
  ]);
}
