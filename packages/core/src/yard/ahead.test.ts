import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { boxViews } from './boxView.ts';
import { fold } from './fold.ts';
import { begun, known, OF, told, YARD } from './story.test.kit.ts';

const CELL = '2026-05-20';
const day = (count: number) => plusDays(CELL, count);
const seen = (today: number, on: number, more: Parameters<typeof fold>[1] = []) => {
  const state = fold(known, [...begun(CELL), ...more]);
  const room = boxViews(state, known, YARD, defaultConstants, { on: day(on), today: day(today) })[0]
    ?.compartments[0];
  return [room?.status, room?.since, room?.assumed, room?.due.map(({ kind }) => kind)];
};

describe('a room on a day ahead', () => {
  const { openingExpected_d, eggsExpected_d, scoreFrom_d } = defaultConstants;
  it('is as the plan expects it, and says that this is assumed', () => {
    expect(seen(0, openingExpected_d - 1)).toEqual(['cellGiven', CELL, undefined, ['checkOpening']]);
    expect(seen(0, openingExpected_d)).toEqual(['virgin', day(openingExpected_d), true, []]);
    expect(seen(0, eggsExpected_d)).toEqual(['laying', day(eggsExpected_d), true, []]);
    expect(seen(0, scoreFrom_d + 1)[0]).toBe('laying');
    const harvest = eggsExpected_d + defaultConstants.harvestFrom_d;
    expect(seen(0, harvest)).toMatchObject(['proven', expect.anything(), true, ['harvest']]);
  });
  it('goes on from what is known today, where that is later than was expected', () => {
    expect(seen(10, 11)).toEqual(['virgin', day(10), true, []]);
    const opened = [told('cellOpened', day(3), OF)];
    expect(seen(eggsExpected_d + 3, eggsExpected_d + 4, opened)).toEqual([
      'laying',
      day(eggsExpected_d + 3),
      true,
      [],
    ]);
  });
  it('today and before is as it is', () => {
    expect(seen(30, 30)[2]).toBeUndefined();
    expect(seen(30, 30)[0]).toBe('cellGiven');
  });
});
