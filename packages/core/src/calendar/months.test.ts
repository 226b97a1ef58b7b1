import { describe, expect, it } from 'vitest';
import { monthFirsts, monthShort } from './months.ts';

describe('months', () => {
  it('begin within the days asked about, over the turn of a year, and with a day that is a first', () => {
    expect(monthFirsts('2026-11-02', '2027-02-01')).toEqual(['2026-12-01', '2027-01-01', '2027-02-01']);
    expect(monthFirsts('2026-07-01', '2027-06-30')).toHaveLength(12);
    expect(monthFirsts('2026-05-02', '2026-05-31')).toEqual([]);
    expect(monthShort('2026-12-01')).toBe('Dec');
  });
});
