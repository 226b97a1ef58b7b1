import type { Problem } from '@yellow-cell/contract';

/** Thrown where a question or an entry cannot be: carries every problem found, each with its place and sentence. */
export class ProblemsError extends Error {
  readonly problems: readonly Problem[];

  constructor(problems: readonly Problem[]) {
    super(problems.map(({ path, sentence }) => (path ? `${path}: ${sentence}` : sentence)).join(' '));
    this.name = 'ProblemsError';
    this.problems = problems;
  }
}

export function refuse(problems: readonly Problem[]): void {
  if (problems.length > 0) throw new ProblemsError(problems);
}
