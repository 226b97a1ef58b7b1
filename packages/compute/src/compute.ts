import type { Problem } from '@yellow-cell/contract';
import { problemsOf } from './problems.ts';
import { isSubject, subjects } from './subjects.ts';

export type Computed = { ok: true; answer: unknown } | { ok: false; problems: Problem[] };

/** Answers a question that came from outside, whatever it is: every problem is listed, nothing is thrown for bad input. The answer of `export` is still on its way. */
export function compute(subject: string, asked: unknown): Computed {
  if (!isSubject(subject)) {
    const known = Object.keys(subjects).join(', ');
    return failed([
      { path: '', value: subject, sentence: `There is no subject “${subject}”; there are ${known}.` },
    ]);
  }
  const door = subjects[subject];
  const parsed = door.question.safeParse(asked);
  if (!parsed.success) {
    return failed(withFurther(problemsOf(parsed.error, asked), () => door.problems(asked as never)));
  }
  const problems = door.problems(parsed.data as never);
  if (problems.length > 0) return failed(problems);
  return { ok: true, answer: door.compute(parsed.data as never) };
}

/** The same for a question still in its text. */
export async function computeText(subject: string, text: string): Promise<Computed> {
  let asked: unknown;
  try {
    asked = JSON.parse(text);
  } catch {
    return failed([{ path: '', sentence: 'The question is not JSON.' }]);
  }
  const result = compute(subject, asked);
  return result.ok ? { ok: true, answer: await result.answer } : result;
}

/**
 * Cross-checks are asked even of a question with bad fields, so that all is said at once. What they say of a
 * field already named, or cannot say for want of its shape, is left out.
 */
function withFurther(found: Problem[], crossChecks: () => Problem[]): Problem[] {
  try {
    const named = found.map(({ path }) => path);
    const isNamed = (path: string) => named.some((each) => path === each || path.startsWith(`${each}.`));
    return [...found, ...crossChecks().filter(({ path }) => !isNamed(path))];
  } catch {
    return found;
  }
}

const failed = (problems: Problem[]): Computed => ({ ok: false, problems });
