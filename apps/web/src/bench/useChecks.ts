import type { CheckResult, DesignContent } from '@yellow-cell/contract';
import { useEffect, useState } from 'react';
import { benchWorker } from './benchWorker.ts';

/** The checks of a design, worked out beside the page; while it is dragged, of the last that could be asked. */
export function useChecks(design: DesignContent): {
  checks: readonly CheckResult[];
  of: DesignContent | undefined;
} {
  const [found, setFound] = useState<{ checks: readonly CheckResult[]; of: DesignContent | undefined }>({
    checks: [],
    of: undefined,
  });
  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(async () => {
      const checks = await benchWorker().check(design);
      if (wanted) setFound({ checks, of: design });
    }, SETTLE_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [design]);
  return found;
}
/** A drag asks once it rests this long. */
const SETTLE_MS = 120;
