import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { playbooks } from '@yellow-cell/core';
import { expect, it } from 'vitest';
import { chapters, inGuide } from './titles.ts';

const folder = join(import.meta.dirname, '../../../../docs/guide');

it('every chapter that is written has its file, under its own title', () => {
  const written = chapters.flatMap((each) => ('file' in each ? [each] : []));
  expect(written.map(({ file }) => `${file}.md`)).toEqual(readdirSync(folder).sort());
  for (const { title, file } of written)
    expect(readFileSync(join(folder, `${file}.md`), 'utf8').split('\n')[0]).toBe(`# ${title}`);
});

it('chapters and playbooks are found by a part of their name', () => {
  const found = (word: string) => inGuide((name) => name.toLowerCase().includes(word), playbooks);
  expect(found('caution')).toEqual([{ name: 'Cautions', path: '/guide#cautions' }]);
  expect(found('bank')).toEqual([{ name: 'Queen bank', path: '/guide#queen-bank' }]);
  expect(found('no such word')).toEqual([]);
});
