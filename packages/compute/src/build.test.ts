import { Buffer } from 'node:buffer';
import { familyDesign } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { compute, computeText } from './compute.ts';
import { subjects } from './subjects.ts';

const design = familyDesign('threeWay');
const sheet = { width_mm: 2_440, height_mm: 1_220 };
const side = { name: 'side', width_mm: 501, height_mm: 244, count: 6, turn: true };

describe('building from outside', () => {
  it('gives parts and nests in their own schemas', () => {
    for (const [subject, asked] of [
      ['parts', { design, joint: 'box' }],
      ['nest', { sheet, kerf_mm: 3, parts: [side] }],
    ] as const) {
      const result = compute(subject, asked);
      expect(result.ok && subjects[subject].answer.safeParse(result.answer).success).toBe(true);
    }
  });

  it('names what cannot be: a kerf below 0, a part larger than any sheet, a joint that is none', () => {
    const problems = (subject: string, asked: unknown) => {
      const result = compute(subject, asked);
      return result.ok ? [] : result.problems.map(({ path }) => path);
    };
    expect(problems('nest', { sheet, kerf_mm: -1, parts: [side] })).toEqual(['kerf_mm']);
    expect(problems('nest', { sheet, kerf_mm: 3, parts: [{ ...side, width_mm: 3_000 }] })).toEqual([
      'parts.0',
    ]);
    expect(problems('nest', { sheet, kerf_mm: 3, parts: [{ ...side, count: 0 }], extra: 1 })).toEqual([
      'parts.0.count',
      'extra',
    ]);
    expect(problems('parts', { design, joint: 'glued' })).toEqual(['joint']);
    expect(problems('export', { design, format: 'doc' })).toEqual(['format']);
    const tiny = { ...design, bed: { width: { mm: 40 }, length: { mm: 40 } } };
    expect(problems('export', { design: tiny, format: 'stl' })).toEqual(['design.bed']);
  });

  it.each([
    ['svg', 'utf8', '<svg'],
    ['dxf', 'utf8', 'SECTION'],
    ['csv', 'utf8', 'letter,part'],
    ['json', 'utf8', '"yellowCell": "design"'],
    ['pdf', 'base64', '%PDF-'],
    ['stl', 'base64', 'PK'],
    ['3mf', 'base64', 'PK'],
  ] as const)(
    'exports %s',
    async (format, encoding, start) => {
      const result = await computeText(
        'export',
        JSON.stringify({ design, name: 'Hütte 7/B', format, boxes: 2 }),
      );
      if (!result.ok) throw new Error(result.problems[0]?.sentence);
      const answer = subjects.export.answer.parse(result.answer);
      expect(answer).toMatchObject({ encoding, name: expect.stringMatching(/^h.*tte-7-b\./) });
      const text =
        encoding === 'utf8' ? answer.content : Buffer.from(answer.content, 'base64').toString('latin1');
      expect(text).toContain(start);
    },
    20_000,
  );

  it('gives a saw nothing of what is printed: meshes of it, and a cut list that says what each part fills', async () => {
    const printed = familyDesign('smallFormat');
    // A plain floor, so that nothing is laid in either.
    const all = { ...printed, floor: { ...printed.floor, kind: 'solid' } };
    const textOf = async (of: object, format: string) => {
      const result = await computeText('export', JSON.stringify({ design: of, name: 'P', format, boxes: 1 }));
      if (!result.ok) throw new Error(result.problems[0]?.sentence);
      return subjects.export.answer.parse(result.answer).content;
    };
    const drawn = (svg: string) => [...svg.matchAll(/data-part="(\w+)"/g)].map(([, key]) => key);
    const list = (await textOf(printed, 'csv')).split('\r\n');
    const mesh = list.find((line) => line.includes('mesh'))?.split(',')[0];
    expect(drawn(await textOf(printed, 'svg'))).toEqual([mesh]);
    expect(drawn(await textOf(all, 'svg'))).toEqual([]);
    expect(await textOf(all, 'dxf')).toContain('SECTION');
    expect(Buffer.from(await textOf(all, 'pdf'), 'base64').toString('latin1')).toContain('%PDF-');
  }, 20_000);
});
