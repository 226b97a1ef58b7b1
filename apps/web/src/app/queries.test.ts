import { QueryObserver } from '@tanstack/react-query';
import { afterEach, describe, expect, it } from 'vitest';
import { queries, refreshAfterEntry } from './queries.ts';

afterEach(() => queries.clear());

/** Answers of the server, one after the other as they are let come. */
function server() {
  const waiting: ((told: string) => void)[] = [];
  const queryFn = () => new Promise<string>((told) => waiting.push(told));
  const tell = async (told: string) => {
    waiting.shift()?.(told);
    await new Promise((later) => setTimeout(later));
  };
  return { queryFn, tell, asked: () => waiting.length };
}

describe('after an entry', () => {
  it('what was being asked for by no screen that stands yet is asked for again: its answer may be without the entry', async () => {
    const { queryFn, tell, asked } = server();
    const key = { queryKey: ['rearing', '2026-07-13'], queryFn };
    // As a screen does that waits for it before it is mounted.
    void queries.prefetchQuery(key);
    const refreshed = refreshAfterEntry();
    await tell('without the entry');
    await refreshed;
    const screen = new QueryObserver(queries, key);
    const seen: (string | undefined)[] = [];
    const leave = screen.subscribe(({ data }) => seen.push(data));
    expect(asked()).toBe(1);
    await tell('with it');
    expect(seen.at(-1)).toBe('with it');
    leave();
  });

  it('what screens show is asked for at once, what is not of the log is left', async () => {
    const { queryFn, tell, asked } = server();
    const other = server();
    const leave = [
      new QueryObserver(queries, { queryKey: ['standing', 'y'], queryFn }),
      new QueryObserver(queries, { queryKey: ['session'], queryFn: other.queryFn }),
    ].map((observer) => observer.subscribe(() => undefined));
    await tell('first');
    await other.tell('first');
    void refreshAfterEntry();
    expect([asked(), other.asked()]).toEqual([1, 0]);
    for (const end of leave) end();
  });
});
