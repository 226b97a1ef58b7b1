import { useEffect, useState } from 'react';

/** So long nothing stands under the thumb that has just pressed: the next action is not entered by a second tap. */
const INERT_MS = 1_500;

/** What was kept a moment ago, shown in place of the large button until that may be pressed again. */
export function useJustKept(inert_ms = INERT_MS): {
  justKept: string | undefined;
  keep: (name: string | undefined) => void;
} {
  const [justKept, keep] = useState<string>();
  useEffect(() => {
    if (justKept === undefined) return;
    const timer = setTimeout(() => keep(undefined), inert_ms);
    return () => clearTimeout(timer);
  }, [justKept, inert_ms]);
  return { justKept, keep };
}
