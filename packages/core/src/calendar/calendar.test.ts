import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daylightHours } from './daylight.ts';
import { dayOf, daysBetween, instantOf, plusDays } from './days.ts';
import { showInstant, showTime, showWindow, withoutYear } from './showDay.ts';

describe('days', () => {
  it('add up over months, leap years and changes of the clock', () => {
    expect(plusDays('2026-03-28', 2)).toBe('2026-03-30');
    expect(plusDays('2024-02-28', 1)).toBe('2024-02-29');
    expect(plusDays('2026-01-01', -1)).toBe('2025-12-31');
    fc.assert(
      fc.property(fc.integer({ min: -4_000, max: 4_000 }), (days) => {
        expect(daysBetween('2026-03-29', plusDays('2026-03-29', days))).toBe(days);
      }),
    );
  });

  it('end at midnight of the zone', () => {
    expect(dayOf('2026-05-31T21:59:00Z', 'Europe/Vienna')).toBe('2026-05-31');
    expect(dayOf('2026-05-31T22:00:00Z', 'Europe/Vienna')).toBe('2026-06-01');
    expect(dayOf('2026-05-31T22:00:00Z', 'Pacific/Auckland')).toBe('2026-06-01');
  });

  it('are those that the platform’s own calendar gives, also on days when clocks change', () => {
    const zones = fc.constantFrom(
      'Europe/Vienna',
      'America/St_Johns',
      'Australia/Lord_Howe',
      'Pacific/Apia',
      'UTC',
    );
    const instants = fc.integer({ min: Date.parse('2020-01-01'), max: Date.parse('2030-01-01') });
    fc.assert(
      fc.property(instants, zones, (at, timeZone) => {
        const plain = new Intl.DateTimeFormat('en-CA', {
          timeZone,
          year: 'numeric',
          month: '2-digit',
          day: '2-digit',
        });
        expect(dayOf(new Date(at).toISOString(), timeZone)).toBe(plain.format(at));
      }),
      { numRuns: 400 },
    );
  });

  it('and hours make instants in the zone, in winter and summer', () => {
    expect(instantOf('2026-01-10', 12, 0, 'Europe/Vienna')).toBe('2026-01-10T11:00:00.000Z');
    expect(instantOf('2026-07-10', 12, 0, 'Europe/Vienna')).toBe('2026-07-10T10:00:00.000Z');
  });

  it('are shown as people write them', () => {
    expect(showWindow('2026-05-29', '2026-06-02', '2026-05-31')).toBe('29 May – 2 Jun');
    expect(showWindow('2026-05-29', '2026-05-29', '2025-05-31')).toBe('29 May 2026');
  });
  it('leave out the year that it is, and no other figure', () => {
    expect(withoutYear('Put in 3 May 2026, out 12 Jan 2027; 2026 mites.', '2026-06-01')).toBe(
      'Put in 3 May, out 12 Jan 2027; 2026 mites.',
    );
  });
  it('and their hours as clocks of the place show them', () => {
    expect(showTime('2026-05-31T15:00:00Z', 'Europe/Vienna')).toBe('17:00');
    expect(showTime('2026-05-31T15:00:00Z', 'America/Chicago')).toBe('10:00');
    // A day there begins and ends by its own clocks.
    expect(showInstant('2026-05-31T03:10:00Z', 'America/Chicago', '2026-06-01')).toBe('30 May, 22:10');
    expect(showInstant('2026-12-31T23:30:00Z', 'Europe/Vienna', '2026-06-01')).toBe('1 Jan 2027, 00:30');
    expect(showTime('2026-01-31T15:00:00Z', 'Europe/Vienna')).toBe('16:00');
  });
});

describe('daylight', () => {
  it('is about half a day at the equator and at the equinox, long in summer, and all or nothing beyond the circle', () => {
    expect(daylightHours('2026-01-15', 0, 0)).toBeCloseTo(12.1, 0);
    expect(daylightHours('2026-03-20', 48, 13)).toBeCloseTo(12.1, 0);
    // Between sunrise and sunset, cos(hour angle) = -tan(latitude) · tan(declination); 23.44° at the solstice, sun's rim at -0.833°.
    const rad = Math.PI / 180;
    const cos =
      (Math.sin(-0.833 * rad) - Math.sin(48 * rad) * Math.sin(23.44 * rad)) /
      (Math.cos(48 * rad) * Math.cos(23.44 * rad));
    expect(daylightHours('2026-06-21', 48, 13)).toBeCloseTo((2 * Math.acos(cos)) / rad / 15, 1);
    expect(daylightHours('2026-06-21', 75, 0)).toBe(24);
    expect(daylightHours('2026-12-21', 75, 0)).toBe(0);
  });
});
