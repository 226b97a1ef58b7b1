import type { Equipment } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { equipmentProblem, readyFrames } from './register.ts';

const line = (more: Partial<Equipment>): Equipment => ({
  id: 'e',
  kind: 'frame',
  name: 'Frames',
  count: 4,
  finish: '',
  condition: 'good',
  place: '',
  missing: '',
  format: 'langstroth-deep',
  comb: 'drawn',
  ...more,
});

describe('what lies ready', () => {
  it('is counted by format and what it holds, without what is broken or to be cleaned', () => {
    const register = [
      line({}),
      line({ count: 3, condition: 'worn' }),
      line({ count: 9, condition: 'toClean' }),
      line({ count: 2, comb: 'stores' }),
      line({ count: 5, format: 'national-deep' }),
      line({ count: 6, kind: 'part' }),
    ];
    expect(readyFrames(register, 'langstroth-deep')).toEqual([
      { comb: 'drawn', count: 7 },
      { comb: 'stores', count: 2 },
    ]);
    expect(readyFrames(register, 'dadant-blatt')).toEqual([]);
  });

  it('says of an excluder whether it is one', () => {
    const excluder = (slot_mm?: number, format: string | undefined = 'langstroth-deep') =>
      equipmentProblem({ ...line({ kind: 'excluder' }), format, slot_mm } as Equipment);
    expect(excluder(4.2)).toBeUndefined();
    expect(excluder(4.6)).toContain('4.6 mm');
    expect(excluder(3.9)).toContain('3.9 mm');
    expect(excluder(undefined)).toContain('its slots');
    expect(
      equipmentProblem({
        ...line({ kind: 'excluder', slot_mm: 4.2 }),
        format: undefined,
      } as unknown as Equipment),
    ).toContain('format');
    expect(equipmentProblem(line({}))).toBeUndefined();
  });
});
