import type { CombSide } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { frameAdvice, inwardSides } from './frameAdvice.ts';

const advice = (left: CombSide, right: CombSide, inward?: 0 | 1) =>
  frameAdvice({ on: '2026-10-01', sides: [left, right] }, defaultConstants, inward).verdict;

describe('frame by frame, where the cavity is reduced (handbook 7)', () => {
  it.each<[string, CombSide, CombSide, 'keep' | 'out']>([
    ['any brood', { sealed: 0.1 }, {}, 'keep'],
    ['drone brood too', { drone: 0.2 }, { foundation: 1 }, 'keep'],
    ['stores worth feeling', { stores: 0.1 }, {}, 'keep'],
    ['pollen', {}, { pollen: 0.2 }, 'keep'],
    ['empty drawn comb', {}, {}, 'out'],
    ['a trace of stores', { stores: 0.02 }, {}, 'out'],
    ['foundation', { foundation: 1 }, { foundation: 1 }, 'out'],
    ['part drawn and empty', { partDrawn: 0.8 }, {}, 'out'],
  ])('%s', (_, left, right, verdict) => {
    expect(advice(left, right)).toBe(verdict);
  });

  it.each<[CombSide, CombSide, string]>([
    [{ partDrawn: 0.8 }, {}, 'part drawn, and nothing in it.'],
    [{}, { partDrawn: 0.8 }, 'part drawn, and nothing in it.'],
    [{ foundation: 1 }, {}, 'part drawn, and nothing in it.'],
    [{ foundation: 1 }, { foundation: 1 }, 'foundation.'],
    [{}, {}, 'empty drawn comb; as many stay as the feed still to be given will fill.'],
  ])('says of %o and %o why it goes', (left, right, reason) => {
    expect(frameAdvice({ on: '2026-10-01', sides: [left, right] }, defaultConstants).reason).toBe(reason);
  });

  it('turns the undrawn side of a frame with stores inward, and leaves it where it looks there', () => {
    const [drawn, not]: CombSide[] = [{ stores: 0.6 }, { partDrawn: 0.9 }];
    expect(advice(drawn as CombSide, not as CombSide, 0)).toBe('turn');
    expect(advice(drawn as CombSide, not as CombSide, 1)).toBe('keep');
    expect(advice(drawn as CombSide, not as CombSide)).toBe('keep');
  });

  it('knows the inward side from where the brood is', () => {
    const frame = (side: CombSide) => ({ on: '', sides: [side, side] as const });
    const row = [frame({}), undefined, frame({ sealed: 0.4 }), frame({ eggs: 0.2 }), frame({})];
    expect(inwardSides(row, defaultConstants)).toEqual([1, 1, undefined, undefined, 0]);
    expect(inwardSides([frame({}), frame({})], defaultConstants)).toEqual([undefined, undefined]);
  });
});
