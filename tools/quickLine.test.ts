import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type QuickAnswer, readQuickLine } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { yard } from '../packages/core/src/quick/quick.test.kit.ts';
import { root } from './root.ts';

const read = (line: string): QuickAnswer => readQuickLine(line, yard, () => 'new');
function said(answer: QuickAnswer): string {
  if (answer.is === 'search') return 'looks for it';
  if (answer.is === 'entry') return answer.words;
  const choices = answer.choices.map(({ says }) => says).join(', ');
  return `asks: ${answer.question}${choices ? ` (${choices})` : ''}`;
}

const document = readFileSync(join(root, 'docs', 'quick-line.md'), 'utf8');
const examples = [...document.matchAll(/^\| (.+?) \| (.+?) \|$/gmu)]
  .map(([, line = '', understood = '']) => [line, understood] as const)
  .filter(([line]) => line !== 'line');

describe('docs/quick-line.md', () => {
  it('has a hundred documented examples, some of which must ask', () => {
    expect(examples.length).toBeGreaterThanOrEqual(100);
    expect(examples.filter(([, understood]) => understood.startsWith('asks:')).length).toBeGreaterThan(20);
  });
  it('asks nothing whose choices do not lead on', () => {
    const asked = examples.flatMap(([line]) => {
      const answer = read(line);
      return answer.is === 'ask' ? [{ line, answer }] : [];
    });
    for (const { line, answer } of asked)
      for (const choice of answer.choices) {
        const next = read(choice.line);
        expect(next.is, `${line} → ${choice.line}`).not.toBe('search');
        expect(said(next)).not.toContain('not understood');
        expect(said(next)).not.toBe(said(answer));
      }
  });
  it.each(examples)('%s', (line, understood) => {
    expect(said(read(line))).toBe(understood);
  });
});
