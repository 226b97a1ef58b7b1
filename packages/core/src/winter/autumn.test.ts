import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { combSide, seamBees } from '../box/measures.ts';
import { deriveBox } from '../box/model.ts';
import { bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { parts } from '../carpentry/parts.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { boxViews } from '../yard/boxView.ts';
import { compartmentsOf } from '../yard/compartments.ts';
import { expectationsOf } from '../yard/due/rules.ts';
import { fold } from '../yard/fold.ts';
import { told, weatherOf, YARD } from '../yard/story.test.kit.ts';
import { warningsOf } from '../yard/warn/warnings.ts';
import { type AutumnLine, autumnList, autumnTime } from './autumn.ts';
import { beesOfSeams } from './cluster.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { winterAhead } from './forecast.ts';
import { knownOf } from './hived.test.kit.ts';

const ON = '2026-10-10';
const months = estimatedWinter();
const content = familyDesign('twoWayBody');
const rooms = deriveBox(content).compartments;
const known = knownOf(content);
const bees = (colony: string, room: number, queen?: 'laying') =>
  told('stocked', '2026-08-01', {
    box: 'b',
    colony,
    bays: [...(rooms[room]?.bays ?? [])],
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 1,
    openBrood: false,
    ...(queen ? { queen } : {}),
  });
const built = [
  told('boxBuilt', '2026-04-01', { box: 'b', label: 'B1', design: 'd', version: 1 }),
  told('boxPlaced', '2026-04-02', {
    box: 'b',
    yard: YARD,
    stand: '1',
    east_m: 1,
    north_m: 1,
    bearing_deg: 180,
  }),
];
const seams = (count: number, on = '2026-10-01', colony = 'a') =>
  told('strengthSeen', on, { box: 'b', colony, seams: count });
const audits = (stores: number) =>
  (rooms[0]?.frames ?? []).map(({ id: slot }, index) =>
    told(
      'frameAudited',
      '2026-10-02',
      { box: 'b', colony: 'a', frame: `f${index}`, slot, sides: [{ stores }, { stores }] },
      { hour: 8 + index },
    ),
  );
/** Who dwindles is asked in a test of its own. */
const figures = { ...defaultConstants, dwindleRisk: 1 };
const list = (events: readonly LogEvent[], constants = figures) => {
  const state = fold(known, [...built, ...events]);
  const views = boxViews(state, known, YARD, constants, { on: ON, today: ON });
  return autumnList(state, views, { on: ON, ...winterAhead(months, ON, 48), constants });
};
const act = (...events: LogEvent[]) => list([bees('a', 0, 'laying'), ...events])[0];

describe('the yard before winter', () => {
  it('asks for the cheapest look where something is not known', () => {
    expect(act()?.act).toBe('count');
    expect(act(seams(5, '2026-07-20'))?.act).toBe('count');
    expect(act(seams(4.5))).toMatchObject({ act: 'heft', stores_kg: undefined, winter: undefined });
  });

  it('spends no feed on bees without a queen, or on the small whose queen was not seen', () => {
    expect(list([bees('a', 0), seams(5)])[0]?.act).toBe('combine');
    const notSeen = told('queenSeen', '2026-10-03', { box: 'b', colony: 'a', seen: false });
    expect(act(seams(3), notSeen)).toMatchObject({
      act: 'count',
      why: expect.stringContaining('worker brood'),
    });
  });

  it('winters fewer than four seams in company, with the neighbour that is there', () => {
    expect(act(seams(3.5))?.why).toContain('another');
    const pair = [bees('a', 0, 'laying'), bees('c', 1, 'laying'), seams(3.5), seams(5, '2026-10-01', 'c')];
    const both = list(pair);
    // Two side by side are a pair already; combined only where they dwindle so too.
    const first = (some: readonly AutumnLine[]) => some.find(({ room }) => room.position === 0);
    expect(first(both)?.act).toBe('heft');
    const risky = { ...defaultConstants, dwindleRisk: 0 };
    expect(first(list(pair, risky))?.why).toMatch(/it is a pair already; combined/);
    const joined = list([
      bees('a', 0, 'laying'),
      ...bodiesOf(content).flatMap(({ boards }) =>
        boards.map(({ id }) => told('dividerSet', '2026-09-01', { box: 'b', board: id, stands: false })),
      ),
      seams(3.5),
    ]);
    expect(joined.map(({ act: what, why }) => [what, /pair already/.test(why)])).toEqual([['pair', false]]);
    expect(act(seams(4))?.act).not.toBe('pair');
  });

  it('winters in company also who would dwindle though it is not so few, from the odds of the yard on', () => {
    const few = [bees('a', 0, 'laying'), seams(4.5), ...audits(0.95)];
    const { dwindled = 0 } = list(few)[0] ?? {};
    expect(dwindled).toBeGreaterThan(0.2);
    expect(dwindled).toBeLessThan(1);
    const acts = [dwindled, dwindled + 0.001].map(
      (dwindleRisk) => list(few, { ...defaultConstants, dwindleRisk })[0]?.act,
    );
    expect(acts).toEqual(['pair', 'check']);
    const left = (dwindleRisk: number, ...more: ReturnType<typeof seams>[]) =>
      list([...few, ...more], { ...defaultConstants, dwindleRisk })[0]?.why;
    expect(left(1)).toMatch(/but for the short check, though it dwindles in about [2-9] winters of 10\.$/);
    expect(left(1, seams(7))).toMatch(/left alone, but for the short check\.$/);
    expect(list(few, { ...defaultConstants, dwindleRisk: dwindled })[0]?.why).toMatch(
      /it dwindles in about \d+ winters of 10/,
    );
  });

  it('feeds what is short of what winter takes and a third more', () => {
    const light = act(seams(4.5), ...audits(0.1));
    const side = combSide(rooms[0]?.frames[0]?.format ?? ({} as never));
    const stores = ((rooms[0]?.frames.length ?? 0) * 2 * 0.1 * side * defaultConstants.honey_gcm2) / 1_000;
    expect(light?.stores_kg).toBeCloseTo(stores, 9);
    expect(light?.act).toBe('feed');
    expect(light?.sugar_kg).toBeCloseTo(((light?.carry_kg ?? 0) - stores) / 1.1, 9);
    expect(light?.winter?.starved).toBeGreaterThan(0.5);
    const full = act(seams(4.5), ...audits(0.95));
    expect(full).toMatchObject({ act: 'check', sugar_kg: 0 });
    expect(full?.winter?.starved).toBeLessThan(0.05);
  });

  it('knows stores by the weight of the whole box, once parts, combs and bees are taken off', () => {
    const weighed = (weight_kg: number, felt: boolean, on = '2026-10-05') =>
      told('weighed', on, { box: 'b', weight_kg, felt });
    const empty_kg = parts({ design: content }).weights.empty_kg;
    const [left, right] = [rooms[0]?.frames ?? [], rooms[1]?.frames ?? []];
    const without =
      empty_kg +
      left.length * defaultConstants.frame_kg +
      beesOfSeams(4.5, left[0]?.format.pitch_mm ?? 0, defaultConstants.litresPerKg);
    const alone = act(seams(4.5), weighed(without + 3, true));
    expect(alone).toMatchObject({ act: 'feed', storesBy: 'felt', stores_kg: expect.closeTo(3, 9) });
    const format = left[0]?.format ?? ({} as never);
    const full_kg = (left.length * 2 * combSide(format) * defaultConstants.honey_gcm2) / 1_000;
    expect(act(seams(4.5), weighed(without + full_kg - 0.01, false))).toMatchObject({
      act: 'check',
      storesBy: 'weighed',
    });
    // More than its combs can hold: something else was on the scale.
    expect(act(seams(4.5), weighed(without + full_kg + 0.01, false))).toMatchObject({
      act: 'heft',
      stores_kg: undefined,
    });
    expect(act(seams(4.5), weighed(without + 3, false, '2026-08-20'))?.act).toBe('heft');
    expect(act(seams(4.5), weighed(1, true))?.stores_kg).toBe(0);
    expect(act(seams(4.5), ...audits(0.95), weighed(1, true))?.storesBy).toBe('looked');
    const all = list([
      bees('a', 0, 'laying'),
      bees('c', 1, 'laying'),
      seams(4.5),
      weighed(without + 20, false),
    ]);
    const uncounted = right.length * (defaultConstants.frame_kg + seamBees(right[0]?.format));
    expect(all.map(({ stores_kg }) => stores_kg)).toEqual(
      all.map(() => expect.closeTo((20 - uncounted) / 2, 9)),
    );
  });

  it('reduces where two frames or more have no bees, to the seams and a frame of stores', () => {
    const spare = { ...figures, reduceSpare: 1 };
    const frames = rooms[0]?.frames.length ?? 0;
    const few = bees('a', 0, 'laying');
    const line = list([few, seams(frames - 1)], spare)[0];
    expect(line).toMatchObject({ act: 'reduce', keeps: frames });
    expect(list([few, seams(frames - 0.5)], spare)[0]?.act).toBe('heft');
    // What was looked through stays for what it holds, however few the bees.
    expect(list([few, seams(frames - 1), ...audits(0.95)], spare)[0]?.act).toBe('check');
    const stores = audits(0.95).slice(0, frames - 1);
    const bare = told('frameAudited', '2026-10-02', {
      box: 'b',
      colony: 'a',
      frame: 'bare',
      slot: rooms[0]?.frames.at(-1)?.id ?? '',
      sides: [{ foundation: 1 }, { foundation: 1 }],
    });
    expect(list([few, seams(frames - 1), ...stores, bare], spare)[0]).toMatchObject({
      act: 'reduce',
      keeps: frames,
    });
    expect(list([few, seams(4.5), ...stores, bare], { ...spare, reduceSpare: 2 })[0]?.act).toBe('check');
  });
});

it('is left alone whole once its short check was made, for as long as a count is fresh', () => {
  const checked = (before_d: number) =>
    told('shortChecked', plusDays(ON, -before_d), { box: 'b', colony: 'a', did: ['strapped'] });
  const full = [seams(4.5), ...audits(0.95)];
  expect(act(...full)).toMatchObject({
    act: 'check',
    why: expect.stringContaining('but for the short check'),
  });
  const { countFresh_d } = defaultConstants;
  expect(act(...full, checked(countFresh_d))?.act).toBe('leave');
  expect(act(...full, checked(countFresh_d + 1))?.act).toBe('check');
});

it('takes less once it stands pushed together with another, and not before', () => {
  const planned = told('winterPlanned', '2026-10-03', {
    box: 'b',
    colony: 'a',
    act: 'leave',
    pushedTo: 'B2',
    sugar_kg: 0,
  });
  const prepared = told('winterPrepared', '2026-10-04', { box: 'b', colony: 'a' });
  const carry = (...events: LogEvent[]) => act(seams(4.5), ...events)?.carry_kg ?? 0;
  expect(carry(planned)).toBe(carry());
  expect(carry(planned, prepared)).toBeLessThan(carry());
});

describe('in the cold', () => {
  const { openFrom_C } = defaultConstants;
  const cold = (max_C: number) =>
    new Map(
      weatherOf('2026-11-20', new Array(20).fill(0)).map((each) => [each.date, { ...each, max_C }] as const),
    );
  const state = (...events: LogEvent[]) =>
    fold(known, [
      ...built,
      bees('a', 0, 'laying'),
      told('strengthSeen', '2026-11-25', { box: 'b', colony: 'a', seams: 1 }),
      ...events,
    ]);
  const weak = (weather: ReturnType<typeof cold>) => {
    const now = state();
    const box = now.boxes.get('b');
    const [own] = box ? compartmentsOf(now, known.designs, box) : [];
    if (!box || !own) throw new Error('There is no such box.');
    return expectationsOf(own, box, weather, defaultConstants).find(({ kind }) => kind === 'weak');
  };
  const asked = (
    kind: 'frameAudited' | 'strengthSeen',
    weather: ReturnType<typeof cold>,
    on = '2026-12-09',
  ) => {
    const payload = { box: 'b', colony: 'a', frame: 'f', slot: 's', sides: [{}, {}], seams: 3 };
    return warningsOf(
      {
        state: state(),
        designs: known.designs,
        on,
        weather,
        constants: defaultConstants,
        yard: { latitude_deg: 48 },
      },
      { kind, payload } as never,
    ).map(({ sentence }) => sentence);
  };

  it('looks that open a colony wait a week from the last record, and say why', () => {
    expect(weak(cold(openFrom_C))).toMatchObject({ from: '2026-11-25' });
    expect(weak(cold(openFrom_C - 0.1))).toMatchObject({
      from: '2026-12-16',
      reason: expect.stringContaining('Held back while days reach 8 °C'),
    });
    expect(weak(new Map())).toMatchObject({ from: '2026-11-25' });
  });

  it('a frame that is looked through wants a reason, a count from above does not', () => {
    expect(asked('frameAudited', cold(3)).join()).toContain('not opened but for the short check');
    expect(asked('frameAudited', cold(openFrom_C))).toEqual([]);
    expect(asked('strengthSeen', cold(3))).toEqual([]);
    // Of a day before the cold, told later.
    expect(asked('frameAudited', cold(3), '2026-11-20')).toEqual([]);
  });
});

describe('the time for it', () => {
  const weather = (hours: number) =>
    new Map(weatherOf(plusDays(ON, -20), new Array(20).fill(hours)).map((each) => [each.date, each]));
  it('is by the yard’s own days, and unknown stays unknown', () => {
    expect(autumnTime(weather(0), defaultConstants).is).toBe('time');
    expect(autumnTime(weather(4), defaultConstants).is).toBe('expanding');
    expect(autumnTime(new Map(), defaultConstants).is).toBe('unknown');
    // As cold in March, with a winter before it: colonies are about to expand.
    const before = (max_C: number) =>
      new Map([
        ...weatherOf(plusDays(ON, -70), new Array(25).fill(0)).map(
          (each) => [each.date, { ...each, max_C }] as const,
        ),
        ...weather(0),
      ]);
    expect(autumnTime(before(14.9), defaultConstants)).toMatchObject({
      is: 'expanding',
      sentence: expect.stringContaining('winter ends'),
    });
    expect(autumnTime(before(15), defaultConstants).is).toBe('time');
  });
});
