import type { NestQuestion } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { sawnApart } from '../nest/nest.test.kit.ts';
import { nest } from '../nest/nest.ts';
import { likeSheets, sawSteps, sawWords } from './sawing.ts';

const KERF = 3;
const floors: NestQuestion = {
  sheet: { width_mm: 2_440, height_mm: 1_220 },
  kerf_mm: KERF,
  parts: [{ name: 'A Floor panel', width_mm: 411, height_mm: 503, count: 20, turn: true }],
};
const figure = String;

describe('sawing at a table saw', () => {
  it('tells of sheets that are alike once', () => {
    const { sheets } = nest(floors);
    expect(sheets).toHaveLength(2);
    const alike = likeSheets([...sheets, ...sheets]);
    expect(alike.map(({ count }) => count).reduce((sum, count) => sum + count)).toBe(4);
    expect(alike.length).toBeLessThanOrEqual(2);
  });

  it('goes from the sheet to its strips to its parts, each setting of the fence once for pieces alike', () => {
    const sheet = {
      offcut: null,
      width_mm: 1_000,
      height_mm: 500,
      placements: [0, 303, 606].flatMap((x_mm) =>
        [0, 203].map((y_mm) => ({ name: 'A Side', x_mm, y_mm, width_mm: 300, height_mm: 200 })),
      ),
      cuts: [],
      offcuts: [],
    };
    const cuts = [
      { axis: 'x', at_mm: 403, from_mm: 0, to_mm: 1_000 },
      { axis: 'x', at_mm: 200, from_mm: 0, to_mm: 1_000 },
      { axis: 'y', at_mm: 300, from_mm: 0, to_mm: 200 },
      { axis: 'y', at_mm: 603, from_mm: 0, to_mm: 200 },
      { axis: 'y', at_mm: 906, from_mm: 0, to_mm: 200 },
      { axis: 'y', at_mm: 300, from_mm: 203, to_mm: 403 },
      { axis: 'y', at_mm: 603, from_mm: 203, to_mm: 403 },
      { axis: 'y', at_mm: 906, from_mm: 203, to_mm: 403 },
    ] as const;
    const steps = sawSteps({ ...sheet, cuts: [...cuts] }, KERF);
    expect(steps.map((step) => sawWords(step, figure))).toEqual([
      '1000 × 500, along: fence 200, 2 cuts. Gives 2 strips of 1000 × 200 and 1000 × 94 left.',
      '2 pieces of 1000 × 200, across: fence 300, 3 cuts each. Gives 3 × A and 91 × 200 left each.',
    ]);
    expect(steps.map((step) => step.cuts)).toEqual([
      [0, 1],
      [2, 3, 4, 5, 6, 7],
    ]);
  });

  it('uses every cut once and gives every part, whatever is packed', () => {
    for (let seed = 1; seed <= 8; seed++) {
      const question = sawnApart(seed, 2, 16, KERF);
      for (const sheet of nest(question).sheets) {
        const steps = sawSteps(sheet, KERF);
        expect(likeSheets([sheet, sheet])).toEqual([{ sheet, count: 2 }]);
        const used = steps.flatMap(({ cuts }) => cuts).sort((a, b) => a - b);
        expect(used).toEqual(sheet.cuts.map((_, index) => index));
        const given = steps.flatMap(({ pieces, gives }) =>
          gives.flatMap(({ what, count }) =>
            typeof what === 'object' ? new Array<string>(count * pieces).fill(what.part) : [],
          ),
        );
        const alone = sheet.cuts.length === 0 ? [] : sheet.placements.map(({ name }) => name);
        expect(given.sort()).toEqual(alone.sort());
        // As many passes as there are cuts, and no setting wider than its piece.
        for (const { pieces, fences, cuts, width_mm, height_mm } of steps) {
          expect(pieces * fences.reduce((sum, each) => sum + each.cuts, 0)).toBe(cuts.length);
          for (const { at_mm } of fences) expect(at_mm).toBeLessThanOrEqual(Math.max(width_mm, height_mm));
        }
      }
    }
  });

  it('names the design of a part where several lie on a sheet', () => {
    const [sheet] = nest({
      ...floors,
      parts: [{ name: 'Two: ways: A Side', width_mm: 411, height_mm: 1_220, count: 1, turn: false }],
    }).sheets;
    const [step] = sheet ? sawSteps(sheet, KERF) : [];
    expect(step && sawWords(step, figure)).toBe(
      '2440 × 1220, across: fence 411, 1 cut. Gives 1 × A of Two: ways and 2026 × 1220 left.',
    );
  });

  it('has nothing to saw of a sheet that is a part', () => {
    const [sheet] = nest({
      sheet: { width_mm: 411, height_mm: 503 },
      kerf_mm: KERF,
      parts: [{ name: 'A', width_mm: 411, height_mm: 503, count: 1, turn: false }],
    }).sheets;
    expect(sheet && sawSteps(sheet, KERF)).toEqual([]);
  });
});
