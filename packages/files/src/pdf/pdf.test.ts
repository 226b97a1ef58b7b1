import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  buildSteps,
  defaultConstants,
  familyDesign,
  METRIC,
  nest,
  parts,
  sheetGroups,
  showLengthBare,
  usualWorkshop,
} from '@yellow-cell/core';
import { parseSync } from 'svgson';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildSheetPdf, type PaperName } from './index.ts';
import { PT } from './paper.ts';

const dir = mkdtempSync(join(tmpdir(), 'yellow-cell-pdf-'));
afterAll(() => rmSync(dir, { recursive: true, force: true }));

async function sheetOf(family: 'threeWay' | 'donorHolding', paper: PaperName, name: string): Promise<string> {
  const design = familyDesign(family);
  const answer = parts({ design });
  const groups = sheetGroups([{ design: name, boxes: 2, parts: answer.parts }], usualWorkshop.stock, 3);
  const bytes = await buildSheetPdf({
    name,
    design,
    joint: 'butt',
    boxes: 2,
    paper,
    measures: { ...METRIC, length: paper === 'Letter' ? 'inch' : 'mm' },
    answer,
    steps: buildSteps(design, 'butt', defaultConstants),
    sheets: groups.map((group) => ({ group, nested: group.question && nest(group.question), cost: null })),
  });
  const file = join(dir, `${family}-${paper}.pdf`);
  writeFileSync(file, bytes);
  return file;
}
const poppler = (tool: string, ...args: string[]): string => execFileSync(tool, args, { encoding: 'utf8' });

describe.each([
  ['threeWay', 'A4', [595.3, 841.9]],
  ['donorHolding', 'Letter', [612, 792]],
] as const)('the build sheet of %s on %s', (family, paper, [width, height]) => {
  let file: string;
  beforeAll(async () => {
    file = await sheetOf(family, paper, 'Κυψέλη “A & B” − ½');
  }, 30_000);
  const { parts: all } = parts({ design: familyDesign(family) });

  it('has the paper’s size on every page, and all its words', () => {
    const info = poppler('pdfinfo', file);
    const [, w, h] = /Page size:\s+([\d.]+) x ([\d.]+)/.exec(info) ?? [];
    expect(Number(w)).toBeCloseTo(width, 0);
    expect(Number(h)).toBeCloseTo(height, 0);
    const text = poppler('pdftotext', '-layout', file, '-');
    expect(text).toContain('Κυψέλη “A & B” − ½');
    for (const { name, length_mm } of all) {
      expect(text).toContain(name.split(',')[0]);
      expect(text).toContain(showLengthBare(length_mm, paper === 'Letter' ? 'inch' : 'mm'));
    }
    for (const { title } of buildSteps(familyDesign(family), 'butt', defaultConstants))
      expect(text).toContain(title);
    // Where what is cut into a part lies, beside its drawing, and how each sheet is sawn.
    const units = paper === 'Letter' ? 'inch' : 'mm';
    for (const { machining, length_mm } of all)
      for (const { x_mm, width_mm, round } of machining) {
        const at = round ? x_mm + width_mm / 2 : x_mm;
        if (at > 0.01 && at < length_mm - 0.01) expect(text).toContain(showLengthBare(at, units));
      }
    expect(text).toMatch(/Saw \d+ like this: /);
    expect(text).toMatch(/1\. .* × .*, (along|across): fence .* cuts?/);
    expect(text).toContain('Take care');
    expect(text).toMatch(/page 1 of \d/);
  });

  it('draws every part so large as its scale says, measured on the page', () => {
    const pages = Number(/Pages:\s+(\d+)/.exec(poppler('pdfinfo', file))?.[1]);
    const text = (page: number) => poppler('pdftotext', '-f', String(page), '-l', String(page), file, '-');
    const first = Array.from({ length: pages }, (_, index) => index + 1).find(
      (page) => text(page).includes('seen from the inner face\n') && text(page).includes('Parts, 1 : '),
    );
    const scale = Number(/Parts, 1 : ([\d.]+)/.exec(text(first ?? 0))?.[1]);
    expect(scale).toBeGreaterThan(0);
    const drawn = Array.from({ length: pages - (first ?? 1) + 1 }, (_, index) =>
      extentsOn(file, (first ?? 1) + index),
    ).flat();
    for (const { length_mm, width_mm } of all) {
      const found = drawn.some(
        ([w, h]) =>
          Math.abs(w - (length_mm / scale) * PT) < 0.05 && Math.abs(h - (width_mm / scale) * PT) < 0.05,
      );
      expect([length_mm, width_mm, found]).toEqual([length_mm, width_mm, true]);
    }
  });
});

/** Width and height in points of every path on a page, as poppler draws it. */
function extentsOn(file: string, page: number): [number, number][] {
  const out = join(dir, 'page.svg');
  execFileSync('pdftocairo', ['-svg', '-f', String(page), '-l', String(page), file, out]);
  const found: [number, number][] = [];
  const walk = (node: ReturnType<typeof parseSync>): void => {
    const d = node.name === 'path' ? node.attributes.d : undefined;
    if (d) {
      const numbers = [...d.matchAll(/-?[\d.]+/g)].map(([value]) => Number(value));
      const [, a = 1, , , e = 1] =
        /matrix\(([-\d.]+), ([-\d.]+), ([-\d.]+), ([-\d.]+)/
          .exec(node.attributes.transform ?? '')
          ?.map(Number) ?? [];
      const xs = numbers.filter((_, index) => index % 2 === 0);
      const ys = numbers.filter((_, index) => index % 2 === 1);
      if (!/[CH]/.test(d) || /Z/.test(d))
        found.push([
          (Math.max(...xs) - Math.min(...xs)) * Math.abs(a),
          (Math.max(...ys) - Math.min(...ys)) * Math.abs(e),
        ]);
    }
    node.children.forEach(walk);
  };
  walk(parseSync(readFileSync(out, 'utf8')));
  return found;
}
