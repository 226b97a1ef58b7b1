import type { Attempt, FailReason } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';

/** The days on which an attempt is decided; either may be missing. */
export interface Outcome {
  takeOn: Day | null;
  missOn: Day | null;
}

/** Eggs of these were never a mated queen's, so what looked like a take becomes a miss. */
const NEVER_MATED: readonly FailReason[] = ['droneLayer', 'layingWorkers'];

/**
 * A take is an attempt that reached laying; a miss one that failed before, or whose eggs turned out to be a
 * drone layer's or workers'. One lost after laying stays a take (handbook 1, attempt).
 */
export function outcomeOf({ layingOn, failed }: Attempt): Outcome {
  const missed = failed !== undefined && (layingOn === undefined || NEVER_MATED.includes(failed.reason));
  return { takeOn: layingOn ?? null, missOn: missed ? failed.on : null };
}

export type Verdict = 'take' | 'miss' | 'open';

/** The verdict as of a day; past `failBy` without eggs it is a miss though nobody said so. */
export function verdictOn({ takeOn, missOn }: Outcome, failBy: Day, today: Day): Verdict {
  if (missOn !== null && missOn <= today) return 'miss';
  if (takeOn !== null && takeOn <= today) return 'take';
  return failBy < today ? 'miss' : 'open';
}
