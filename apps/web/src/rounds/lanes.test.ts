import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lanesOf } from './lanes.ts';

describe('lanes', () => {
  it('are one where nothing meets, and as many as meet', () => {
    expect(lanesOf([])).toEqual([]);
    expect(
      lanesOf([
        { from: 0, to: 10 },
        { from: 10, to: 20 },
      ]),
    ).toEqual([0, 0]);
    expect(
      lanesOf([
        { from: 0, to: 10 },
        { from: 9, to: 20 },
        { from: 12, to: 14 },
        { from: 13, to: 15 },
      ]),
    ).toEqual([0, 1, 0, 2]);
  });
  it('never have two over one another', () => {
    const span = fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 1, max: 200 }));
    fc.assert(
      fc.property(fc.array(span, { maxLength: 20 }), (spans) => {
        const all = spans.map(([from, wide]) => ({ from, to: from + wide }));
        const lanes = lanesOf(all);
        all.forEach((a, i) => {
          all.forEach((b, j) => {
            if (i < j && lanes[i] === lanes[j]) expect(a.to <= b.from || b.to <= a.from).toBe(true);
          });
        });
      }),
    );
  });
});
