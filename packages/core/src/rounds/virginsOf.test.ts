import { describe, expect, it } from 'vitest';
import { roundCalendar } from '../calendar/roundCalendar.ts';
import { defaultConstants } from '../constants/registry.ts';
import { virginsOf } from './virginsOf.ts';

const GRAFT = '2026-06-01';
const days = roundCalendar({ graft: GRAFT, give: 'cell', laying_d: 14 });
const moved = [
  { on: '2026-06-06', to: 'incubator', cells: 12 },
  { on: '2026-06-12', to: 'discarded', cells: 2 },
] as const;
const round = { grafts: 30, accepted: { on: '2026-06-02', cells: 20 }, moved };
const on = (today: string, given = 8, more: object = {}) =>
  virginsOf({ ...round, ...more }, days, given, today, defaultConstants);

describe('virgins in an incubator', () => {
  it('are what is left there once the first hatches, by the days since, until none can mate any more', () => {
    expect(on('2026-06-11')).toBeUndefined();
    expect(on('2026-06-12')).toEqual({ count: 10, age_d: [0, 0], until: '2026-07-11' });
    expect(on('2026-06-13')?.age_d).toEqual([0, 1]);
    expect(on('2026-06-16')?.age_d).toEqual([3, 4]);
    expect(on('2026-07-11')?.count).toBe(10);
    expect(on('2026-07-12')).toBeUndefined();
  });
  it('are none where all are given, or the cells were carried elsewhere last', () => {
    expect(on('2026-06-14', 18)).toBeUndefined();
    expect(on('2026-06-14', 17)?.count).toBe(1);
    const bank = { moved: [...moved, { on: '2026-06-10', to: 'bank', cells: 9 }] };
    expect(on('2026-06-14', 8, bank)).toBeUndefined();
    expect(on('2026-06-14', 8, { moved: undefined })).toBeUndefined();
  });
});
