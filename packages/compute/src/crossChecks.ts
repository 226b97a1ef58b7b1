import type { Problem } from '@yellow-cell/contract';

/**
 * A check beyond the range of single fields. It is given what it `reads` and nothing else, and only where no
 * field of that was refused: a value that its own field does not take never reaches it. `frames.length` reads
 * how many there are, whatever each of them is.
 */
export interface CrossCheck {
  reads: readonly string[];
  problems: (question: never) => Problem[];
}

/** What the checks say of a question in which these problems were found already. */
export function crossProblems(
  checks: readonly CrossCheck[],
  asked: unknown,
  found: readonly Problem[],
): Problem[] {
  const refused = found.map(({ path }) => path);
  return checks
    .filter(({ reads }) => !reads.some((read) => refused.some((path) => overlap(path, read))))
    .flatMap(({ reads, problems }) => problems(picked(asked, reads) as never));
}

const overlap = (a: string, b: string): boolean => isWithin(a, b) || isWithin(b, a);
const isWithin = (path: string, of: string): boolean => of === '' || `${path}.`.startsWith(`${of}.`);

/** The question with these fields alone. */
function picked(asked: unknown, reads: readonly string[]): object {
  const found: Record<string, unknown> = {};
  for (const read of reads) {
    const [field = '', inner] = read.split('.');
    const value = (asked as Record<string, unknown>)[field];
    found[field] = inner === undefined ? value : { [inner]: (value as Record<string, unknown>)[inner] };
  }
  return found;
}
