import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { roomYears } from './roomYear.ts';
import { begun, known, OF, told } from './story.test.kit.ts';

const CELL = '2026-05-20';
const day = (count: number) => plusDays(CELL, count);

describe('the year of a box', () => {
  it('says of each room what was in it and what it served as, day after day without a gap', () => {
    const events = [
      ...begun(CELL),
      told('cellOpened', day(3), OF),
      told('roleSet', day(6), { box: 'box-1', role: 'growing' }),
      told('eggsSeen', day(14), OF),
    ];
    const [west, middle] = roomYears(known, { of: ['box-1'], events, beside: [] }, 'box-1', day(-5), day(20));
    expect(west?.stretches.map(({ from, to, status, role }) => [from, to, status, role])).toEqual([
      [day(-5), day(-2), 'empty', 'empty'],
      [day(-1), day(-1), 'stocked', 'mating'],
      [day(0), day(2), 'cellGiven', 'mating'],
      [day(3), day(5), 'virgin', 'mating'],
      [day(6), day(13), 'virgin', 'growing'],
      [day(14), day(20), 'laying', 'growing'],
    ]);
    expect(middle?.stretches).toMatchObject([{ from: day(-5), to: day(20), status: 'empty' }]);
  });
});
