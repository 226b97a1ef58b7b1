import type { CombSide, LogEvent, Payload } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { newBoard } from '../box/newBoard.ts';
import { bodiesOf } from '../box/stack.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { boxPhysics } from '../warmth/boxPhysics.ts';
import { usualConditions } from '../warmth/conditions.ts';
import { winterWalls } from '../warmth/winterWalls.ts';
import { boxViews } from '../yard/boxView.ts';
import { plannedOn } from '../yard/due/winterRules.ts';
import { fold } from '../yard/fold.ts';
import { slotsOf } from '../yard/slots.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { warningsOf } from '../yard/warn/warnings.ts';
import { autumnList } from './autumn.ts';
import { fitCavity } from './cavity.ts';
import { beesOfSeams } from './cluster.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { comesThrough, winterAhead, winterNeed } from './forecast.ts';
import { hived, knownOf } from './hived.test.kit.ts';
import { type Arrangement, prepareRoom } from './preparation.ts';
import { fullSide } from './reduce.ts';
import { warmSide } from './warmSide.ts';
import { winterEntries } from './winterEntries.ts';
import { winterMoves } from './winterMoves.ts';

const ON = '2026-10-10';
let made = 0;
const plain = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] });
const [room] = deriveBox(plain).compartments;
if (!room) throw new Error('No room.');
const slots = room.frames.map(({ id }) => id);
const format = room.frames[0]?.format ?? ({} as never);
const known = knownOf(plain);
const season = { on: ON, ...winterAhead(estimatedWinter(), ON, 48), constants: defaultConstants };
const begun = [...hived(plain), told('strengthSeen', '2026-10-01', { box: 'b', colony: 'a', seams: 5 })];
const looked = (place: number, sides: [CombSide, CombSide]) =>
  told(
    'frameAudited',
    '2026-10-05',
    { box: 'b', colony: 'a', frame: `f${place}`, slot: slots[place - 1] ?? '', sides },
    { hour: 8, id: `look ${place}` },
  );
const both = (side: CombSide): [CombSide, CombSide] => [side, side];
/** Foundation, stores, brood in the middle, an empty comb, foundation. */
const AUDITS: readonly LogEvent[] = [
  looked(1, both({ foundation: 1 })),
  looked(2, both({ stores: 0.8 })),
  looked(3, both({ stores: 0.5, pollen: 0.1 })),
  looked(4, both({ sealed: 0.3, stores: 0.4 })),
  looked(5, both({ sealed: 0.2, stores: 0.4 })),
  looked(6, both({ stores: 0.7 })),
  looked(7, [{ foundation: 1 }, { stores: 0.5 }]),
  looked(8, both({})),
  looked(9, both({ foundation: 1 })),
  looked(10, both({ foundation: 1 })),
];
const LEFT: Arrangement = {
  school: 'sun',
  sunSide: 'left',
  end: 'left',
  follower: true,
  insulation_mm: 60,
};

function scene(events: readonly LogEvent[]) {
  const state = fold(known, [...begun, ...events]);
  const [box] = boxViews(state, known, YARD, defaultConstants, { on: ON, today: ON });
  const compartment = box?.compartments[0];
  if (!box || !compartment) throw new Error('No box.');
  return { state, box, compartment };
}
function prepared(events: readonly LogEvent[], with_: Partial<Arrangement> = {}, stores_kg?: number) {
  const { state, box, compartment } = scene(events);
  const { strength } = compartment.colony ?? {};
  const found = prepareRoom(
    state,
    box,
    compartment,
    { seams: strength?.seams, stores_kg },
    { ...LEFT, ...with_ },
    season,
  );
  if (!found) throw new Error('Nothing to prepare.');
  return found;
}
const placesOf = (frames: ReturnType<typeof prepared>['frames']) =>
  frames
    .flatMap(({ slot, to }) => (to === null ? [] : [[to, slot.number]]))
    .sort(([a = 0], [b = 0]) => a - b);

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
    const conditions = usualConditions({ outside_C: 0, bees: 'resting', brood: false });
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
    const bees_kg = beesOfSeams(5, format.pitch_mm);
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

describe('the frames of a plan', () => {
  const order = fc.shuffledSubarray(slots, { minLength: 1 });
  it('stand side by side at their end in their order, all others are out, whatever stays', () => {
    fc.assert(
      fc.property(order, fc.constantFrom('left' as const, 'right' as const), (kept, end) => {
        const { state, box, compartment } = scene(AUDITS);
        const hung = slotsOf(state, box.box, room, compartment);
        const keeps = kept.map((slot) => ({ slot, turned: false }));
        const moves = winterMoves('b', hung, { keeps, end }, () => 'new');
        if ('why' in moves) throw new Error(moves.why);
        const after = scene([
          ...AUDITS,
          ...(moves.length > 0 ? [told('framesMoved', '2026-10-08', { moves, purpose: 'reduce' })] : []),
        ]);
        expect(after.state.toSettle).toEqual([]);
        const now = slotsOf(after.state, after.box.box, room, after.compartment);
        const idAt = (slot: string) => `f${slots.indexOf(slot) + 1}`;
        const first = end === 'left' ? 0 : 10 - kept.length;
        expect(now.map(({ frame }) => frame?.id)).toEqual(
          slots.map((_, place) => {
            const slot = kept[place - first];
            return slot === undefined ? undefined : idAt(slot);
          }),
        );
      }),
      { numRuns: 40 },
    );
  });

  it('are where the bees are, once the follower stands, however few they are and at either end', () => {
    for (const end of ['left', 'right'] as const)
      for (const count of [1, 3, 4, 7]) {
        const { state, box, compartment } = scene(AUDITS);
        const keeps = slots.slice(2, 2 + count).map((slot) => ({ slot, turned: false }));
        const done = { act: 'reduce', room: { keeps, end, follower: true, insulation_mm: 0 } } as const;
        const plan = { ...done, on: ON, sugar_kg: 0, fed_kg: 0 };
        const entries = winterEntries(state, box, compartment, plan, () => `new ${count} ${made++}`);
        if ('why' in entries) throw new Error(entries.why);
        const events = entries.map(({ kind, payload }) => told(kind, '2026-10-09', payload as never));
        const booked = told('winterPlanned', '2026-10-08', { box: 'b', colony: 'a', sugar_kg: 0, ...done });
        const after = scene([...AUDITS, booked, ...events]);
        expect(after.state.toSettle).toEqual([]);
        const lived = after.box.compartments.filter(({ colony }) => colony?.id === 'a');
        expect([end, count, lived.map(({ frames }) => frames)]).toEqual([end, count, [count]]);
        const [start] = lived[0] ? [after.box.model.compartments[lived[0].position]?.x[0]] : [];
        expect(start === room.x[0]).toBe(end === 'left');
      }
  });

  it('and no follower is entered where none can stand any more: it says why', () => {
    const { state, box, compartment } = scene(AUDITS);
    const keeps = slots.map((slot) => ({ slot, turned: false }));
    const plan = { act: 'reduce', room: { keeps, end: 'left', follower: true, insulation_mm: 0 } } as const;
    expect(
      winterEntries(state, box, compartment, { ...plan, on: ON, sugar_kg: 0, fed_kg: 0 }, () => 'x'),
    ).toMatchObject({ why: expect.stringContaining('All its frames stay') });
  });

  it('are refused where one of them hangs there no more', () => {
    const { state, box, compartment } = scene(AUDITS);
    const hung = slotsOf(state, box.box, room, compartment);
    expect(
      winterMoves('b', hung, { keeps: [{ slot: 'gone', turned: false }], end: 'left' }, () => 'new'),
    ).toMatchObject({ why: expect.stringContaining('plan it anew') });
  });
});

describe('a plan', () => {
  const plan = (more: Partial<Payload<'winterPlanned'>> = {}) =>
    told('winterPlanned', '2026-10-08', {
      box: 'b',
      colony: 'a',
      act: 'reduce',
      room: {
        keeps: slots.slice(0, 6).map((slot) => ({ slot, turned: false })),
        end: 'left',
        follower: true,
        insulation_mm: 60,
      },
      sugar_kg: 3,
      by: '2026-10-18',
      ...more,
    });
  const due = (...events: LogEvent[]) => {
    const { compartment, state } = scene(events);
    return {
      settle: state.toSettle.map(({ sentence }) => sentence),
      work: compartment.due
        .filter(({ kind }) => kind === 'prepareWinter' || kind === 'feedWinter')
        .map(({ kind, reason, to }) => [kind, reason, to]),
    };
  };
  const fed = (amount_kg: number, on = '2026-10-09') =>
    told('fed', on, { box: 'b', colony: 'a', feed: 'syrup21', amount_kg });

  it('is work until it is done, and feed until it is fed', () => {
    expect(due(plan()).work).toEqual([
      ['prepareWinter', 'Reduce: 6 frames stay, a follower beside them. Planned 8 Oct 2026.', '2026-10-18'],
      ['feedWinter', '3.0 kg of sugar still to be fed of 3.0 kg, 3.4 l of syrup 2:1.', '2026-10-18'],
    ]);
    // A litre of syrup 2:1 weighs 1.32 kg and has 0.88 kg of sugar.
    expect(due(plan(), fed(3)).work[1]?.[1]).toContain('1.0 kg of sugar still to be fed');
    expect(due(plan(), fed(4.5)).work).toHaveLength(1);
    expect(due(fed(9, '2026-10-07'), plan()).work).toHaveLength(2);
    const done = told('winterPrepared', '2026-10-09', { box: 'b', colony: 'a' });
    expect(due(plan(), done).work.map(([kind]) => kind)).toEqual(['feedWinter']);
    expect(due(plan(), done, { ...done, id: 'again' }).settle).toEqual(['That was done already.']);
    expect(due(done).settle).toEqual(['Nothing is planned for the winter of these bees.']);
    const dropped = told('winterDropped', '2026-10-09', { box: 'b', colony: 'a' });
    expect(due(plan(), dropped).work).toEqual([]);
    expect(due(plan({ act: 'leave', sugar_kg: 0, room: undefined })).work).toEqual([]);
    expect(due(plan({ by: '2026-10-07' })).settle[0]).toContain('lies before the day');
  });

  it('is of one winter: half a year later it says nothing', () => {
    const { state } = scene([plan()]);
    const colony = state.colonies.get('a') ?? {};
    expect(
      [plusDays('2026-10-08', 180), plusDays('2026-10-08', 181)].map((on) => plannedOn(colony, on)?.act),
    ).toEqual(['reduce', undefined]);
  });

  it('moved where it says, it is done; moved elsewhere, its frames are planned anew', () => {
    const moved = (to: { box: string; bays: string[] } | undefined) => {
      const other = [
        told('boxBuilt', '2026-04-01', { box: 'c', label: 'C1', design: 'd', version: 1 }),
        told('boxPlaced', '2026-04-02', {
          box: 'c',
          yard: YARD,
          stand: '2',
          east_m: 3,
          north_m: 1,
          bearing_deg: 180,
        }),
      ];
      const move = told('colonyMoved', '2026-10-09', {
        box: 'b',
        colony: 'a',
        toBox: 'c',
        bays: [...room.bays],
      });
      const state = fold(known, [...begun, ...other, plan(to ? { act: 'move', to } : {}), move]);
      expect(state.toSettle).toEqual([]);
      return state.colonies.get('a')?.winter;
    };
    expect(moved({ box: 'c', bays: [...room.bays] })?.preparedOn).toBe('2026-10-09');
    expect(moved(undefined)).toMatchObject({ act: 'reduce', sugar_kg: 3 });
    expect(moved(undefined)?.room).toBeUndefined();
    expect(moved(undefined)?.preparedOn).toBeUndefined();
  });

  it('speaks against reducing what grows, and feed for bees without a queen', () => {
    const { state } = scene([]);
    const warm = new Map(
      Array.from({ length: 14 }, (_, day) => {
        const date = `2026-09-${String(day + 10).padStart(2, '0')}`;
        return [date, { date, min_C: 8, max_C: 20, wind_ms: 0, rain_mm: 0, flying_h: 4 }] as const;
      }),
    );
    const situation = (weather: typeof warm) => ({
      state,
      designs: known.designs,
      on: ON,
      weather,
      constants: defaultConstants,
      yard: { latitude_deg: 48 },
    });
    const said = (weather: typeof warm, more: Partial<Payload<'winterPlanned'>> = {}) =>
      warningsOf(situation(weather), plan(more)).map(({ sentence }) => sentence);
    expect(said(warm)[0]).toContain('may swarm');
    expect(said(warm, { act: 'feed' })).toEqual([]);
    expect(said(new Map())).toEqual([]);
    const out = told('framesMoved', ON, {
      moves: [{ frame: 'f9', from: { box: 'b', slot: slots[8] ?? '' }, to: null, turned: false }],
      purpose: 'reduce',
    });
    expect(warningsOf(situation(warm), out)[0]?.source).toBe('Reducing: when and who');
  });

  it('asks once for the reason of a frame that comes out against the rule', () => {
    const out = told('framesMoved', ON, {
      moves: [{ frame: 'f6', from: { box: 'b', slot: slots[5] ?? '' }, to: null, turned: false }],
      purpose: 'reduce',
    });
    const said = (...events: LogEvent[]) =>
      warningsOf(
        {
          state: scene([...AUDITS, ...events]).state,
          designs: known.designs,
          on: ON,
          weather: new Map(),
          constants: defaultConstants,
          yard: { latitude_deg: 48 },
        },
        out,
      ).filter(({ sentence }) => sentence.startsWith('By the rule'));
    const keeps = [1, 2, 3, 4].map((place) => ({ slot: slots[place] ?? '', turned: false }));
    const room = { keeps, end: 'left', follower: true, insulation_mm: 0 } as const;
    expect(said()).toHaveLength(1);
    expect(said(plan({ room: { ...room, keeps } }))).toHaveLength(1);
    expect(said(plan({ room: { ...room, keeps }, reason: 'Old comb.' }))).toHaveLength(0);
    const stays = [...keeps, { slot: slots[5] ?? '', turned: false }];
    expect(said(plan({ room: { ...room, keeps: stays }, reason: 'Old comb.' }))).toHaveLength(1);
  });
});

describe('the side that the sun warms', () => {
  it('is west of a front to the south, and east of one to the north in the south', () => {
    expect(warmSide(180, 48, '2026-12-01')).toMatchObject({ end: 'left', bearing_deg: 270 });
    // Seen with the front nearest, west is at the right of a front to the north.
    expect(warmSide(0, -41, '2026-06-01')).toMatchObject({ end: 'right', bearing_deg: 270 });
    expect(warmSide(90, 48, '2026-12-01')).toMatchObject({ end: 'left', bearing_deg: 180 });
    expect(warmSide(270, 48, '2026-12-01')).toMatchObject({ end: 'right', bearing_deg: 180 });
  });

  it('mirrors between the halves of the earth, half a year apart', () => {
    const north = warmSide(150, 45, '2026-12-21');
    const south = warmSide(30, -45, '2026-06-21');
    expect(south.end).not.toBe(north.end);
    expect(south.more).toBeCloseTo(north.more, 1);
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
