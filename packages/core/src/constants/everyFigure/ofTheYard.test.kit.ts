import type { DesignContent, LogEvent } from '@yellow-cell/contract';
import { bodiesOf } from '../../box/stack.ts';
import { plusDays } from '../../calendar/days.ts';
import { strengthAhead } from '../../population/strengthAhead.ts';
import { freeFrom } from '../../rounds/freeFrom.ts';
import { boxViews } from '../../yard/boxView.ts';
import type { Weather } from '../../yard/due/expectation.ts';
import { whileOpen } from '../../yard/due/whileOpen.ts';
import { equalisings } from '../../yard/equalise.ts';
import { fold } from '../../yard/fold.ts';
import { mayBeOut } from '../../yard/mayBeOut.ts';
import { motherDoubt } from '../../yard/motherDoubt.ts';
import { restsUntil } from '../../yard/restsUntil.ts';
import { begun, doorsAlike, known, OF, stockedIn, told, weatherOf, YARD } from '../../yard/story.test.kit.ts';
import type { Act } from '../../yard/warn/act.ts';
import { warningsOf } from '../../yard/warn/warnings.ts';
import type { Constants } from '../registry.ts';
import type { Reckonings } from './reckoning.test.kit.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };
const OTHER = { box: 'box-1', colony: 'colony-2' };
const content = [...known.designs.values()][0]?.versions[0]?.content as DesignContent;
const bodies = bodiesOf(content);
const slots = bodies.flatMap(({ bays }) => bays.flatMap(({ frames }) => frames.map(({ id }) => id)));
const slot = (at: number): string => slots[at] ?? '';

const board = bodies.flatMap(({ boards }) => boards)[0];

const audited = (at: number, of: typeof IN, side: object) =>
  told('frameAudited', day(5), { ...of, frame: `f${at}`, slot: slot(at), sides: [side, side] });
const seams = (of: typeof IN, count: number, on = day(5)) =>
  told('strengthSeen', on, { ...of, seams: count });
const lifted = (at: number, purpose: 'show' | 'reduce') => ({
  moves: [{ frame: `f${at}`, from: { box: 'box-1', slot: slot(at) }, to: null, turned: false }],
  purpose,
});
const opened = told('cellOpened', day(3), OF);
const laying = [opened, told('eggsSeen', day(14), OF)];
const others = [
  stockedIn('colony-2', 1, day(0), {
    openBrood: true,
    queen: 'laying',
    frames: { sealedBrood: 2, stores: 1, drawn: 0 },
  }),
  stockedIn('colony-3', 2, day(0), { openBrood: true, giver: OTHER }),
];
const shut = bodies.flatMap(({ entrances }) =>
  entrances.map(({ id: entrance }) =>
    told('entranceSet', day(4), { box: 'box-1', entrance, state: 'closed' }),
  ),
);
const serves = (role: 'bank' | 'donor' | 'starter' | 'wintering') =>
  told('roleSet', day(4), { box: 'box-1', role });

/** Stories of a three-way box, each with what raises some work. */
const STORIES: Readonly<Record<string, readonly LogEvent[]>> = {
  stocked: others,
  wild: [told('wildCellsSearched', day(6), { ...IN, found: 1, left: 1 })],
  opened: [opened],
  laying: [...laying, seams(IN, 1, day(20))],
  proven: [...laying, told('patternScored', day(24), { ...OF, pattern_pct: 91 })],
  failed: [told('failed', day(21), { ...OF, reason: 'virginLost' })],
  fed: [seams(IN, 1), told('fed', day(5), { ...IN, feed: 'patty', amount_kg: 0.4 })],
  out: [told('framesMoved', day(5), lifted(0, 'show'))],
  caged: [
    told('failed', day(4), { ...OF, reason: 'cellNotOpened' }),
    told('queenGiven', day(5), { ...IN, queen: 'm', what: 'mated', caged: true }),
  ],
  unseen: [told('queenSeen', day(3), { ...IN, seen: false })],
  suspected: [told('suspected', day(5), { ...IN, suspicion: 's', what: 'A drone layer?' })],
  washed: [told('mitesCounted', day(10), { ...IN, method: 'wash', mites: 12, bees: 300 })],
  dropped: [told('mitesCounted', day(10), { ...IN, method: 'drop', mites: 30, days: 3 })],
  planned: [told('winterPlanned', day(140), { ...IN, act: 'reduce', sugar_kg: 2 })],
  combined: [...others, told('combined', day(20), { ...IN, intoBox: 'box-1', into: 'colony-2' })],
  bank: [...others, serves('bank')],
  donor: [...others, serves('donor')],
  starter: [serves('starter'), ...shut],
  shut: [...others, ...shut],
  wintering: [...laying, seams(IN, 3, day(150)), serves('wintering')],
  withStrips: [told('stripsPut', day(5), { ...IN, product: 'Strips', outBy: day(20) })],
  uncovered: [told('coverSet', day(5), { ...IN, on: false })],
  away: [told('outingLeft', day(5), { ...IN, place: 'School', backBy: `${day(5)}T15:00:00Z` })],
  robbed: [told('troubleSeen', day(5), { ...IN, trouble: 'wasps', over: false })],
  queenAside: [
    ...laying,
    told('queenTaken', day(20), { ...OF, to: 'aside', beesRemain: true, backBy: day(23) }),
  ],
  joined: [...others, told('dividerSet', day(6), { box: 'box-1', board: board?.id ?? '', stands: false })],
  strong: [...others, seams(OTHER, 3), seams({ box: 'box-1', colony: 'colony-3' }, 0.5)],
  givesBrood: [
    ...others,
    seams(OTHER, 3),
    seams({ box: 'box-1', colony: 'colony-3' }, 0.5),
    audited(4, OTHER, { sealed: 0.6 }),
  ],
};

/** Days out and days at home, a summer, and an autumn that gets cold. */
const days = (from: number, flying_h: readonly number[], max_C?: number) =>
  weatherOf(day(from), flying_h).map((each) => (max_C === undefined ? each : { ...each, max_C, min_C: -1 }));
const SKIES: Readonly<Record<string, Weather>> = {
  unknown: new Map(),
  known: new Map(
    [
      ...days(-5, [...new Array(20).fill(4), 0, 0, 0, 0, 0, ...new Array(20).fill(3)]),
      ...days(105, new Array(20).fill(6), 14),
      ...days(155, new Array(16).fill(0), 11),
    ].map((each) => [each.date, each]),
  ),
  mild: new Map(days(135, new Array(20).fill(4), 18).map((each) => [each.date, each])),
  cold: new Map(days(-10, new Array(60).fill(0), 4).map((each) => [each.date, each])),
};
const DAYS = [2, 8, 24, 40, 150].map(day);
/** Stories that other skies are told of too. */
const BY_THE_SKY = ['stocked', 'laying', 'wintering'];

export const rooms: Reckonings = Object.fromEntries(
  Object.entries(STORIES).flatMap(([story, events]) => {
    const state = fold(known, [...begun(CELL), ...events]);
    const skies = Object.entries(SKIES).filter(([sky]) => sky === 'known' || BY_THE_SKY.includes(story));
    return skies.flatMap(([sky, weather]) =>
      DAYS.map((on) => [
        `${story}, ${sky} weather, ${on}`,
        (constants: Constants) =>
          boxViews({ ...state, weather: new Map([[YARD, new Map(weather)]]) }, known, YARD, constants, {
            on,
            today: on,
            now: `${on}T12:00:00.000Z`,
          }).flatMap(({ box, design, compartments, model }) =>
            compartments.map((room) => {
              const format = model.compartments[room.position]?.frames[0]?.format;
              return [
                room.expectations,
                whileOpen(room, on, constants),
                mayBeOut(room, on, constants),
                freeFrom(room, { design, box }, weather, constants),
                format && strengthAhead(room, format, { on, latitude_deg: 48, weather, constants }),
              ];
            }),
          ),
      ]),
    );
  }),
);

/** Entries that something speaks against. */
const strangers = [
  ...laying,
  ...others,
  told('queenRecorded', day(15), { ...IN, queen: 'attempt-1', mother: { name: 'Sable' } }),
  told('queenRecorded', day(15), { ...OTHER, queen: 'q', mother: { name: 'Ash' } }),
];
const joins: Act = { kind: 'combined', payload: { ...IN, intoBox: 'box-1', into: 'colony-2' } };
const WARNED: Readonly<
  Record<string, { events?: readonly LogEvent[]; act: Act; on: string; sky?: Weather }>
> = {
  'eggs at once': { act: { kind: 'eggsSeen', payload: IN }, on: day(7) },
  'a frame she was on': {
    events: [...laying, told('queenSeen', day(20), { ...IN, queen: 'attempt-1', seen: true, slot: slot(1) })],
    act: { kind: 'framesMoved', payload: lifted(1, 'show') },
    on: day(25),
  },
  'a frame with little': {
    events: [audited(1, IN, { stores: 0.1 })],
    act: { kind: 'framesMoved', payload: lifted(1, 'reduce') },
    on: day(8),
  },
  'a second frame up': {
    events: [told('framesMoved', day(5), lifted(0, 'show'))],
    act: { kind: 'framesMoved', payload: lifted(1, 'show') },
    on: day(5),
  },
  'strangers in autumn': { events: strangers, act: joins, on: '2026-09-10' },
  'strangers in May': { events: strangers, act: joins, on: '2026-05-25' },
  'strangers in a warm February': {
    events: strangers,
    act: joins,
    on: '2027-02-20',
    sky: new Map(weatherOf('2027-02-01', new Array(20).fill(4)).map((each) => [each.date, each] as const)),
  },
  'bees into fresh paint': {
    events: [told('buildTicked', day(0), { box: 'box-1', step: 'finish', done: true })],
    act: {
      kind: 'stocked',
      payload: {
        box: 'box-1',
        colony: 'new',
        bays: [],
        frames: { sealedBrood: 1, stores: 1, drawn: 1 },
        shakes: 1,
        openBrood: false,
      },
    },
    on: day(1),
  },
};
export const warnings: Reckonings = Object.fromEntries(
  Object.entries(WARNED).map(([name, { events = [], act, on, sky: weather = new Map() }]) => {
    const state = fold(known, [...begun(CELL), ...events]);
    const of = { state, designs: known.designs, on, weather, yard: { latitude_deg: 48 } };
    return [`warned of ${name}`, (constants: Constants) => warningsOf({ ...of, constants }, act)];
  }),
);

export const bees: Reckonings = {
  'doors alike': (constants) => {
    const designs = new Map(
      [...known.designs].map(([id, design]) => [
        id,
        {
          ...design,
          versions: design.versions.map((version) => ({ ...version, content: doorsAlike(version.content) })),
        },
      ]),
    );
    const state = fold({ ...known, designs }, begun(CELL));
    const asked = { on: day(2), today: day(2) };
    return boxViews(state, { ...known, designs }, YARD, constants, asked).flatMap(({ compartments }) =>
      compartments.map(({ expectations }) => expectations),
    );
  },
  equalised: (constants) => {
    const state = fold(known, [...begun(CELL), ...(STORIES.givesBrood ?? [])]);
    return equalisings(state, known.designs, [...state.boxes.values()], constants).map(
      ({ sealed }) => sealed,
    );
  },
  'her mother': (constants) =>
    motherDoubt({ layingOn: '2026-05-25' }, { graftedOn: '2026-05-05' }, constants),
  'a giver at rest': (constants) => restsUntil({ gaveOn: day(3) }, constants),
};
