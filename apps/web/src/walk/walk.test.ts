// @vitest-environment jsdom
import { beforeEach, expect, it } from 'vitest';
import type { YardView } from '../yard/useYard.ts';
import { keepWalk, keptWalk, newWalk } from './walk.ts';

const ON = '2026-06-10';
const box = (id: string, east_m: number, due: number) =>
  ({
    box: { id, place: { east_m, north_m: 0 } },
    compartments: [{ due: [] }, { due: new Array(due).fill({}) }],
  }) as unknown as YardView['boxes'][number];
const yard = { yard: { id: 'y' }, on: ON, boxes: [box('far', 9, 1), box('none', 5, 0), box('near', 2, 2)] };

beforeEach(() => localStorage.clear());

it('goes past the boxes that have work, as one walks', () => {
  expect(newWalk(yard as unknown as YardView, 'now')).toEqual({
    yard: 'y',
    on: ON,
    begunAt: 'now',
    boxes: ['near', 'far'],
    at: 0,
    passed: [],
  });
});

it('is found again on its own day and in its own yard, until it is over', () => {
  const walk = newWalk(yard as unknown as YardView, 'now');
  keepWalk({ ...walk, at: 1 });
  expect(keptWalk('y', ON)?.at).toBe(1);
  expect(keptWalk('other', ON)).toBeUndefined();
  expect(keptWalk('y', '2026-06-11')).toBeUndefined();
  keepWalk({ ...walk, at: 2 });
  expect(keptWalk('y', ON)).toBeUndefined();
});
