import jStat from 'jstat';

/**
 * Chance of at least `wanted` successes in `tries`, each with chance `rate` (binomial tail).
 * Terms are built by their ratios from the most likely one, then scaled by their own sum: no factorials,
 * so nothing overflows and nothing is lost to cancellation.
 */
export function atLeastBinomial(wanted: number, tries: number, rate: number): number {
  if (wanted > tries) return 0;
  if (wanted <= 0 || rate === 1) return 1;
  const odds = rate / (1 - rate);
  const mode = Math.min(tries, Math.floor((tries + 1) * rate));
  let all = 1;
  let kept = mode >= wanted ? 1 : 0;
  for (let term = 1, k = mode; k < tries && term > NEGLIGIBLE * all; k++) {
    term *= ((tries - k) / (k + 1)) * odds;
    all += term;
    if (k + 1 >= wanted) kept += term;
  }
  for (let term = 1, k = mode; k > 0 && term > NEGLIGIBLE * all; k--) {
    term *= k / ((tries - k + 1) * odds);
    all += term;
    if (k - 1 >= wanted) kept += term;
  }
  return kept / all;
}
const NEGLIGIBLE = 1e-20;

/**
 * The same where the rate itself is known only as Beta(a, b) (beta-binomial tail): one less the sum of the
 * terms below `wanted`, each from the one before by its ratio.
 */
export function atLeastBetaBinomial(wanted: number, tries: number, a: number, b: number): number {
  if (wanted > tries) return 0;
  let term = Math.exp(jStat.betaln(a, b + tries) - jStat.betaln(a, b));
  let less = 0;
  for (let k = 0; k < wanted; k++) {
    less += term;
    term *= ((tries - k) / (k + 1)) * ((k + a) / (tries - k - 1 + b));
  }
  return Math.min(1, Math.max(0, 1 - less));
}
