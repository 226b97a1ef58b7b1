import type { DueKind, LogEvent } from '@yellow-cell/contract';
import { DueKind as Kinds } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../../box/stack.ts';
import { plusDays } from '../../calendar/days.ts';
import { constantsWith, defaultConstants, registry } from '../../constants/registry.ts';
import { switchOf } from '../../constants/switches.ts';
import { boxViews } from '../boxView.ts';
import { compartmentsOf } from '../compartments.ts';
import { fold } from '../fold.ts';
import {
  bays,
  begun,
  doorsAlike,
  known,
  OF,
  stockedIn,
  threeWayDesign,
  told,
  weatherOf,
  workOf,
} from '../story.test.kit.ts';
import { feedUse } from './careRules.ts';
import type { Weather } from './expectation.ts';
import { expectationsOf, rules } from './rules.ts';
import { whileOpen } from './whileOpen.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };
const weather = (from: number, hours: readonly number[], max_C?: number): Weather =>
  new Map(
    weatherOf(day(from), hours).map((each) => [each.date, max_C === undefined ? each : { ...each, max_C }]),
  );
const raised = (events: readonly LogEvent[], kind: DueKind, on?: Weather) =>
  workOf(fold(known, [...begun(CELL), ...events]), 'colony-1', on).find((each) => each.kind === kind);

describe('rules that raise work', () => {
  it('are one for each kind of work, each with reason, source and figures that exist', () => {
    expect(rules.map(({ kind }) => kind).sort()).toEqual([...Kinds.options].sort());
    for (const { why, source, figures } of rules) {
      expect(why.length).toBeGreaterThan(20);
      expect(source).toMatch(/^[A-Z]/);
      for (const figure of figures) expect(figure in registry).toBe(true);
    }
  });

  it('each can be off', () => {
    const state = fold(known, begun(CELL));
    expect(workOf(state, 'colony-1').map(({ kind }) => kind)).toContain('checkOpening');
    const off = constantsWith({ [switchOf('checkOpening')]: 0 });
    expect(workOf(state, 'colony-1', new Map(), off).map(({ kind }) => kind)).not.toContain('checkOpening');
  });

  it('a small colony is fed after three days without flying weather in a row, and no more once it was', () => {
    expect(raised([], 'feedWeak', weather(5, [3, 0, 0]))).toBeUndefined();
    expect(raised([], 'feedWeak', weather(5, [3, 0, 0, 0]))).toMatchObject({ from: day(8) });
    expect(raised([], 'feedWeak', weather(5, [0, 0, 0, 3]))).toBeUndefined();
    const fed = told('fed', day(7), { ...IN, feed: 'syrup11', amount_kg: 0.4 });
    expect(raised([fed], 'feedWeak', weather(5, [3, 0, 0, 0]))).toBeUndefined();
  });

  it('a frost that is told or expected warns small boxes for that night, and no others', () => {
    const night = (min_C: number, count = 9): Weather =>
      new Map(weatherOf(day(count), [3]).map((each) => [each.date, { ...each, min_C }]));
    const seams = (count: number) => told('strengthSeen', day(4), { ...IN, seams: count });
    expect(raised([seams(1.5)], 'frost', night(0))).toMatchObject({
      from: day(8),
      to: day(9),
      lapses: true,
      reason: expect.stringContaining('0 °C in the night'),
    });
    expect(raised([seams(1.5)], 'frost', night(0.1))).toBeUndefined();
    expect(raised([seams(2)], 'frost', night(-8))).toBeUndefined();
    expect(raised([], 'frost', night(-8))).toBeUndefined();
    const wintering = told('roleSet', day(5), { box: 'box-1', role: 'wintering' });
    expect(raised([seams(1.5), wintering], 'frost', night(-8))).toBeUndefined();
    const two: Weather = new Map([...night(-2, 6), ...night(-5, 12), ...night(3, 14)]);
    expect(raised([seams(1)], 'frost', two)).toMatchObject({ from: day(11), to: day(12) });
  });

  it('feed lasts by the bees that eat it, once they are counted', () => {
    const fed = told('fed', day(5), { ...IN, feed: 'syrup11', amount_kg: 0.9 });
    const seams = (count: number) => told('strengthSeen', day(4), { ...IN, seams: count });
    // 0.11 kg of stores a day for a kilogram of bees; a seam of a Langstroth deep is 0.259 kg (handbook 5); 0.9 kg of
    // syrup 1:1 come to 0.495 kg of stores.
    expect(raised([fed], 'refillFeed')).toMatchObject({ from: day(10) });
    expect(raised([seams(2), fed], 'refillFeed')).toMatchObject({ from: day(14) });
    expect(raised([seams(8), fed], 'refillFeed')).toMatchObject({ from: day(7) });
    // A kilogram of patty is less sugar than one of syrup 2:1.
    const of = (feed: 'patty' | 'syrup21') =>
      raised([told('fed', day(5), { ...IN, feed, amount_kg: 2 })], 'refillFeed')?.from;
    expect([of('patty'), of('syrup21')]).toEqual([day(16), day(18)]);
    // None seen, or no comb to count them on: a figure all the same, never a day without end.
    expect(raised([seams(0), fed], 'refillFeed')).toMatchObject({ from: day(40) });
    const strength = { on: day(4), seams: 3 };
    expect(feedUse({ strength }, { seam_kg: 0 }, defaultConstants)).toBe(defaultConstants.feedUse_kgDay);
  });

  it('frames taken out to reduce the cavity are not asked back', () => {
    const slot = threeWayDesign().versions.flatMap(({ content }) => bodiesOf(content))[0]?.bays[0]?.frames[0]
      ?.id;
    const out = (purpose: 'reduce' | 'show') =>
      told('framesMoved', day(5), {
        moves: [{ frame: 'f', from: { box: 'box-1', slot: slot as string }, to: null, turned: false }],
        purpose,
      });
    expect(raised([out('show')], 'framesBack')).toBeDefined();
    expect(raised([out('reduce')], 'framesBack')).toBeUndefined();
  });

  it('what falls due soon is offered while the compartment is open, beside what is named first', () => {
    const events = [
      ...begun(CELL),
      told('stripsPut', day(0), { ...IN, product: 'Strips', outBy: day(20) }),
      told('fed', day(0), { ...IN, feed: 'patty', amount_kg: 0.3 }),
    ];
    const offered = (on: string) => {
      const [view] = boxViews(fold(known, events, on), known, 'yard-1', defaultConstants, {
        on,
        today: on,
      }).flatMap(({ compartments }) => compartments);
      return view ? whileOpen(view, on, defaultConstants).map(({ kind }) => kind) : [];
    };
    expect(offered(day(0))).not.toContain('stripsOut');
    expect(offered(day(12))).toContain('stripsOut');
    expect(offered(day(3))).not.toContain('pattyOut');
    expect(offered(day(15))).toContain('pattyOut');
  });

  it('a suspicion that is revised takes the place of what was thought, and keeps how sure it is', () => {
    const thought = (on: number, what: string, confidence: 'hunch' | 'likely') =>
      told('suspected', day(on), { ...IN, suspicion: 's', what, confidence });
    const state = fold(known, [
      ...begun(CELL),
      thought(5, 'Small', 'hunch'),
      thought(8, 'A drone layer', 'likely'),
    ]);
    expect(state.colonies.get('colony-1')?.suspicions).toEqual([
      { id: 's', what: 'A drone layer', on: day(8), confidence: 'likely' },
    ]);
    expect(workOf(state, 'colony-1').find(({ kind }) => kind === 'settleSuspicion')).toMatchObject({
      from: day(15),
    });
  });

  it('crowded and weak follow the seams, and end where frames went', () => {
    const seams = (count: number) => told('strengthSeen', day(20), { ...IN, seams: count });
    expect(raised([seams(3)], 'crowded')).toMatchObject({ from: day(20) });
    expect(raised([seams(2.5)], 'crowded')).toBeUndefined();
    expect(raised([seams(1)], 'weak')).toBeDefined();
    expect(raised([seams(1.5)], 'weak')).toBeUndefined();
  });

  it('a cover left off, an outing, a suspicion and a trouble are asked for until they are over', () => {
    const pairs = [
      [
        'coverOn',
        told('coverSet', day(5), { ...IN, on: false }),
        told('coverSet', day(5), { ...IN, on: true }, { hour: 12 }),
      ],
      [
        'outingBack',
        told('outingLeft', day(5), { ...IN, place: 'School', backBy: `${day(5)}T15:00:00Z` }),
        told('outingReturned', day(5), IN, { hour: 16 }),
      ],
      [
        'settleSuspicion',
        told('suspected', day(5), { ...IN, suspicion: 's', what: 'A drone layer?' }),
        told('suspicionSettled', day(6), { ...IN, suspicion: 's', confirmed: false }),
      ],
      [
        'seeTrouble',
        told('troubleSeen', day(5), { ...IN, trouble: 'wasps', over: false }),
        told('troubleSeen', day(7), { ...IN, trouble: 'wasps', over: true }),
      ],
    ] as const;
    for (const [kind, begin, end] of pairs) {
      expect(raised([begin], kind), kind).toBeDefined();
      expect(raised([begin, end], kind), kind).toBeUndefined();
    }
  });

  it('a bank is reloaded every week, a donor’s comb changed every four days, from when the role began', () => {
    const role = (name: 'bank' | 'donor' | 'starter') =>
      told('roleSet', day(1), { box: 'box-1', role: name });
    expect(raised([role('bank')], 'reloadBank')).toMatchObject({ expected: day(8) });
    expect(raised([role('donor')], 'donorComb')).toMatchObject({ from: day(5) });
    expect(raised([role('donor')], 'reloadBank')).toBeUndefined();
    expect(raised([role('starter')], 'workStarter')).toMatchObject({ from: day(1), to: day(2) });
    expect(raised([role('starter'), role('bank')], 'workStarter')).toBeUndefined();
  });

  it('a finisher is cared for every week, from when it serves so or was last searched, but not while it is led', () => {
    const serves = told('roleSet', day(1), { box: 'box-1', role: 'finisher' });
    const searched = (on: number) => told('wildCellsSearched', day(on), { ...IN, found: 0 });
    expect(raised([], 'careFinisher')).toBeUndefined();
    expect(raised([serves], 'careFinisher')).toMatchObject({ from: day(7), expected: day(8), to: day(9) });
    expect(raised([searched(0), serves], 'careFinisher')).toMatchObject({ expected: day(8) });
    expect(raised([serves, searched(6)], 'careFinisher')).toMatchObject({
      expected: day(13),
      reason: expect.stringMatching(/^Searched last 16 May/),
    });
    const begins = told('playbookBegun', day(2), {
      box: 'box-1',
      run: 'run-1',
      playbook: 'finisher',
      bays: [...bays.slice(0, 1)],
    });
    expect(raised([serves, begins], 'careFinisher')).toBeUndefined();
    const ends = told('playbookEnded', day(5), { box: 'box-1', run: 'run-1', done: true });
    expect(raised([serves, begins, ends], 'careFinisher')).toBeDefined();
  });

  it('room is given again as days grow warm, where nothing is known of six weeks ago too, and not in a warm autumn', () => {
    const wintering = told('roleSet', day(5), { box: 'box-1', role: 'wintering' });
    const full = told('strengthSeen', day(20), { ...IN, seams: 3 });
    const raisedOn = (before: number | undefined, recent: number) =>
      raised(
        [wintering, full],
        'expand',
        new Map([
          ...(before === undefined ? [] : weather(-40, new Array(30).fill(3), before)),
          ...weather(10, new Array(20).fill(3), recent),
        ]),
      );
    const warm = defaultConstants.expandAbove_C;
    expect(raisedOn(warm - 5, warm)).toMatchObject({ from: day(29) });
    expect(raisedOn(undefined, warm)).toBeDefined();
    expect(raisedOn(warm - 5, warm - 0.1)).toBeUndefined();
    expect(raisedOn(warm + defaultConstants.cooling_K - 0.1, warm)).toBeDefined();
    expect(raisedOn(warm + defaultConstants.cooling_K, warm)).toBeUndefined();
  });

  it('the cavity is reduced by the yard’s own weather, not by a date', () => {
    const small = told('strengthSeen', day(20), { ...IN, seams: 1 });
    const cool = weather(10, new Array(20).fill(0), 11);
    expect(raised([small], 'reduce', cool)).toMatchObject({ from: day(29) });
    expect(raised([small], 'reduce', weather(10, new Array(20).fill(3), 22))).toBeUndefined();
    expect(raised([told('strengthSeen', day(20), { ...IN, seams: 2 })], 'reduce', cool)).toBeUndefined();
    // Six weeks ago it must have been warmer by three kelvin: else winter ends, and they are about to grow.
    const since = (then_C: number) => new Map([...weather(-35, new Array(20).fill(0), then_C), ...cool]);
    expect(raised([small], 'reduce', since(13.9))).toBeUndefined();
    expect(raised([small], 'reduce', since(14))).toBeDefined();
  });

  it('wild cells are searched for once, and again a week after combining', () => {
    const searched = (count: number) => told('wildCellsSearched', day(count), { ...IN, found: 0 });
    const open = told(
      'stocked',
      day(-1),
      {
        ...IN,
        bays: fold(known, begun(CELL)).colonies.get('colony-1')?.bays as string[],
        frames: { sealedBrood: 1, stores: 1, drawn: 1 },
        shakes: 1,
        openBrood: true,
      },
      { hour: 10 },
    );
    const kinds = (events: readonly LogEvent[]) =>
      workOf(fold(known, [...begun(CELL).slice(0, 4), open, ...events]), 'colony-1').map(({ kind }) => kind);
    expect(kinds([])).toContain('searchWildCells');
    expect(kinds([searched(6)])).not.toContain('searchWildCells');
    expect(kinds([searched(1)])).toContain('searchWildCells');
  });

  it('what was combined is looked at after a week, unless it was searched three days on or later', () => {
    const other = stockedIn('colony-2', 1, day(0));
    const joined = told('combined', day(10), {
      ...IN,
      colony: 'colony-2',
      intoBox: 'box-1',
      into: 'colony-1',
    });
    const searched = (on: number) => told('wildCellsSearched', day(on), { ...IN, found: 0 });
    expect(raised([other], 'lookAfterCombining')).toBeUndefined();
    expect(raised([other, joined], 'lookAfterCombining')).toMatchObject({
      from: day(17),
      expected: day(17),
      to: day(19),
      lapses: true,
    });
    expect(raised([other, joined, searched(12)], 'lookAfterCombining')).toBeDefined();
    expect(raised([other, joined, searched(13)], 'lookAfterCombining')).toBeUndefined();
  });

  it('an untreated colony is marked after a season, and never named before', () => {
    const work = raised([], 'treat');
    expect(work).toMatchObject({ from: plusDays(day(-1), 180), quiet: true });
    const strips = told('stripsPut', day(20), { ...IN, product: 'S', outBy: day(60) });
    expect(raised([strips], 'treat')).toMatchObject({ from: day(200) });
  });

  it('a caged queen is looked after in a day to four', () => {
    const taken = told('failed', day(4), { ...OF, reason: 'cellNotOpened' });
    const given = told('queenGiven', day(5), { ...IN, queen: 'm', what: 'mated', caged: true });
    expect(raised([taken, given], 'checkIntroduction')).toMatchObject({
      title: 'See whether she is out of the cage',
      from: day(6),
      to: day(9),
    });
    const out = told('introductionSeen', day(6), { ...IN, what: 'released' });
    expect(raised([taken, given, out], 'checkIntroduction')).toMatchObject({
      title: 'See whether she lays',
      to: day(9),
    });
  });

  it('entrances that are easily taken for one another are marked before she flies', () => {
    const twin = threeWayDesign();
    const alike = {
      ...twin,
      versions: twin.versions.map((version) => ({ ...version, content: doorsAlike(version.content) })),
    };
    const near = { ...known, designs: new Map([[twin.id, alike]]) };
    const state = fold(near, begun(CELL));
    const box = state.boxes.get('box-1');
    if (!box) throw new Error('no box');
    const [first] = compartmentsOf(state, near.designs, box);
    const kinds = first
      ? expectationsOf(first, box, new Map(), defaultConstants).filter(({ kind }) => kind === 'markUnlike')
      : [];
    expect(first?.takenForAnother).toBe(true);
    expect(kinds).toMatchObject([{ from: CELL, to: day(6) }]);
    expect(raised([], 'markUnlike')).toBeUndefined();
  });
});
