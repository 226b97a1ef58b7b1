import type { CheckResult, DesignContent } from '@yellow-cell/contract';
import { benchWorker } from './benchWorker.ts';
import { useWorked } from './useWorked.ts';

const NONE: readonly CheckResult[] = [];
const check = (design: DesignContent): Promise<CheckResult[]> => benchWorker().check(design);

/** The checks of a design, worked out beside the page; while it is dragged, of the last that could be asked. */
export function useChecks(design: DesignContent): {
  checks: readonly CheckResult[];
  of: DesignContent | undefined;
} {
  const { answer = NONE, of } = useWorked(check, design, undefined);
  return { checks: answer, of: of?.[0] };
}
