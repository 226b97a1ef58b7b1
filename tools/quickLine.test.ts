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
  return `asks: ${answer.question}${answer.choices.length > 0 ? ` (${answer.choices.join(', ')})` : ''}`;
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
  it.each(examples)('%s', (line, understood) => {
    expect(said(read(line))).toBe(understood);
  });
});
