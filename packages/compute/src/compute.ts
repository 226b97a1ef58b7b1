import type { Problem } from '@yellow-cell/contract';
import { crossProblems } from './crossChecks.ts';
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
  const found = parsed.success ? [] : problemsOf(parsed.error, asked);
  const problems = [...found, ...crossProblems(door.checks, parsed.data ?? asked, found)];
  return problems.length > 0 ? failed(problems) : { ok: true, answer: door.compute(parsed.data as never) };
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

const failed = (problems: Problem[]): Computed => ({ ok: false, problems });
