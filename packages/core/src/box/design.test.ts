import type { DesignContent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxFromAbove } from '../drawing/fromAbove.ts';
import { designChanges } from './designChanges.ts';
import {
  dividerRange,
  hasEqualSlack,
  sidesOf,
  withCompartments,
  withDividerAt,
  withEntranceSide,
  withEqualSlack,
} from './editDesign.ts';
import { compartmentBays, deriveBox, designProblems, fitQuestionOf } from './model.ts';
import { upgradeDesign } from './schemaVersion.ts';
import { standardDesign } from './standardDesign.ts';

function threeWay(frames: readonly number[] = [3, 3, 3], thickness = 9.5): DesignContent {
  return standardDesign({ format: 'langstroth-deep', thickness: { mm: thickness }, frames });
}

const partIds = (design: DesignContent): string[] =>
  [...design.grooves, ...design.boards, ...design.bays, ...design.entrances]
    .map(({ id }) => id)
    .concat(design.bays.flatMap(({ frames }) => frames));

describe('a drawn design', () => {
  it('has the places and slacks that fit gives', () => {
    const { compartments, boards } = deriveBox(threeWay());
    expect(compartments.map(({ fit }) => fit.slack_mm)).toEqual([
      expect.closeTo(13.3, 6),
      expect.closeTo(13.3, 6),
      expect.closeTo(13.3, 6),
    ]);
    expect(boards.map(({ x }) => x[0])).toEqual([118, 245.5]);
  });

  it('keeps the ids of parts through every edit and never gives one twice', () => {
    const counts = fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(fc.array(counts, { minLength: 1, maxLength: 8 }), (edits) => {
        let design = threeWay();
        const everGiven = new Set(partIds(design));
        for (const frames of edits) {
          const before = new Set(partIds(design));
          design = withCompartments(design, frames, { mm: 3 });
          const ids = partIds(design);
          expect(new Set(ids).size).toBe(ids.length);
          for (const id of ids) {
            if (!before.has(id)) expect(everGiven.has(id)).toBe(false);
            everGiven.add(id);
          }
          expect(design.bays).toHaveLength(design.grooves.length + 1);
        }
      }),
    );
  });

  it('says by how much a typed place is wrong, at that groove', () => {
    const board = threeWay().boards[1]?.id ?? '';
    const [problem] = designProblems(withDividerAt(threeWay(), board, { mm: 380 }));
    expect(problem).toMatchObject({
      path: 'grooves.1.at',
      sentence: expect.stringContaining('16.5 mm outside the right wall'),
    });
  });

  it('lets a divider go just as far as its neighbours leave room', () => {
    const design = threeWay();
    const board = design.boards[0]?.id ?? '';
    const [least, most] = dividerRange(design, board);
    for (const mm of [least, most]) expect(designProblems(withDividerAt(design, board, { mm }))).toEqual([]);
    expect(designProblems(withDividerAt(design, board, { mm: most + 0.6 }))).not.toEqual([]);
  });

  it('goes back to equal slack', () => {
    const design = threeWay();
    const moved = withDividerAt(design, design.boards[0]?.id ?? '', { mm: 90 });
    expect(hasEqualSlack(moved)).toBe(false);
    expect(withEqualSlack(moved).grooves).toEqual(design.grooves);
    expect(hasEqualSlack(threeWay([3, 2, 2, 3], 120))).toBe(true); // impossible, and still answerable
  });

  it('joins bays where a groove holds no board', () => {
    const design = threeWay();
    const pulled = { ...design, boards: design.boards.slice(1) };
    expect(compartmentBays(pulled).map((bays) => bays.length)).toEqual([2, 1]);
    expect(fitQuestionOf(pulled).frames).toEqual([6, 3]);
    expect(designProblems(pulled)).toEqual([]);
  });

  it('gives each compartment an entrance on a side that it touches', () => {
    for (const count of [1, 2, 3, 4, 5, 7]) {
      const design = threeWay(
        Array.from({ length: count }, () => 1),
        3,
      );
      design.entrances.forEach(({ side }, index) => {
        expect(sidesOf(index, count)).toContain(side);
      });
    }
    const design = threeWay();
    const moved = withEntranceSide(design, design.entrances[1]?.id ?? '', 'back');
    expect(moved.entrances[1]).toMatchObject({ side: 'back', along: { mm: 186.5 } });
  });

  it('names what changed between two versions', () => {
    const after = withCompartments({ ...threeWay(), insideWidth: { mm: 375 } }, [4, 5], { mm: 6 });
    expect(designChanges(threeWay(), after)).toEqual([
      'The inside width: 373 mm became 375 mm.',
      'The frames: 3/3/3 became 4/5.',
      'The divider thickness: 9.5 mm became 6 mm.',
      expect.stringContaining('The dividers: at 118 mm, 245.5 mm became at'),
      expect.stringContaining('The entrances'),
    ]);
    expect(designChanges(after, after)).toEqual([]);
  });

  it('refuses parts that name missing or doubled parts', () => {
    const design = threeWay();
    expect(designProblems({ ...design, bays: design.bays.slice(1) })).not.toEqual([]);
    expect(
      designProblems({ ...design, boards: design.boards.map((board) => ({ ...board, groove: 'none' })) })[0]
        ?.sentence,
    ).toContain('no groove');
    expect(
      designProblems({ ...design, grooves: design.grooves.map((groove) => ({ ...groove, id: 'same' })) })[0]
        ?.sentence,
    ).toContain('used twice');
  });
});

describe('a stored design', () => {
  it('is raised where older, refused where newer', () => {
    expect(upgradeDesign({ schemaVersion: 1 })).toEqual({ ok: true, design: { schemaVersion: 1 } });
    expect(upgradeDesign({ schemaVersion: 99 })).toMatchObject({
      ok: false,
      problem: { sentence: expect.stringContaining('newer program') },
    });
    expect(upgradeDesign({})).toMatchObject({ ok: false });
  });
});

describe('the drawing from above', () => {
  it('keeps every part inside the body, and no two frames or boards overlap', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 4 }), (frames) => {
        const design = threeWay(frames, 3.2);
        fc.pre(designProblems(design).length === 0);
        const model = deriveBox(design);
        fc.pre(model.compartments.every(({ fit }) => fit.slack_mm >= 0));
        const { rects, x, y } = boxFromAbove(model);
        for (const rect of rects) {
          expect(rect.x).toBeGreaterThanOrEqual(x[0] - 1e-9);
          expect(rect.x + rect.width).toBeLessThanOrEqual(x[1] + 1e-9);
          expect(rect.y).toBeGreaterThanOrEqual(y[0] - 1e-9);
          expect(rect.y + rect.height).toBeLessThanOrEqual(y[1] + 1e-9);
        }
        const across = rects
          .filter(({ role }) => role === 'frame' || role === 'divider')
          .sort((a, b) => a.x - b.x);
        across.slice(1).forEach((rect, index) => {
          const before = across[index];
          expect(rect.x).toBeGreaterThanOrEqual((before?.x ?? 0) + (before?.width ?? 0) - 1e-9);
        });
      }),
    );
  });

  it('measures compartments and divider thicknesses up to the whole', () => {
    const { dimensions } = boxFromAbove(deriveBox(threeWay()));
    const widths = dimensions
      .filter(({ row, axis }) => axis === 'x' && row === 1)
      .map(({ from, to }) => to - from);
    expect(widths.reduce((sum, width) => sum + width, 0) + 2 * 9.5).toBeCloseTo(373, 9);
  });
});
