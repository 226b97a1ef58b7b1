import { useEffect } from 'react';

/** Fetches what will be wanted next once the screen has nothing else to do, so that it is there when it is pressed. */
export function useSoon(fetch: () => Promise<unknown>): void {
  useEffect(() => {
    // Safari has no idle time to be told of.
    if (!('requestIdleCallback' in globalThis)) return undefined;
    const asked = requestIdleCallback(() => void fetch().catch(() => undefined));
    return () => cancelIdleCallback(asked);
  }, [fetch]);
}
