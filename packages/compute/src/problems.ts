import type { Problem } from '@yellow-cell/contract';
import type { z } from 'zod';

type Issue = z.core.$ZodIssue;

/** What Zod found, as the product's own problems: one for each place, with a plain sentence. */
export function problemsOf(error: z.ZodError, asked: unknown): Problem[] {
  return error.issues.flatMap((issue) => problemsOfIssue(issue, asked));
}

function problemsOfIssue(issue: Issue, asked: unknown): Problem[] {
  const at = issue.path.map(String);
  if (issue.code === 'unrecognized_keys') {
    return issue.keys.map((key) => ({
      path: [...at, key].join('.'),
      ...shown(valueAt(asked, [...at, key])),
      sentence: `There is no field “${key.slice(0, MOST_CHARACTERS)}” here.`,
    }));
  }
  const value = valueAt(asked, at);
  return [{ path: at.join('.'), ...shown(value), sentence: sentenceOf(issue, value) }];
}

const MOST_CHARACTERS = 200;
const MOST_PARTS = 50;
/** What was sent, given back beside its problem where that helps: not a whole file, nor what is nested without end. */
function shown(value: unknown): { value?: unknown } {
  if (value === undefined) return {};
  if (typeof value === 'string') return { value: value.slice(0, MOST_CHARACTERS) };
  let left = MOST_PARTS;
  for (const waiting: unknown[] = [value]; waiting.length > 0; ) {
    const next = waiting.pop();
    left -= 1;
    if (left < 0 || (typeof next === 'string' && next.length > MOST_CHARACTERS)) return {};
    if (typeof next === 'object' && next !== null) waiting.push(...Object.values(next).slice(0, MOST_PARTS));
  }
  return { value };
}

function sentenceOf(issue: Issue, value: unknown): string {
  if (issue.code === 'invalid_type') {
    if (value === undefined) return 'This field is missing.';
    // A broken number is named here; a fraction where whole numbers belong has its own sentence.
    if (typeof value === 'number')
      return Number.isFinite(value) ? issue.message : 'The number is too large to be one.';
    return `${withArticle(issue.expected)} is needed here, not ${kindOf(value)}.`;
  }
  if (issue.code === 'invalid_value') return `One of ${issue.values.map(String).join(', ')} is needed here.`;
  if (issue.code === 'invalid_union') return 'None of the kinds known here has this shape.';
  if (
    issue.code === 'too_small' &&
    typeof issue.origin === 'string' &&
    issue.message.startsWith('Too small')
  ) {
    return `${issue.origin === 'array' ? 'The list' : 'The value'} is too short or too small.`;
  }
  if (issue.code === 'too_big' && issue.message.startsWith('Too big'))
    return `${issue.origin === 'array' || issue.origin === 'string' ? 'It is too long' : 'The value is too large'}; at most ${issue.maximum} fits here.`;
  return issue.message;
}

const withArticle = (expected: string): string =>
  /^[aeiou]/.test(expected) ? `An ${expected}` : `A ${expected}`;

function kindOf(value: unknown): string {
  if (value === null) return 'null';
  if (Array.isArray(value)) return 'a list';
  return typeof value === 'string' ? 'text' : withArticle(typeof value).toLowerCase();
}

function valueAt(asked: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>(
    (value, key) => (value as Readonly<Record<string, unknown>> | null | undefined)?.[key],
    asked,
  );
}
