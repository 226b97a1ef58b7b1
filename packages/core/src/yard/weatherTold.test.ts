import type { WeatherDay } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import type { Weather } from './due/expectation.ts';
import { flyingOn, groundedDays, recentMaximum, unknownDays } from './due/weather.ts';
import { fold } from './fold.ts';
import { begun, known, told, weatherOf, workOf, YARD } from './story.test.kit.ts';

const DAY = '2026-05-20';
const day = (count: number) => plusDays(DAY, count);
const NOTHING = { min_C: null, max_C: null, wind_ms: null, rain_mm: null, flying_h: null };
const record = (on: string, days: readonly WeatherDay[]) =>
  told('weatherRecorded', on, { yard: YARD, days: [...days] });
const weatherAfter = (...events: ReturnType<typeof told>[]) => fold(known, events).weather.get(YARD);

describe('what is told of a day’s weather', () => {
  const station = { date: DAY, min_C: 4, max_C: 19, wind_ms: 3, rain_mm: 2, flying_h: 1 };
  it('adds to what is known of it, and takes the place of what it says anew', () => {
    const tap = { ...NOTHING, date: DAY, flying_h: 5 };
    expect(weatherAfter(record(DAY, [station]), record(day(1), [tap]))?.get(DAY)).toEqual({
      ...station,
      flying_h: 5,
    });
    expect(weatherAfter(record(DAY, [tap]), record(day(1), [station]))?.get(DAY)).toEqual(station);
    const rain = { ...NOTHING, date: DAY, rain_mm: 0 };
    expect(weatherAfter(record(DAY, [station]), record(day(1), [rain]))?.get(DAY)).toEqual({
      ...station,
      rain_mm: 0,
    });
    expect(weatherAfter(record(DAY, [tap]))?.get(DAY)).toEqual(tap);
  });
});

describe('days of weather', () => {
  const of = (from: number, hours: readonly (number | null)[]): Weather =>
    new Map(
      hours.map((flying_h, index) => {
        const date = day(from + index);
        return [date, { ...NOTHING, date, flying_h }] as const;
      }),
    );
  const { flyingDay_h, flightsFrom_d } = defaultConstants;
  it('are flying from the hours that are wanted on, not below, and unknown where nothing is said', () => {
    expect(flyingOn(of(0, [flyingDay_h]), DAY, flyingDay_h)).toBe('flying');
    expect(flyingOn(of(0, [flyingDay_h - 0.1]), DAY, flyingDay_h)).toBe('not');
    expect(flyingOn(of(0, [null]), DAY, flyingDay_h)).toBeUndefined();
    expect(flyingOn(new Map(), DAY, flyingDay_h)).toBeUndefined();
  });
  it('that are unknown are counted from her first flights on, and put nothing off', () => {
    const attempt = fold(known, begun(DAY)).attempts.get('attempt-1');
    if (!attempt) throw new Error('no attempt');
    const weather = of(flightsFrom_d, [5, null, 0, null, 5]);
    expect(unknownDays(attempt, day(flightsFrom_d + 5), weather, defaultConstants)).toBe(2);
    expect(unknownDays(attempt, day(flightsFrom_d), weather, defaultConstants)).toBe(0);
    const reason = workOf(fold(known, begun(DAY)), 'colony-1', weather).find(
      ({ kind }) => kind === 'lookForEggs',
    )?.reason;
    expect(reason).toContain('1 day without flying weather');
    expect(reason).toContain('Of 2 days since she could fly');
  });
  it('without flying in a row end with one that could be flown on, or is not known', () => {
    expect(groundedDays(of(0, [5, 0, 0, 0]), defaultConstants)).toEqual({ since: day(1), days: 3 });
    expect(groundedDays(of(0, [0, null, 0, 0]), defaultConstants)).toEqual({ since: day(2), days: 2 });
    expect(groundedDays(of(0, [0, 0, 5]), defaultConstants)).toBeUndefined();
  });
  it('give a mean of maxima from seven of a fortnight on', () => {
    const maxima = (count: number): Weather =>
      new Map(weatherOf(DAY, new Array(count).fill(5)).map((each) => [each.date, each]));
    expect(recentMaximum(maxima(7))).toEqual({ mean_C: 22, on: day(6) });
    expect(recentMaximum(maxima(6))).toBeUndefined();
  });
});
