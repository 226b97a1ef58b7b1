import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { roundWants } from './roundWants.ts';

describe('what a round wants of bees and combs', () => {
  it('is what handbook 5 says: 1.8 kg start 90, 120 want 2.4 kg; 48 cells to a finisher', () => {
    const of = (grafts: number, cells: number) => roundWants(grafts, cells, defaultConstants);
    expect(of(30, 20)).toEqual({ starter_kg: 1.8, finishers: 1, rooms: 20 });
    expect(of(120, 48)).toMatchObject({ starter_kg: 2.4, finishers: 1 });
    expect(of(90, 49)).toMatchObject({ starter_kg: 1.8, finishers: 2 });
    expect(of(0, 0)).toMatchObject({ finishers: 0, rooms: 0 });
  });
});
