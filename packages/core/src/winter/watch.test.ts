import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { type Day, daysBetween } from '../calendar/days.ts';
import { parts } from '../carpentry/parts.ts';
import { defaultConstants } from '../constants/registry.ts';
import { boxViews } from '../yard/boxView.ts';
import { fold } from '../yard/fold.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { beesOfSeams } from './cluster.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { expectedAfter, winterBetween } from './forecast.ts';
import { hived, knownOf } from './hived.test.kit.ts';
import { winteringOf } from './preparation.ts';
import { throughOf, watchList, winterPhase } from './watch.ts';

const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] });
const [room] = deriveBox(content).compartments;
const known = knownOf(content);
const seams = (count: number, on: Day = '2026-10-10') =>
  told('strengthSeen', on, { box: 'b', colony: 'a', seams: count });
const SEAMS = 6;
const pitch_mm = room?.frames[0]?.format.pitch_mm ?? 0;
const without =
  parts({ design: content }).weights.empty_kg +
  10 * defaultConstants.frame_kg +
  beesOfSeams(SEAMS, pitch_mm, defaultConstants.litresPerKg);
const hefted = (stores_kg: number, on: Day) =>
  told('weighed', on, { box: 'b', weight_kg: without + stores_kg, felt: false });

const asked = (on: Day) => ({ on, months: estimatedWinter(), latitude_deg: 48, constants: defaultConstants });
function watched(on: Day, events: readonly LogEvent[], queen = true) {
  const state = fold(known, [...hived(content, queen), ...events]);
  const views = boxViews(state, known, YARD, defaultConstants, { on, today: on });
  const [line] = watchList(state, views, asked(on));
  if (!line) throw new Error('Nobody is watched.');
  return { line, view: views[0] };
}
const act = (on: Day, ...events: LogEvent[]) => watched(on, events).line;

describe('a yard in winter', () => {
  it('is prepared for two months, watched for four, and out of season else, north and south', () => {
    const north = estimatedWinter();
    expect(['2026-10-01', '2026-11-30'].map((on) => winterPhase(north, on))).toEqual(['prepare', 'prepare']);
    expect(['2026-12-01', '2027-03-31'].map((on) => winterPhase(north, on))).toEqual(['watch', 'watch']);
    expect(['2026-09-30', '2027-04-01'].map((on) => winterPhase(north, on))).toEqual(['out', 'out']);
    const south = estimatedWinter(-41);
    expect(['2026-05-31', '2026-06-01', '2026-10-01'].map((on) => winterPhase(south, on))).toEqual([
      'prepare',
      'watch',
      'out',
    ]);
  });

  it('of two who ask for the same names first whose winter is known', () => {
    const other = [
      ...hived(content, true, { box: 'c', colony: 'z', label: 'A0', east_m: 3 }),
      told('strengthSeen', '2026-10-10', { box: 'c', colony: 'z', seams: SEAMS }),
    ];
    const on = '2027-01-20';
    const state = fold(known, [...hived(content), ...other, seams(SEAMS), hefted(12, '2026-11-20')]);
    const views = boxViews(state, known, YARD, defaultConstants, { on, today: on });
    expect(views.map(({ box }) => box.label)).toEqual(['A0', 'B1']);
    expect(
      watchList(state, views, asked(on)).map((line) => [
        line.box.box.label,
        line.act,
        line.forecast !== undefined,
      ]),
    ).toEqual([
      ['B1', 'heft', true],
      ['A0', 'heft', false],
    ]);
  });

  it('asks for what is not known, the cheapest first, and looks for who has no queen', () => {
    expect(act('2027-01-10').act).toBe('look');
    expect(act('2027-01-10', seams(SEAMS))).toMatchObject({ act: 'heft', stores_kg: undefined });
    expect(act('2027-01-10', seams(SEAMS, '2026-06-05')).act).toBe('look');
    expect(watched('2027-01-10', [seams(SEAMS)], false).line.why).toContain('Without a queen');
    const once = hefted(9, '2026-12-01');
    expect(act('2027-01-14', seams(SEAMS), once).act).toBe('leave');
    expect(act('2027-01-16', seams(SEAMS), once)).toMatchObject({
      act: 'heft',
      why: expect.stringContaining('46 days ago'),
    });
  });

  it('brings a heft on to today by what is used, and fits that to two of them', () => {
    const events = [seams(SEAMS), hefted(11, '2026-12-01'), hefted(9, '2027-01-10')];
    const { line, view } = watched('2027-01-31', events);
    const walls = view && winteringOf(view, line.room, SEAMS, defaultConstants);
    if (!walls) throw new Error('No walls.');
    const between = (from: Day, to: Day, bees_kg: number) =>
      expectedAfter(
        { ...walls, bees_kg, ...winterBetween(estimatedWinter(), from, to, 48) },
        defaultConstants,
      );
    const bees = (on: Day) => between('2026-10-10', on, walls.bees_kg).bees_kg;
    const reckoned = between('2026-12-01', '2027-01-10', bees('2026-12-01')).used_kg;
    expect(line.factor).toBeCloseTo(2 / reckoned, 9);
    const since = between('2027-01-10', '2027-01-31', bees('2027-01-10')).used_kg;
    expect(line.stores_kg).toBeCloseTo(9 - since * (2 / reckoned), 9);
    // A fortnight apart they say something of the use, a day less they do not.
    const factor = (on: Day) =>
      watched('2027-01-31', [seams(SEAMS), hefted(9, '2027-01-01'), hefted(8, on)]).line.factor;
    expect(factor('2027-01-14')).toBeUndefined();
    expect(factor('2027-01-15')).toBeGreaterThan(0);
  });

  it('reads no heft from before it was fed last, nor one that its combs cannot hold', () => {
    const fed = told('fed', '2026-10-20', { box: 'b', colony: 'a', feed: 'syrup21', amount_kg: 4 });
    const readings = (...events: LogEvent[]) =>
      act('2027-01-10', seams(SEAMS), ...events).readings.map(({ on }) => on);
    expect(readings(hefted(9, '2026-10-15'), fed, hefted(10, '2026-12-15'))).toEqual(['2026-12-15']);
    expect(readings(hefted(40, '2026-12-15'))).toEqual([]);
  });

  it('feeds above the cluster three weeks before the reserve is reached, and says by when', () => {
    const line = (stores_kg: number) => act('2027-01-10', seams(SEAMS), hefted(stores_kg, '2027-01-10'));
    expect(line(1.9)).toMatchObject({
      act: 'feed',
      reserveOn: '2027-01-10',
      why: expect.stringContaining('already'),
    });
    const far = line(4);
    expect(far.act).toBe('leave');
    expect(daysBetween('2027-01-10', far.reserveOn ?? '')).toBeGreaterThan(21);
    const near = line(2.4);
    expect(near.act).toBe('feed');
    expect(near.why).toContain('nothing liquid');
    const days = daysBetween('2027-01-10', near.reserveOn ?? '');
    expect(days).toBeGreaterThan(0);
    // What is used by then, reckoned apart, is what lies over the reserve.
    const { view, line: found } = watched('2027-01-10', [seams(SEAMS), hefted(2.4, '2027-01-10')]);
    const walls = view && winteringOf(view, found.room, SEAMS, defaultConstants);
    if (!walls) throw new Error('No walls.');
    const { bees_kg } = expectedAfter(
      {
        ...walls,
        ...winterBetween(estimatedWinter(), '2026-10-10', '2027-01-10', 48),
      },
      defaultConstants,
    );
    const { used_kg } = expectedAfter(
      {
        ...walls,
        bees_kg,
        ...winterBetween(estimatedWinter(), '2027-01-10', near.reserveOn ?? '', 48),
      },
      defaultConstants,
    );
    expect(used_kg).toBeCloseTo(0.4, 1);
    expect(line(12).reserveOn).toBeUndefined();
    expect(throughOf(line(12)) ?? 0).toBeGreaterThan(throughOf(line(1.9)) ?? 1);
  });
});
