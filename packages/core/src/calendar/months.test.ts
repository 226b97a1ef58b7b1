import { describe, expect, it } from 'vitest';
import { monthFirsts, monthShort } from './months.ts';
import { showDay } from './showDay.ts';

describe('months', () => {
  it('begin within the days asked about, over the turn of a year, and with a day that is a first', () => {
    expect(monthFirsts('2026-11-02', '2027-02-01')).toEqual(['2026-12-01', '2027-01-01', '2027-02-01']);
    expect(monthFirsts('2026-07-01', '2027-06-30')).toHaveLength(12);
    expect(monthFirsts('2026-05-02', '2026-05-31')).toEqual([]);
    expect(monthShort('2026-12-01')).toBe('Dec');
  });
});

it('a day is written as people write it, with its year where another is spoken of', () => {
  expect(showDay('2026-09-05')).toBe('5 Sep 2026');
  expect(showDay('2026-12-31', '2026-01-01')).toBe('31 Dec');
  expect(showDay('2027-01-01', '2026-12-31')).toBe('1 Jan 2027');
});
