import { useEffect } from 'react';

/** So long a screen stands before anything is fetched that it does not need: a slow net is the first screen's alone. */
const REST_MS = 3_000;

/** Fetches what will be wanted next once the screen has stood for a while and has nothing else to do, so that it is there when it is pressed. */
export function useSoon(fetch: () => Promise<unknown>): void {
  useEffect(() => {
    let asked = 0;
    const timer = setTimeout(() => {
      // Safari has no idle time to be told of.
      if ('requestIdleCallback' in globalThis)
        asked = requestIdleCallback(() => void fetch().catch(() => undefined));
    }, REST_MS);
    return () => {
      clearTimeout(timer);
      if (asked) cancelIdleCallback(asked);
    };
  }, [fetch]);
}
