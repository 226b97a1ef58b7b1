interface Rated {
  rate: number | null;
  low: number;
  high: number;
}

/**
 * The clearest difference among groups: the one that is surely best and the one that is surely worst, where
 * their intervals part; undefined where all overlap or fewer than two have a decided attempt.
 */
export function clearestDifference<T extends Rated>(
  groups: readonly T[],
): { better: T; worse: T } | undefined {
  const decided = groups.filter(({ rate }) => rate !== null);
  const [first] = decided;
  if (!first) return undefined;
  const better = decided.reduce((best, each) => (each.low > best.low ? each : best), first);
  const worse = decided.reduce((worst, each) => (each.high < worst.high ? each : worst), first);
  return better.low > worse.high ? { better, worse } : undefined;
}
