import type { BoxReadings, CellsTo, Measure } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import { inMeasures, METRIC } from '../say/measures.ts';
import { incubatorOf } from './incubator.ts';

const AT = '2026-05-29T06:00:00.000Z';
const probe = (box: string, temperature_C: number, humidity_pct: number): BoxReadings => ({
  box,
  latest: (
    [
      ['temperature_C', temperature_C],
      ['humidity_pct', humidity_pct],
    ] as [Measure, number][]
  ).map(([measure, value]) => ({ box, measure, at: AT, value, raw: String(value), flag: null })),
  setAside: [],
  silentSince: null,
});
const carried = (to: CellsTo, where?: string, cells = 16) => ({
  on: '2026-05-27',
  to,
  cells,
  ...(where ? { where } : {}),
});
const round = (...moved: ReturnType<typeof carried>[]) => ({
  graftedOn: '2026-05-19',
  grafts: 24,
  accepted: { on: '2026-05-21', cells: 16 },
  moved,
});
const watched = (
  of: ReturnType<typeof round>,
  probes: readonly BoxReadings[],
  given = 0,
  today = '2026-05-29',
  now = AT,
) => incubatorOf(of, given, probes, defaultConstants, today, now);
const inIt = round(carried('finisher'), carried('incubator'));

describe('cells in an incubator', () => {
  it.each<[number, number, string[]]>([
    [34.5, 60, []],
    [34, 50, []],
    [35, 70, []],
    [33.9, 60, ['Incubator is at 33.9 °C: cells want 34.0 to 35.0 °C.']],
    [35.1, 60, ['Incubator is at 35.1 °C: cells want 34.0 to 35.0 °C.']],
    [34.5, 49, ['Its air is at 49 %: cells want 50 to 70 %.']],
    [
      36,
      71,
      ['Incubator is at 36.0 °C: cells want 34.0 to 35.0 °C.', 'Its air is at 71 %: cells want 50 to 70 %.'],
    ],
  ])('at %s °C and %s %% want to be looked at, or not', (temperature, humidity, wrong) => {
    expect(watched(inIt, [probe('Incubator', temperature, humidity)])?.wrong).toEqual(wrong);
  });

  it('are watched by the probe that is called as their place, whatever its capitals', () => {
    const probes = [probe('Incubator', 30, 20), probe('Shed 2', 34.4, 61)];
    expect(watched(round(carried('incubator', 'shed 2')), probes)).toMatchObject({
      name: 'Shed 2',
      wrong: [],
    });
    expect(watched(round(carried('incubator', 'Cellar')), probes)).toMatchObject({
      name: 'Cellar',
      temperature_C: undefined,
      wrong: [],
    });
  });

  it('are watched no more once they are carried on, given, thrown away or emerged', () => {
    const probes = [probe('Incubator', 30, 20)];
    expect(watched(inIt, probes, 16)).toBeUndefined();
    expect(watched(inIt, probes, 15)).toBeDefined();
    expect(watched(round(carried('incubator'), carried('bank')), probes)).toBeUndefined();
    expect(watched(round(carried('incubator'), carried('discarded', undefined, 3)), probes)).toBeDefined();
    expect(watched(round(carried('incubator'), carried('discarded')), probes)).toBeUndefined();
    expect(watched(inIt, probes, 0, '2026-06-20')).toBeUndefined();
    expect(watched(round(carried('finisher')), probes)).toBeUndefined();
  });

  it('say a tenth apart also in °F', () => {
    const [sentence = ''] = watched(inIt, [probe('Incubator', 33.9, 60)])?.wrong ?? [];
    expect(inMeasures(sentence, { ...METRIC, temperature: 'F' })).toBe(
      'Incubator is at 93 °F: cells want 93.2 to 95 °F.',
    );
  });

  it('have no temperature where only their air is told of for two hours, and that is wrong', () => {
    const at = (hours: number) => new Date(Date.parse(AT) + hours * 3_600_000).toISOString();
    const half = (hours: number): BoxReadings => {
      const [warm, moist] = probe('Incubator', 34.5, 60).latest;
      return {
        ...probe('Incubator', 34.5, 60),
        latest: [warm, moist && { ...moist, at: at(hours) }].flatMap((each) => each ?? []),
      };
    };
    expect(watched(inIt, [half(2)])).toMatchObject({ temperature_C: 34.5, wrong: [] });
    expect(watched(inIt, [half(2.01)])).toMatchObject({
      temperature_C: undefined,
      humidity_pct: 60,
      wrong: ['Incubator tells no temperature.'],
    });
  });

  it('are not called right where a probe says nothing', () => {
    const silent = { ...probe('Incubator', 34.5, 60), latest: [], silentSince: AT };
    expect(watched(inIt, [silent])).toMatchObject({ temperature_C: undefined, silentSince: AT, wrong: [] });
  });
});

describe('an incubator that was read by a person', () => {
  const read = (at: string, temperature_C: number, humidity_pct?: number) => ({
    ...inIt,
    incubated: { at, temperature_C, ...(humidity_pct === undefined ? {} : { humidity_pct }) },
  });
  it('is judged as a probe is, and stands without one', () => {
    expect(watched(inIt, [])).toMatchObject({ name: 'Incubator', temperature_C: undefined, wrong: [] });
    expect(watched(read(AT, 34.5, 60), [])).toMatchObject({ temperature_C: 34.5, readAt: AT, wrong: [] });
    expect(watched(read(AT, 33.5), [])?.wrong).toEqual([
      'Incubator is at 33.5 °C: cells want 34.0 to 35.0 °C.',
    ]);
    expect(watched(round(carried('finisher')), [])).toBeUndefined();
  });
  it('is believed where it is newer than what the probe told, and no longer', () => {
    const before = read('2026-05-29T05:59:00.000Z', 30);
    const after = read('2026-05-29T06:01:00.000Z', 30);
    const probes = [probe('Incubator', 34.5, 60)];
    expect(watched(before, probes)).toMatchObject({ temperature_C: 34.5, readAt: undefined, wrong: [] });
    expect(watched(after, probes)).toMatchObject({ temperature_C: 30, humidity_pct: undefined });
    // A probe that has fallen silent says so, until somebody has looked.
    const silent = probes.map((each) => ({ ...each, silentSince: AT }));
    expect(watched(before, silent)?.silentSince).toBe(AT);
    const lookedAt = (now: string) => watched(after, silent, 0, '2026-05-29', now)?.silentSince;
    expect(lookedAt('2026-05-29T18:00:00.000Z')).toBeNull();
    expect(lookedAt('2026-05-29T18:01:00.000Z')).toBe(AT);
  });
});
