import { useSuspenseQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { nowFrom } from '../app/now.ts';
import { sessionQuery } from '../app/queries.ts';

const TICK_MS = 10_000;

/** The instant, told anew every few seconds: for clocks that people watch. */
export function useNow(): string {
  const { data: session, dataUpdatedAt } = useSuspenseQuery(sessionQuery);
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => tick((count) => count + 1), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return nowFrom(session.now, dataUpdatedAt);
}
