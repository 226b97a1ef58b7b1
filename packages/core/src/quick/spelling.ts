import { distance } from 'fastest-levenshtein';

/** Words that a typed one may have been meant as: one letter put in, left out, changed, or two neighbours changed over. */
export function meantAs(typed: string, words: readonly string[]): string[] {
  if (typed.length < 3) return [];
  const near = words.filter((word) => word.length >= 3 && isOneSlip(typed, word));
  // The first letter is seldom the one that slips.
  return near
    .toSorted((a, b) => Number(b[0] === typed[0]) - Number(a[0] === typed[0]))
    .slice(0, MOST_CHOICES);
}
const MOST_CHOICES = 4;

function isOneSlip(a: string, b: string): boolean {
  if (a === b || Math.abs(a.length - b.length) > 1) return false;
  if (distance(a, b) === 1) return true;
  const first = [...a].findIndex((letter, index) => letter !== b[index]);
  return (
    a.length === b.length &&
    a[first] === b[first + 1] &&
    a[first + 1] === b[first] &&
    a.slice(first + 2) === b.slice(first + 2)
  );
}
