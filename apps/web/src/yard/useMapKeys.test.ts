import { describe, expect, it } from 'vitest';
import { nextTo, type OnMap } from './useMapKeys.ts';

const at = (box: string, x: number, y: number): OnMap => ({ box, x, y });
const rows = [at('a1', 0, 0), at('a2', 100, 5), at('a3', 200, -5), at('b1', 0, 120), at('b2', 110, 118)];
const from = (box: string) => rows.find((place) => place.box === box) as OnMap;
const RIGHT = [1, 0] as const;
const LEFT = [-1, 0] as const;
const UP = [0, -1] as const;
const DOWN = [0, 1] as const;

describe('arrows on a map', () => {
  it('go to the neighbour in their direction, along the row first', () => {
    expect(nextTo(from('a1'), rows, RIGHT)?.box).toBe('a2');
    expect(nextTo(from('a2'), rows, RIGHT)?.box).toBe('a3');
    expect(nextTo(from('a3'), rows, LEFT)?.box).toBe('a2');
    expect(nextTo(from('a1'), rows, DOWN)?.box).toBe('b1');
    expect(nextTo(from('b2'), rows, UP)?.box).toBe('a2');
  });
  it('stay where nothing lies that way', () => {
    expect(nextTo(from('a1'), rows, LEFT)).toBeUndefined();
    expect(nextTo(from('a2'), rows, UP)).toBeUndefined();
    expect(nextTo(from('b2'), rows, DOWN)).toBeUndefined();
    // What lies more aside than ahead is not that way.
    expect(nextTo(at('x', 0, 0), [at('y', 10, 11)], RIGHT)).toBeUndefined();
    expect(nextTo(at('x', 0, 0), [at('y', 11, 10)], RIGHT)?.box).toBe('y');
  });
});
