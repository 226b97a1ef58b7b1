import type { Measures } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  inMeasures,
  lineMeasures,
  METRIC,
  measuresRaised,
  showTemperature,
  showVolume,
  showWeight,
} from './measures.ts';

const US: Measures = {
  length: 'inch',
  weight: 'lb',
  volume: 'usQuart',
  temperature: 'F',
  weekStart: 'sunday',
  dates: 'monthDay',
};

describe('measures', () => {
  it.each([
    [0, '0 lb'],
    [0.227, '8 oz'],
    [0.45, '15.9 oz'],
    [0.4536, '1 lb'],
    [1.5, '3.31 lb'],
    [12.247, '27 lb'],
    [-1, '−2.2 lb'],
  ])('%d kg is %s', (kg, shown) => expect(showWeight(kg, US)).toBe(shown));
  it('shows kilograms to what can be read off a scale', () => {
    expect([0, 0.0626, 9.9994, 24.56].map((kg) => showWeight(kg, METRIC))).toEqual([
      '0 kg',
      '0.063 kg',
      '9.999 kg',
      '24.6 kg',
    ]);
  });
  it('shows quarts of either measure, and degrees of either', () => {
    expect(showVolume(0.946352946, US)).toBe('1 qt');
    expect(showVolume(1.1365225, { volume: 'imperialQuart' })).toBe('1 qt');
    expect(showVolume(45.25, METRIC)).toBe('45.3 l');
    expect([-40, 0, 37.8].map((celsius) => showTemperature(celsius, US))).toEqual([
      '−40 °F',
      '32 °F',
      '100 °F',
    ]);
    expect(showTemperature(-2.35, METRIC, 1)).toBe('−2.4 °C');
  });

  it.each([
    [
      '4.2 mm to spare, over 20 kg, at −5 °C by 28 May.',
      '0.165 in to spare, over 44.1 lb, at 23 °F by May 28.',
    ],
    ['A full deep body weighs 35 to 40 kg.', 'A full deep body weighs 77.2 to 88.2 lb.'],
    ['29 May – 2 Jun 2026', 'May 29 – Jun 2, 2026'],
    ['8 K over the day', '14.4 °F over the day'],
    ['2 l of syrup', '2.11 qt of syrup'],
    ['12 kg/m³, 0.12 W/mK and 3 kgs stay', '12 kg/m³, 0.12 W/mK and 3 kgs stay'],
    ['B12 mm, 1 Mayor', 'B12 mm, 1 Mayor'],
    ['6.5 to 9.5 mm', '0.256 to 3/8 in'],
  ])('%s → %s', (sentence, said) => {
    expect(inMeasures(sentence, US)).toBe(said);
    expect(inMeasures(sentence, METRIC)).toBe(sentence);
  });
  it('writes days as a calendar does where that is wanted', () => {
    expect(inMeasures('by 3 Jun 2026, or 28 May', { ...METRIC, dates: 'iso' })).toBe(
      'by 2026-06-03, or 05-28',
    );
  });
  it('leaves what is said once as it is when it is said again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 500, noNaN: true }),
        fc.constantFrom('mm', 'kg', '°C', 'l'),
        (value, unit) => {
          const once = inMeasures(`It is ${value.toFixed(2)} ${unit} here.`, US);
          expect(inMeasures(once, US)).toBe(once);
          expect(once).not.toContain(` ${unit} `);
        },
      ),
    );
  });
  it('tells the quick line what was said, and no more', () => {
    expect(lineMeasures(METRIC)).toEqual({});
    expect(lineMeasures(US)).toEqual({ pints: 'us', dates: 'monthFirst' });
    expect(lineMeasures({ ...METRIC, volume: 'imperialQuart', dates: 'iso' })).toEqual({
      pints: 'imperial',
      dates: 'dayFirst',
    });
  });
  it('reads settings that knew of lengths alone', () => {
    expect(measuresRaised({ person: 'P', units: 'inch' })).toEqual({
      person: 'P',
      measures: { ...METRIC, length: 'inch' },
    });
    expect(measuresRaised({ person: 'P', measures: US })).toEqual({ person: 'P', measures: US });
    expect(measuresRaised({})).toEqual({ measures: METRIC });
  });
});
