import type { DesignContent, LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { seamBees } from '../box/measures.ts';
import { deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { type Day, plusDays } from '../calendar/days.ts';
import { parts } from '../carpentry/parts.ts';
import { type Constants, defaultConstants } from '../constants/registry.ts';
import { beesCounted } from '../population/beesCounted.ts';
import { boxViews } from '../yard/boxView.ts';
import { fold } from '../yard/fold.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { beesOfSeams } from './cluster.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { hived, knownOf } from './hived.test.kit.ts';
import { isSpring, springFrom, springList } from './spring.ts';

const deep = (frames: number[]): DesignContent =>
  standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames });
const SEAM_KG = seamBees(deriveBox(deep([10])).compartments[0]?.frames[0]?.format);
const seams = (count: number, on: Day = '2026-10-10', colony = 'a') =>
  told('strengthSeen', on, { box: 'b', colony, seams: count });

const asked = (on: Day, constants: Constants) => ({
  on,
  months: estimatedWinter(),
  latitude_deg: 48,
  constants,
});
function spring(on: Day, content: DesignContent, events: readonly LogEvent[], constants = defaultConstants) {
  const known = knownOf(content);
  const state = fold(known, [...hived(content), ...events]);
  expect(state.toSettle.map(({ sentence }) => sentence)).toEqual([]);
  const views = boxViews(state, known, YARD, constants, { on, today: on });
  return springList(state, views, asked(on, constants));
}
const one = (on: Day, ...events: LogEvent[]) => spring(on, deep([10]), events)[0];

describe('the yard as it comes out of winter', () => {
  it('begins with the first brood and ends with the season, north and south', () => {
    const north = (on: Day) => isSpring(asked(on, defaultConstants));
    expect(['2027-02-07', '2027-02-08'].map(north)).toEqual([false, true]);
    expect(['2027-06-29', '2027-06-30'].map(north)).toEqual([true, false]);
    expect(['2026-10-20', '2027-01-10'].map(north)).toEqual([false, false]);
    const south = (on: Day) =>
      isSpring({ ...asked(on, defaultConstants), months: estimatedWinter(-41), latitude_deg: -41 });
    expect(['2027-08-08', '2027-08-09', '2027-12-29', '2027-12-30'].map(south)).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(springFrom(estimatedWinter(), '2027-02-10')).toBe('2027-04-01');
    expect(springFrom(estimatedWinter(), '2027-04-30')).toBe('2027-04-01');
    expect(springFrom(estimatedWinter(-41), '2027-08-10')).toBe('2027-10-01');
  });

  it('asks for a count where nothing is known, and unites who is too few', () => {
    expect(one('2027-02-20')).toMatchObject({ act: 'count', growth: undefined });
    expect(one('2027-02-20', seams(3.4))).toMatchObject({ act: 'unite' });
    expect(one('2027-02-20', seams(6))).toMatchObject({ act: 'room' });
  });

  it('is crowded the sooner the more bees there are, the early day before the late one', () => {
    const crowded = (count: number) => one('2027-02-20', seams(count))?.growth?.crowded;
    const [few, more] = [crowded(6), crowded(8)];
    expect(more?.expected && few?.expected && more.expected < few.expected).toBe(true);
    for (const each of [few, more]) {
      expect((each?.early ?? '9') < (each?.expected ?? '')).toBe(true);
      expect((each?.expected ?? '9') < (each?.late ?? '9999')).toBe(true);
    }
    const line = one('2027-02-20', seams(6));
    const full_kg = 10 * SEAM_KG;
    const at = line?.growth?.course.find(({ on }) => on === line.growth?.crowded.expected);
    const before = line?.growth?.course.find(
      ({ on }) => on === plusDays(line.growth?.crowded.expected ?? '', -1),
    );
    expect(at?.middle).toBeGreaterThanOrEqual(full_kg);
    expect(before?.middle).toBeLessThan(full_kg);
  });

  it('is of those that came through winter, not of nuclei that were made up since', () => {
    const content = deep([5, 5]);
    const [, right] = deriveBox(content).compartments;
    const made = (on: Day) =>
      told('stocked', on, {
        box: 'b',
        colony: 'new',
        bays: [...(right?.bays ?? [])],
        frames: { sealedBrood: 1, stores: 1, drawn: 3 },
        shakes: 2,
        openBrood: false,
      });
    expect(spring('2027-05-20', content, [seams(6), made('2027-04-01')])).toHaveLength(1);
    expect(spring('2027-05-20', content, [seams(6), made('2027-03-31')])).toHaveLength(2);
  });

  it('goes by a count made after winter, whatever was counted before it', () => {
    const counted = one('2027-04-20', seams(4), seams(5, '2027-04-18'));
    expect(counted?.growth?.course[0]).toMatchObject({
      on: '2027-04-18',
      middle: expect.closeTo(beesCounted(5, { frames: 10, seam_kg: SEAM_KG }, 34.9, defaultConstants), 9),
    });
    expect(counted?.growth?.lowOn).toBeUndefined();
  });

  it('grows without a famine, whatever they begin with', () => {
    for (const count of [2, 4, 6, 9]) {
      const course = one('2027-04-05', seams(count, '2027-04-02'))?.growth?.course ?? [];
      expect(course).toHaveLength(90);
      const least = Math.min(...course.map(({ middle }) => middle));
      expect(course.at(-1)?.middle).toBeGreaterThan(1.5 * (course[0]?.middle ?? 0));
      expect(least).toBeGreaterThan(0.8 * (course[0]?.middle ?? 0));
    }
  });

  it('takes bees for a ball where they are few, and for whole combs covered where they fill their room', () => {
    const kg = (count: number, frames: number) =>
      beesCounted(count, { frames, seam_kg: SEAM_KG }, 34.9, defaultConstants);
    expect(kg(10, 10)).toBeCloseTo(10 * SEAM_KG, 9);
    expect(kg(3, 3)).toBeCloseTo(3 * SEAM_KG, 9);
    expect(kg(1, 1_000)).toBeCloseTo(beesOfSeams(1, 34.9, defaultConstants.litresPerKg), 3);
    for (let count = 1; count < 10; count++) expect(kg(count + 0.5, 10)).toBeGreaterThan(kg(count, 10));
  });

  it('feeds who runs low with its brood, by what it was hefted to', () => {
    const content = deep([10]);
    const without =
      parts({ design: content }).weights.empty_kg +
      10 * defaultConstants.frame_kg +
      beesOfSeams(
        7,
        deriveBox(content).compartments[0]?.frames[0]?.format.pitch_mm ?? 0,
        defaultConstants.litresPerKg,
      );
    const hefted = (stores_kg: number) =>
      told('weighed', '2027-03-25', { box: 'b', weight_kg: without + stores_kg, felt: false });
    const light = one('2027-03-26', seams(7), hefted(2.6));
    expect(light?.act).toBe('feed');
    expect(light?.why).toMatch(/they run low by about \d+ (Mar|Apr)\./);
    expect(one('2027-03-26', seams(7), hefted(9))?.act).toBe('room');
  });
});

describe('two over one divider', () => {
  const content = deep([5, 5]);
  const [, right] = deriveBox(content).compartments;
  const neighbour = told('stocked', '2026-06-02', {
    box: 'b',
    colony: 'n',
    bays: [...(right?.bays ?? [])],
    frames: { sealedBrood: 1, stores: 1, drawn: 3 },
    shakes: 2,
    openBrood: false,
    queen: 'laying',
  });
  const pair = [neighbour, seams(5.5), seams(4.5, '2026-10-10', 'n')];
  const freeBox = (content2: number) => [
    told('boxBuilt', '2026-04-01', { box: 'f', label: 'F1', design: 'd', version: 1 }),
    told('boxPlaced', '2026-04-02', {
      box: 'f',
      yard: YARD,
      stand: '2',
      east_m: 3,
      north_m: 1,
      bearing_deg: 180,
    }),
    ...(content2 === 10
      ? [told('dividerSet', '2026-04-03', { box: 'f', board: dividerId(content), stands: false })]
      : []),
  ];

  it('are parted before the stronger is crowded: it goes, the other has the box; a free room is given once', () => {
    const lines = spring('2027-02-20', content, [...pair, ...freeBox(10)]);
    const [first, second] = ['a', 'n'].map((id) => lines.find(({ room }) => room.colony?.id === id));
    expect(first).toMatchObject({ act: 'part' });
    expect(first?.into?.box.box.label).toBe('F1');
    expect(first?.why).toContain('F1 is free, with 10 combs');
    expect(second).toMatchObject({ act: 'part', into: undefined });
    expect(second?.why).toMatch(/has gone the board between them comes out/);
  });

  it('are told that no room is free where none has more combs', () => {
    for (const more of [[], freeBox(5)]) {
      const lines = spring('2027-02-20', content, [...pair, ...more]);
      expect(lines.map(({ act, into }) => [act, into])).toEqual([
        ['part', undefined],
        ['part', undefined],
      ]);
      expect(lines[0]?.why).toContain('no free room here has more combs');
    }
  });
});

const dividerId = (content: DesignContent): string =>
  content.layers.flatMap((layer) => (layer.kind === 'body' ? layer.boards : []))[0]?.id ?? '';

describe('a follower beside the bees', () => {
  it('goes out a frame at a time, each as its seams fill', () => {
    const content = deep([5, 5]);
    const follower: DesignContent = {
      ...content,
      layers: content.layers.map((layer) =>
        layer.kind === 'body'
          ? { ...layer, boards: layer.boards.map((board) => ({ ...board, kind: 'follower' as const })) }
          : layer,
      ),
    };
    const [line] = spring('2027-02-20', follower, [seams(6)]);
    expect(line?.act).toBe('widen');
    const { widen = [], crowded } = line?.growth ?? {};
    expect(widen.length).toBeGreaterThan(1);
    expect(widen[0]).toBe(crowded?.expected);
    expect([...widen].sort()).toEqual(widen);
    // A divider is no follower: the room behind it is not its own.
    expect(spring('2027-02-20', content, [seams(6)])[0]?.act).toBe('room');
  });
});
