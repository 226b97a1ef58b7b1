import { type CombContent, CombSide } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMB_COLUMNS, COMB_ROWS, combFields, combShares, fieldsAt } from './combFields.ts';

const CONTENTS: readonly CombContent[] = [
  'eggs',
  'openBrood',
  'sealed',
  'drone',
  'stores',
  'pollen',
  'partDrawn',
  'foundation',
];
/** Shares in hundredths that come to no more than the side. */
const sides = fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 8, maxLength: 8 }).map((parts) => {
  const all = Math.max(
    100,
    parts.reduce((sum, part) => sum + part, 0),
  );
  return Object.fromEntries(
    CONTENTS.map((content, index) => [content, Math.floor((100 * (parts[index] ?? 0)) / all) / 100]),
  ) as CombSide;
});
const middleOf = (fields: readonly (CombContent | null)[], content: CombContent) => {
  const at = fields.flatMap((each, field) => (each === content ? [field] : []));
  const mean = (of: (field: number) => number) => at.reduce((sum, field) => sum + of(field), 0) / at.length;
  return {
    row: mean((field) => Math.floor(field / COMB_COLUMNS)),
    away: mean((field) => Math.abs((field % COMB_COLUMNS) + 0.5 - COMB_COLUMNS / 2)),
  };
};

describe('a side of a comb, drawn from its shares', () => {
  it('bears each share, and gives it back', () => {
    fc.assert(
      fc.property(sides, (side) => {
        const shares = combShares(combFields(side));
        for (const content of CONTENTS) expect(shares[content] ?? 0).toBeCloseTo(side[content] ?? 0, 9);
        expect(CombSide.safeParse(shares).success).toBe(true);
      }),
    );
  });

  it('is full where its shares come to the whole, however they are rounded', () => {
    const thirds: CombSide = { sealed: 1 / 3, stores: 1 / 3, pollen: 1 / 3 };
    const fields = combFields(thirds);
    expect(fields).toHaveLength(COMB_COLUMNS * COMB_ROWS);
    expect(CombSide.safeParse(combShares(fields)).success).toBe(true);
    expect(fields.filter((content) => content === null).length).toBeLessThanOrEqual(2);
  });

  it('has brood in the middle, eggs about it, honey above, and what is not drawn below', () => {
    const fields = combFields({ sealed: 0.2, openBrood: 0.1, eggs: 0.1, stores: 0.2, foundation: 0.2 });
    const [sealed, eggs] = [middleOf(fields, 'sealed'), middleOf(fields, 'eggs')];
    expect(sealed.away).toBeLessThan(eggs.away);
    expect(middleOf(fields, 'stores').row).toBeLessThan(3);
    expect(middleOf(fields, 'foundation').row).toBeGreaterThan(6);
    // The corners above are honey, those below not drawn.
    expect([fields[0], fields[COMB_COLUMNS - 1]]).toEqual(['stores', 'stores']);
    expect([fields.at(-1), fields.at(-COMB_COLUMNS)]).toEqual(['foundation', 'foundation']);
  });
});

describe('a brush', () => {
  it('covers the field that it is on and those about it, and none beyond the edge', () => {
    expect(fieldsAt(0.5 / COMB_COLUMNS, 0.5 / COMB_ROWS, 0.9)).toEqual([0]);
    expect(fieldsAt(0.5 / COMB_COLUMNS, 0.5 / COMB_ROWS, 1)).toEqual([0, 1, COMB_COLUMNS]);
    const middle = fieldsAt(10.5 / COMB_COLUMNS, 5.5 / COMB_ROWS, 1);
    expect(middle).toEqual([90, 109, 110, 111, 130]);
    expect(fieldsAt(3, 3, 1)).toEqual([]);
  });
});
