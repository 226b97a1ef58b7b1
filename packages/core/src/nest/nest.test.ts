import type { NestQuestion } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ProblemsError } from '../problems.ts';
import { faultsOf, firstFit, sawnApart } from './nest.test.kit.ts';
import { nest, nestProblems, nestRounds } from './nest.ts';

const SHEET = { width_mm: 2_440, height_mm: 1_220 };
const side = { name: 'side', width_mm: 501, height_mm: 244, count: 6, turn: true };

describe('parts on sheets', () => {
  it('sawn from whole sheets find their way back: at most a tenth more sheets over the set, never more than rows', () => {
    let [used, known] = [0, 0];
    for (let seed = 1; seed <= 10; seed++) {
      const sheets = 1 + (seed % 2);
      const question = sawnApart(seed, sheets, 30, 3);
      const answer = nest(question);
      expect(faultsOf(question, answer)).toEqual([]);
      expect(answer.sheets.length).toBeLessThanOrEqual(firstFit(question));
      used += answer.sheets.length;
      known += sheets;
    }
    expect(used / known).toBeLessThanOrEqual(1.1);
  }, 60_000);

  it('give the same answer each time, each told better than the one before', () => {
    const question = sawnApart(5, 2, 20, 3);
    expect(nest(question)).toEqual(nest(question));
    let last = Number.POSITIVE_INFINITY;
    for (const { sheets } of nestRounds(question)) {
      expect(sheets.length).toBeLessThanOrEqual(last);
      last = sheets.length;
    }
  });

  it('are found in the same steps everywhere: sheets used and the largest rest of each answer told', () => {
    // The search is seeded and pure; browser, worker and shell must tell the same answers.
    const steps = (question: NestQuestion) =>
      [...nestRounds(question)].map(({ sheets, bound }) => [
        sheets.length,
        bound,
        Math.round(
          Math.max(
            0,
            ...sheets.flatMap(({ offcuts }) =>
              offcuts.map(({ width_mm, height_mm }) => width_mm * height_mm),
            ),
          ) / 100,
        ),
      ]);
    expect([sawnApart(3, 2, 14, 3), sawnApart(6, 1, 16, 3), sawnApart(11, 3, 9, 3.2)].map(steps)).toEqual([
      [
        [4, 2, 22_155],
        [3, 2, 27_792],
        [3, 2, 27_828],
        [2, 2, 0],
      ],
      [
        [3, 1, 16_849],
        [3, 1, 27_133],
        [2, 1, 8_928],
        [2, 1, 19_630],
        [2, 1, 22_619],
        [1, 1, 0],
      ],
      [
        [5, 3, 22_414],
        [4, 3, 16_372],
        [4, 3, 20_003],
        [4, 3, 20_003],
        [4, 3, 20_003],
        [3, 3, 0],
      ],
    ]);
  });

  it('list their cuts from edge to edge, one fewer than the pieces they make, and all that is left', () => {
    const { sheets } = nest({ sheet: SHEET, kerf_mm: 3, parts: [side] });
    const [sheet] = sheets;
    if (!sheet) throw new Error('No sheet.');
    const area = (list: readonly { width_mm: number; height_mm: number }[]) =>
      list.reduce((sum, { width_mm, height_mm }) => sum + width_mm * height_mm, 0);
    const kerf = sheet.cuts.reduce((sum, { from_mm, to_mm }) => sum + (to_mm - from_mm) * 3, 0);
    expect(area(sheet.placements) + area(sheet.offcuts) + kerf).toBeCloseTo(area([sheet]), 3);
    expect(sheet.cuts).toHaveLength(sheet.placements.length + sheet.offcuts.length - 1);
  });

  it('use pieces at hand first, and keep the grain', () => {
    const grained = { ...side, turn: false };
    const answer = nest({
      sheet: SHEET,
      kerf_mm: 3,
      parts: [grained],
      offcuts: [
        { name: 'left over', width_mm: 510, height_mm: 500 },
        { name: 'too narrow', width_mm: 240, height_mm: 900 },
      ],
    });
    const [first, ...rest] = answer.sheets;
    expect(first?.offcut).toBe('left over');
    expect(first?.placements).toHaveLength(2);
    expect(rest.every(({ offcut }) => offcut === null)).toBe(true);
    for (const { width_mm } of answer.sheets.flatMap(({ placements }) => placements))
      expect(width_mm).toBe(501);
    expect(
      nest({
        sheet: SHEET,
        kerf_mm: 3,
        parts: [{ ...side, count: 1 }],
        offcuts: [{ name: 'x', width_mm: 244, height_mm: 501 }],
      }).sheets.map(({ offcut }) => offcut),
    ).toEqual(['x']);
  });

  it('that fit nowhere are named, with their grain; none at all is no sheet', () => {
    const problems = nestProblems({
      sheet: SHEET,
      parts: [
        side,
        { ...side, name: 'beam', width_mm: 1_300, height_mm: 1_230 },
        { ...side, name: 'grained', width_mm: 300, height_mm: 1_300, turn: false },
      ],
    });
    expect(problems.map(({ path }) => path)).toEqual(['parts.1', 'parts.2']);
    expect(problems[1]?.sentence).toContain('grain kept');
    expect(nest({ sheet: SHEET, kerf_mm: 3, parts: [] })).toEqual({ sheets: [], yield: 0, bound: 0 });
    const onlyOffcut: NestQuestion = {
      sheet: { width_mm: 300, height_mm: 300 },
      kerf_mm: 3,
      parts: [{ ...side, count: 2 }],
      offcuts: [{ name: 'x', width_mm: 510, height_mm: 250 }],
    };
    expect(() => nest(onlyOffcut)).toThrow(ProblemsError);
    expect(nest({ ...onlyOffcut, parts: [{ ...side, count: 1 }] }).sheets).toHaveLength(1);
  });

  it('are all there, apart by the saw cut, inside, and can be sawn free, whatever they are', () => {
    const part = fc.record({
      width_mm: fc.integer({ min: 20, max: 1_200 }),
      height_mm: fc.integer({ min: 20, max: 1_200 }),
      count: fc.integer({ min: 1, max: 6 }),
      turn: fc.boolean(),
    });
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 8 }),
        fc.constantFrom(0, 3, 3.2),
        (list, kerf_mm) => {
          const parts = list.map((each, index) => ({ ...each, name: `P${index}` }));
          const question: NestQuestion = { sheet: SHEET, kerf_mm, parts };
          const answer = nest(question);
          expect(faultsOf(question, answer)).toEqual([]);
          expect(answer.sheets.length).toBeGreaterThanOrEqual(answer.bound);
          expect(answer.sheets.length).toBeLessThanOrEqual(firstFit(question));
        },
      ),
      { numRuns: 40 },
    );
  }, 60_000);
});
