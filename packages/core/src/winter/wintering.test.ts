import type { WinteringQuestion } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { winteringProgramme } from './wintering.ts';

type Option = WinteringQuestion['colonies'][number]['options'][number];
const way = (more: Partial<Option> = {}): Option => ({
  does: 'stays',
  loss: 0.4,
  sugar_kg: 2,
  work_min: 30,
  ...more,
});
/** A joins B, B joins C, D joins C; A and D could both move into one room; B and C keep each other warm. */
const question: WinteringQuestion = {
  prices: { colony: 100, sugar_kg: 1, hour: 10 },
  colonies: [
    { name: 'A', options: [way(), way({ joins: 1, loss: 1 }), way({ room: 'free' })] },
    { name: 'B', options: [way(), way({ joins: 2, loss: 1 })] },
    { name: 'C', options: [way()] },
    { name: 'D', options: [way(), way({ joins: 2, loss: 1 }), way({ room: 'free' })] },
  ],
  together: [{ a: { colony: 1, option: 0 }, b: { colony: 2, option: 0 }, gain: 0.25 }],
  fixed: [{ colony: 3, option: 0 }],
};
const rows = winteringProgramme(question, [0, 0, 0, 0])
  .split('\n')
  .map((line) => line.replace(/^ \w+: /, '').trim());

describe('a yard before winter as a programme', () => {
  it('has one way for each colony, a room for one, and who is joined stays and is joined once', () => {
    for (const row of [
      'x0_0 + x0_1 + x0_2 = 1',
      'x2_0 = 1',
      'x0_2 + x3_2 <= 1',
      // A joins B only where B joins nobody.
      'x0_1 + x1_1 <= 1',
      'x0_1 <= 1',
      // C is joined by B or by D, not by both.
      'x1_1 + x3_1 <= 1',
      'z0 - x1_0 <= 0',
      'z0 - x2_0 <= 0',
      'x3_0 = 1',
      // That choice is not to come out again.
      'x0_0 + x1_0 + x2_0 + x3_0 <= 3',
    ])
      expect(rows).toContain(row);
    // What does not join binds nobody.
    expect(rows.filter((row) => row.endsWith('<= 1'))).toHaveLength(4);
  });

  it('weighs loss, sugar and work by their prices, less what company saves', () => {
    const cost = rows.find((row) => row.includes('x0_0') && row.startsWith('+'));
    // 0.4 × 100 + 2 × 1 + half an hour × 10.
    expect(cost).toContain('+ 47 x0_0');
    expect(cost).toContain('- 25 z0');
  });
});
