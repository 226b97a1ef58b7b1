import { describe, expect, it } from 'vitest';
import { clockBySun, sunset } from './sunClock.ts';

const VIENNA = { latitude_deg: 48.2, longitude_deg: 16.37, zone: 'Europe/Vienna' };
const CHICAGO = { latitude_deg: 41.88, longitude_deg: -87.63, zone: 'America/Chicago' };
const minutes = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));

describe('the sun on the clock', () => {
  // Solar noon = 12 h + (zone's meridian − longitude) × 4 min − equation of time, with summer time an hour on.
  it.each([
    [VIENNA, '2026-06-21', 12 * 60 + 60 + (15 - 16.37) * 4 + 1.8],
    [VIENNA, '2026-11-03', 12 * 60 + (15 - 16.37) * 4 - 16.4],
    [CHICAGO, '2026-06-21', 12 * 60 + 60 + (-90 + 87.63) * 4 + 1.8],
  ])('is highest when the equation of time says %#', (place, day, expected) => {
    expect(Math.abs(minutes(clockBySun(day, 12, place)) - expected)).toBeLessThan(1.6);
    expect(minutes(clockBySun(day, 17, place)) - minutes(clockBySun(day, 11, place))).toBe(360);
  });
  it('sets late in summer and early in winter, in the south the other way round, and at 70° N in June not at all', () => {
    expect(sunset('2026-06-21', VIENNA)).toMatch(/^20:5|^21:0/);
    expect(sunset('2026-12-21', VIENNA)).toMatch(/^16:0/);
    const south = { latitude_deg: -41.3, longitude_deg: 174.8, zone: 'Pacific/Auckland' };
    expect(minutes(sunset('2026-06-21', south) ?? '')).toBeLessThan(
      minutes(sunset('2026-12-21', south) ?? ''),
    );
    expect(sunset('2026-06-21', { ...VIENNA, latitude_deg: 70 })).toBeUndefined();
  });
});
