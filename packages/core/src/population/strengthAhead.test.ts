import type { LogEvent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seamBees } from '../box/measures.ts';
import { deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { constantsWith, defaultConstants } from '../constants/registry.ts';
import { knownOf } from '../winter/hived.test.kit.ts';
import { compartmentsOf } from '../yard/compartments.ts';
import { fold } from '../yard/fold.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { beesCounted, seamsCounted } from './beesCounted.ts';
import { strengthAhead } from './strengthAhead.ts';

const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [3, 3, 3] });
const known = knownOf(content);
const [west] = deriveBox(content).compartments;
const format = west?.frames[0]?.format ?? ({} as never);
const SEAM = seamBees(format);
const STOCKED = '2026-05-10';
const of = { box: 'b', colony: 'a' };
const day = (count: number): Day => plusDays(STOCKED, count);
const stocked = (more: object = {}) =>
  told('stocked', STOCKED, {
    ...of,
    bays: [...(west?.bays ?? [])],
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 2,
    openBrood: false,
    ...more,
  });
const cell = told('cellGiven', day(1), { ...of, attempt: 'q' });
const seams = (count: number, on: Day) => told('strengthSeen', on, { ...of, seams: count });

function ahead(
  events: readonly LogEvent[],
  on: Day = day(2),
  constants = defaultConstants,
  latitude_deg = 48,
) {
  const place = { yard: YARD, stand: '1', east_m: 1, north_m: 1, bearing_deg: 180 };
  const built = [
    told('boxBuilt', '2026-04-01', { box: 'b', label: 'B1', design: 'd', version: 1 }),
    told('boxPlaced', '2026-04-02', { box: 'b', ...place }),
  ];
  const state = fold(known, [...built, ...events]);
  expect(state.toSettle.map(({ sentence }) => sentence)).toEqual([]);
  const box = state.boxes.get('b');
  const [room] = box ? compartmentsOf(state, known.designs, box) : [];
  if (!room) throw new Error('There is no such room.');
  return { room, of: strengthAhead(room, format, { on, latitude_deg, weather: new Map(), constants }) };
}
const at = (found: ReturnType<typeof ahead>['of'], on: Day) => found?.course.find((each) => each.on === on);

describe('how strong a room is', () => {
  it('counts what was seen on the very day of its making', () => {
    expect(ahead([stocked(), cell, seams(3, STOCKED)]).of?.counts.map(({ on }) => on)).toEqual([STOCKED]);
    // Empty combs alone make no colony to follow.
    const none = stocked({ frames: { drawn: 3 }, shakes: 0 });
    expect(ahead([none, cell]).of).toBeUndefined();
    expect(ahead([none, cell, seams(2, day(4))], day(5)).of?.course[0]?.on).toBe(day(4));
  });

  it('begins with the frames and the shakes that it was made of, less those that fly home', () => {
    const { shaken, fliesHome } = defaultConstants;
    const found = ahead([stocked(), cell]).of;
    expect(found?.course[0]).toMatchObject({
      on: STOCKED,
      middle: expect.closeTo(2 * SEAM * 0.8 + 2 * SEAM * shaken * (1 - fliesHome), 9),
    });
    expect(found?.course.at(-1)?.on).toBe(day(2 + 45));
    for (const [index, each] of found?.course.entries() ?? []) {
      expect(daysBetween(STOCKED, each.on)).toBe(index);
      expect(each.low).toBeLessThan(each.middle);
      expect(each.middle).toBeLessThan(each.high);
    }
  });

  it('is moved by a count as far as that is surer than what was reckoned, and surer after it', () => {
    const before = ahead([stocked(), cell], day(20)).of;
    const counted = ahead([stocked(), cell, seams(3, day(20))], day(20));
    const kg = beesCounted(3, counted.room, format.pitch_mm, defaultConstants);
    const { spreadBees, strayDay } = defaultConstants;
    const spread = spreadBees * 2 + 20 * strayDay;
    const trust = spread ** 2 / (spread ** 2 + spreadBees ** 2);
    const reckoned = at(before, day(20))?.middle ?? 0;
    expect(counted.of?.moved).toEqual({ on: day(20), by_kg: expect.closeTo(trust * (kg - reckoned), 6) });
    expect(at(counted.of, day(20))?.middle).toBeCloseTo(reckoned + trust * (kg - reckoned), 6);
    const width = (found: typeof before) => {
      const each = at(found, day(20));
      return each ? (each.high - each.low) / each.middle : 0;
    };
    expect(width(counted.of)).toBeLessThan(width(before));
    expect(counted.of?.counts).toEqual([{ on: day(20), kg }]);
    expect(before?.moved).toBeUndefined();
  });

  it('goes by the count alone where nothing is known before it', () => {
    const found = ahead([
      stocked({ frames: { sealedBrood: 0, stores: 0, drawn: 3 }, shakes: 0 }),
      seams(2, day(3)),
    ]);
    expect(at(found.of, day(3))?.middle).toBeGreaterThan(0);
  });

  it('grows by what is given later', () => {
    const more = told('stocked', day(8), {
      ...of,
      bays: [...(west?.bays ?? [])],
      frames: { sealedBrood: 1, stores: 0, drawn: 0 },
      shakes: 0,
      openBrood: false,
    });
    const [without, with_] = [ahead([stocked(), cell]).of, ahead([stocked(), cell, more], day(9)).of];
    expect((at(with_, day(8))?.middle ?? 0) - (at(without, day(8))?.middle ?? 0)).toBeCloseTo(0.8 * SEAM, 6);
    // And by its brood, out within twelve days.
    expect((at(with_, day(20))?.middle ?? 0) - (at(without, day(20))?.middle ?? 0)).toBeGreaterThan(SEAM);
  });

  it('knows her own bees three weeks from her first egg, and how long they hold on without her', () => {
    const eggs = told('eggsSeen', day(15), { ...of, attempt: 'q' });
    const waiting = ahead([stocked(), cell]).of;
    expect(waiting?.ownBeesFrom).toBe(plusDays(day(1), defaultConstants.eggsExpected_d + 21));
    const { holdsUntil = '' } = waiting ?? {};
    expect(holdsUntil > day(12) && holdsUntil < day(48)).toBe(true);
    const laying = ahead([stocked(), cell, eggs], day(16)).of;
    expect(laying?.ownBeesFrom).toBe(day(36));
    expect(laying?.holdsUntil).toBeUndefined();
    expect(ahead([stocked()]).of?.ownBeesFrom).toBeUndefined();
    // Without brood they hold on less long.
    const poor = ahead([stocked({ frames: { sealedBrood: 0, stores: 2, drawn: 1 } }), cell]).of;
    expect((poor?.holdsUntil ?? '9') < holdsUntil).toBe(true);
  });

  it('says when it is crowded, weak, or may give a frame, by the figures of the yard', () => {
    const eggs = told('eggsSeen', day(15), { ...of, attempt: 'q' });
    const strong = (count: number, constants = defaultConstants) =>
      ahead([stocked(), cell, eggs, seams(count, day(18))], day(18), constants).of;
    const crowded = strong(2.5)?.crowdedOn ?? '';
    expect((strong(3)?.crowdedOn ?? '9') <= crowded).toBe(true);
    expect(at(strong(2.5), crowded)?.middle).toBeGreaterThanOrEqual(strong(2.5)?.full_kg ?? 0);
    expect(strong(1)?.weakOn).toBe(day(18));
    expect(strong(3)?.weakOn).toBeUndefined();
    const gives = strong(3, constantsWith({ givesSealed: 0.6 }))?.givesFrom ?? '';
    expect(gives > day(18)).toBe(true);
    expect((strong(3, constantsWith({ givesSealed: 0.5 }))?.givesFrom ?? '9') < gives).toBe(true);
  });

  it('begins anew with the season, and says nothing in winter or beyond it', () => {
    const laying = [
      stocked(),
      cell,
      told('eggsSeen', day(15), { ...of, attempt: 'q' }),
      seams(2, '2026-09-01'),
    ];
    expect(ahead(laying, '2026-09-20').of?.course.at(-1)?.on).toBe('2026-09-30');
    expect(ahead(laying, '2026-10-01').of).toBeUndefined();
    const spring = [...laying, seams(1.5, '2027-03-20'), seams(2, '2027-04-05')];
    expect(ahead(spring, '2027-03-25').of).toBeUndefined();
    expect(ahead(spring.slice(0, -1), '2027-04-05').of).toBeUndefined();
    const { of: found, room } = ahead(spring, '2027-04-05');
    const kg = beesCounted(2, room, format.pitch_mm, defaultConstants);
    expect(found?.course[0]).toMatchObject({ on: '2027-04-05', middle: expect.closeTo(kg, 9) });
    // She has laid for long: her bees emerge from the first day on, and do not wait for three weeks.
    expect(at(found, '2027-04-20')?.middle).toBeGreaterThan(kg);
    // The same months are winter in the south, and the other half of the year is not.
    expect(ahead(laying, '2026-09-20', defaultConstants, -41).of).toBeUndefined();
    expect(ahead([stocked(), cell], day(2), defaultConstants, -41).of).toBeUndefined();
  });

  it('takes no brood for granted where she has just begun to lay', () => {
    const bare = stocked({ frames: { sealedBrood: 0, stores: 0, drawn: 3 }, shakes: 0 });
    const eggs = (on: Day) => told('eggsSeen', on, { ...of, attempt: 'q' });
    const after = (laid_d: number) =>
      at(ahead([bare, cell, eggs(day(30 - laid_d)), seams(2, day(30))], day(31)).of, day(42))?.middle ?? 0;
    expect(after(10)).toBeGreaterThan(after(0));
  });

  it('says nothing of bees of which nothing was told for long', () => {
    expect(ahead([stocked(), cell], day(75)).of).toBeDefined();
    expect(ahead([stocked(), cell], day(76)).of).toBeUndefined();
  });
});

it('seams and bees are each other’s inverse, by halves', () => {
  const room = { frames: 5, seam_kg: SEAM };
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), (halves) => {
      const kg = beesCounted(halves / 2, room, format.pitch_mm, defaultConstants);
      expect(seamsCounted(kg, room, format.pitch_mm, defaultConstants)).toBe(halves / 2);
    }),
  );
});
