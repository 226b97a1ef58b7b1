import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { newBoard } from '../box/newBoard.ts';
import { bodiesOf } from '../box/stack.ts';
import { withStorey } from '../box/stackAdds.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { defaultConstants } from '../constants/registry.ts';
import { boxPhysics } from '../warmth/boxPhysics.ts';
import { usualConditions } from '../warmth/conditions.ts';
import { winterWalls } from '../warmth/winterWalls.ts';
import { told } from '../yard/story.test.kit.ts';
import { autumnList } from './autumn.ts';
import { fitCavity } from './cavity.ts';
import { beesOfSeams } from './cluster.ts';
import { comesThrough, winterNeed } from './forecast.ts';
import {
  AUDITS,
  both,
  format,
  LEFT,
  placesOf,
  plain,
  prepared,
  room,
  scene,
  season,
  slots,
} from './preparation.test.kit.ts';
import { prepareRoom } from './preparation.ts';
import { fullSide } from './reduce.ts';

describe('a follower', () => {
  it('stands beside the frames that stay, at either end, with the others behind it', () => {
    for (const end of ['left', 'right'] as const) {
      const fit = fitCavity(plain, room, 6, end);
      if ('why' in fit) throw new Error(fit.why);
      expect(fit.room.frames).toHaveLength(6);
      const rooms = deriveBox(fit.design).compartments;
      expect(rooms.map(({ frames }) => frames.length).sort()).toEqual([4, 6]);
      // Tight on the sides of what stays: the bees' room begins at its own wall.
      const [start, stop] = [rooms[0]?.x[0], rooms.at(-1)?.x[1]];
      expect(end === 'left' ? fit.room.x[0] : fit.room.x[1]).toBe(end === 'left' ? start : stop);
      const boards = bodiesOf(fit.design).flatMap((body) => body.boards);
      expect(boards.map(({ kind }) => kind)).toEqual(['follower']);
    }
  });

  it('is none in a colony of two storeys, nor beside a feeder that hangs among its frames', () => {
    const tall = withStorey(plain);
    const whole = deriveBox(tall).compartments.find(({ bays }) => bays.length > 1);
    if (!whole) throw new Error('Two storeys that are open to one another are one room.');
    expect(fitCavity(tall, whole, 6, 'left')).toMatchObject({
      why: expect.stringContaining('more than one storey'),
    });
    const fed = prepared([
      told('slotSet', '2026-10-06', { box: 'b', slot: slots[9] ?? '', holds: 'feeder' }),
    ]);
    expect(fed.follower).toMatchObject({ why: expect.stringContaining('feeder') });
  });

  it('says why there is none: where all stay, none stays, or the frames leave no room for it', () => {
    const why = (keeps: number, design = plain) => {
      const [own] = deriveBox(design).compartments;
      const fit = own && fitCavity(design, own, keeps, 'left');
      return fit && 'why' in fit ? fit.why : undefined;
    };
    expect(why(10)).toContain('All its frames stay');
    expect(why(0)).toContain('No frame stays');
    const narrow = standardDesign({
      format: 'langstroth-deep',
      insideWidth: { mm: 352 },
      thickness: { mm: 9.5 },
      frames: [10],
    });
    expect(why(6, narrow)).toContain('No follower fits beside 6 frames');
  });

  it('is moved up where one stands already, and goes on from there', () => {
    const first = fitCavity(plain, room, 8, 'left');
    if ('why' in first) throw new Error(first.why);
    // As it stands from then on, its parts have names of their own.
    const design = JSON.parse(JSON.stringify(first.design).replaceAll('"winter ', '"own '));
    const [own] = deriveBox(design).compartments;
    const again = own && fitCavity(design, own, 5, 'left');
    if (!again || 'why' in again) throw new Error(again?.why);
    expect(again.place.board).toBe('own follower');
    expect(again.room.frames).toHaveLength(5);
  });
});

describe('walls in winter', () => {
  it('let through what the whole box does, and the air that its openings pass', () => {
    const still = { ...defaultConstants, discharge: 0.4 };
    const [ua = 0] = winterWalls(plain, () => true, defaultConstants).values();
    const conditions = usualConditions({ outside_C: 0, bees: 'resting', brood: false }, defaultConstants);
    const walls = boxPhysics(plain, conditions).compartments[0]?.ua_WK ?? 0;
    expect(ua).toBeGreaterThan(walls);
    // Air is a small part of it, and in proportion to the discharge.
    const [less = 0] = winterWalls(plain, () => true, still).values();
    expect((ua - walls) / (less - walls)).toBeCloseTo(0.61 / 0.4, 6);
    expect(ua - walls).toBeLessThan(0.5);
  });

  it('cost least beside a neighbour that lives, most beside an empty room, and less with insulation', () => {
    const pair = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [5, 5] });
    const [left] = deriveBox(pair).compartments;
    const of = (lived: (bays: readonly string[]) => boolean) =>
      [...winterWalls(pair, ({ bays }) => lived(bays), defaultConstants)][0]?.[1] ?? 0;
    expect(of(() => true)).toBeLessThan(of((bays) => bays === left?.bays));
    const fit = fitCavity(plain, room, 6, 'left');
    if ('why' in fit) throw new Error(fit.why);
    const ua = (mm: number) =>
      [...winterWalls(fit.design, ({ frames }) => frames.length === 6, defaultConstants, mm)][0]?.[1] ?? 0;
    expect(ua(100)).toBeLessThan(ua(20));
    expect(ua(20)).toBeLessThan(ua(0));
    const [open = 0] = winterWalls(plain, () => true, defaultConstants).values();
    expect(ua(60)).toBeLessThan(open);
  });
});

describe('one colony before winter', () => {
  it('keeps what has brood, stores or pollen, turns the undrawn side inward, and the rest comes out', () => {
    const { frames, follower, asItIs, fitted } = prepared(AUDITS, {}, 12);
    expect(frames.map(({ verdict }) => verdict)).toEqual([
      'out',
      'keep',
      'keep',
      'keep',
      'keep',
      'keep',
      'turn',
      'out',
      'out',
      'out',
    ]);
    // Stores at the sun's side, the heaviest outermost; brood in its order.
    expect(placesOf(frames)).toEqual([
      [1, 2],
      [2, 6],
      [3, 3],
      [4, 7],
      [5, 4],
      [6, 5],
    ]);
    expect(follower).toMatchObject({ framesLeft: 6 });
    expect([asItIs.frames, fitted.frames]).toEqual([10, 6]);
    expect(fitted.litres).toBeLessThan(asItIs.litres * 0.7);
    expect(fitted.ua_WK).toBeLessThan(asItIs.ua_WK);
  });

  it('weighs what stays, and asks for what the fitted room needs and a third more', () => {
    const { stores_kg, need_kg = 0, carry_kg = 0, short_kg, sugar_kg, syrup_l } = prepared(AUDITS, {}, 99);
    const side_kg = fullSide(format, defaultConstants);
    expect(stores_kg).toBeCloseTo(2 * side_kg * (0.8 + 0.5 + 0.4 + 0.4 + 0.7) + 0.5 * side_kg, 9);
    const fit = fitCavity(plain, room, 6, 'left');
    if ('why' in fit) throw new Error(fit.why);
    const [ua_WK = 0] = winterWalls(
      fit.design,
      ({ frames }) => frames.length === 6,
      defaultConstants,
      60,
    ).values();
    const bees_kg = beesOfSeams(5, format.pitch_mm, defaultConstants.litresPerKg);
    expect(need_kg).toBeCloseTo(winterNeed({ bees_kg, ua_WK, ...season }, defaultConstants), 9);
    expect(carry_kg).toBeCloseTo((need_kg * 4) / 3, 9);
    expect(short_kg).toBe(Math.max(0, carry_kg - (stores_kg ?? 0)));
    expect(sugar_kg).toBeCloseTo(short_kg / 1.1, 9);
    expect(syrup_l).toBeCloseTo(sugar_kg / 0.88, 9);
  });

  it('tells the same odds and need on its page and in the list', () => {
    const { state, box, compartment } = scene(AUDITS);
    const [line] = autumnList(state, [box], season);
    if (!line?.winter) throw new Error('No winter.');
    const own = prepareRoom(state, box, compartment, line, LEFT, season)?.asItIs.forecast;
    expect([own?.starved, own?.dwindled]).toEqual([line.winter.starved, line.winter.dwindled]);
  });

  it('comes through at least as often fitted and fed as it is', () => {
    const { asItIs, fitted } = prepared(AUDITS, {}, 12);
    if (!asItIs.forecast || !fitted.forecast) throw new Error('No forecast.');
    expect(comesThrough(fitted.forecast)).toBeGreaterThanOrEqual(comesThrough(asItIs.forecast));
  });

  it('does as the breeder has it, names what the rules say, and takes the cavity from what stays', () => {
    const kept = [4, 5, 2].map((place) => ({ slot: slots[place - 1] ?? '', turned: place === 2 }));
    const { frames, fitted } = prepared(AUDITS, { kept }, 12);
    expect(placesOf(frames)).toEqual([
      [1, 4],
      [2, 5],
      [3, 2],
    ]);
    expect(frames.filter(({ ruled }) => ruled).map(({ slot, ruled }) => [slot.number, ruled])).toEqual([
      [2, 'keep'],
      [3, 'keep'],
      [6, 'keep'],
      [7, 'turn'],
    ]);
    expect(fitted.frames).toBe(3);
  });

  it('leaves what was not looked through, says so, and forgets a look that is too old', () => {
    const few = AUDITS.slice(0, 5);
    const { frames, notes } = prepared(few, {}, 8);
    expect(frames.slice(5).every(({ holds, verdict }) => holds === 'unlooked' && verdict === 'keep')).toBe(
      true,
    );
    expect(notes[0]).toContain('5 frames were not looked through lately');
    const old = told('frameAudited', '2026-08-01', {
      box: 'b',
      colony: 'a',
      frame: 'f1',
      slot: slots[0] ?? '',
      sides: both({ foundation: 1 }),
    });
    expect(prepared([old]).frames[0]).toMatchObject({ holds: 'unlooked', verdict: 'keep' });
    expect(prepared([]).notes[0]).toContain('None of its frames was looked through');
  });

  it('says nothing of a winter where seams or stores are not known', () => {
    expect(prepared(AUDITS).fitted.forecast).toBeUndefined();
    const { state, box, compartment } = scene(AUDITS);
    const unknown = prepareRoom(state, box, compartment, { seams: undefined, stores_kg: 9 }, LEFT, season);
    expect(unknown).toMatchObject({ need_kg: undefined, carry_kg: undefined, short_kg: 0 });
    expect(unknown?.asItIs.forecast).toBeUndefined();
  });

  it('says that combs cannot hold what is to be carried', () => {
    const one = [{ slot: slots[1] ?? '', turned: false }];
    const { notes, holds_kg } = prepared(AUDITS, { kept: one }, 12);
    expect(holds_kg).toBeCloseTo(2 * fullSide(format, defaultConstants), 9);
    expect(notes.at(-1)).toMatch(/The combs that stay hold \d\.\d kg, less than is to be carried/);
  });
});

it('names a new follower tight, down to a lip of the floor', () => {
  const [body] = bodiesOf(plain);
  if (!body) throw new Error('No body.');
  expect(newBoard('follower', plain, body, { board: 'b', groove: 'g' })).toMatchObject({
    kind: 'follower',
    down: plain.floor.lip,
  });
});
