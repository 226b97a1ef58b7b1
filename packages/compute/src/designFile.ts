import { DesignFile, type Problem } from '@yellow-cell/contract';
import { designProblems, upgradeDesign } from '@yellow-cell/core';
import { z } from 'zod';
import { problemsOf } from './problems.ts';

export type ReadDesign = { ok: true; file: DesignFile } | { ok: false; problems: Problem[] };

/** A design file in its text: raised to the schema of today and taken whole, or refused with every problem, its place and a sentence. */
export function readDesignFile(text: string): ReadDesign {
  let sent: unknown;
  try {
    sent = JSON.parse(text);
  } catch {
    return refused({ path: '', sentence: 'The file is damaged: it is not JSON.' });
  }
  if (!isRecord(sent) || sent.yellowCell !== 'design') {
    return refused({
      path: 'yellowCell',
      value: isRecord(sent) ? sent.yellowCell : undefined,
      sentence: 'This is no design file: it does not say “yellowCell”: “design”.',
    });
  }
  if (!isRecord(sent.content)) return refused({ path: 'content', sentence: 'The file holds no design.' });
  const raised = upgradeDesign(sent.content);
  if (!raised.ok) return refused({ ...raised.problem, path: `content.${raised.problem.path}` });
  const whole = { ...sent, content: raised.design };
  const parsed = DesignFile.safeParse(whole);
  if (!parsed.success) return { ok: false, problems: problemsOf(parsed.error, whole) };
  const problems = designProblems(parsed.data.content).map((problem) => ({
    ...problem,
    path: ['content', problem.path].filter(Boolean).join('.'),
  }));
  return problems.length > 0 ? { ok: false, problems } : { ok: true, file: parsed.data };
}

/** The JSON Schema of design files, published from the contract. */
export const designFileSchema = (): object => z.toJSONSchema(DesignFile, { unrepresentable: 'any' });

const refused = (problem: Problem): ReadDesign => ({ ok: false, problems: [problem] });
const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
