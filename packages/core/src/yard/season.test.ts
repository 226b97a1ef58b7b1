import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../box/stack.ts';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { boxViews } from './boxView.ts';
import { fold } from './fold.ts';
import { bays, DESIGN, known, told, weatherOf, YARD } from './story.test.kit.ts';

/**
 * A whole season of one three-way box, told as its breeder would tell it, with what it is and what is due at ten dates.
 * West takes at once; Middle waits out a week of rain; East fails and is combined into Middle.
 */
const box = 'box-1';
const boards =
  known.designs
    .get(DESIGN)
    ?.versions.flatMap(({ content }) =>
      bodiesOf(content).flatMap((body) => body.boards.map(({ id }) => id)),
    ) ?? [];
const at = (index: number) => bays.slice(index, index + 1);
const west = { box, colony: 'west', attempt: 'west-1' };
const middle = { box, colony: 'middle', attempt: 'middle-1' };
const east = { box, colony: 'east', attempt: 'east-1' };
const frames = { sealedBrood: 1, stores: 1, drawn: 1 };
const stock = (colony: string, index: number, openBrood = false) =>
  told('stocked', '2026-05-03', { box, colony, bays: at(index), frames, shakes: 2, openBrood }, { hour: 18 });

/** Fair from the start, but a week of rain from 12 to 18 May; a cool September. */
const span = (from: Day, days: number, flying_h: number) =>
  weatherOf(from, new Array(days).fill(flying_h)).map((each) =>
    told('weatherRecorded', each.date, { yard: YARD, days: [each] }, { hour: 6 }),
  );
const weather = [
  ...span('2026-04-20', 22, 3),
  ...span('2026-05-12', 7, 0),
  ...span('2026-05-19', 45, 3),
  ...span('2026-09-10', 16, 0),
];

const story: LogEvent[] = [
  told('boxBuilt', '2026-04-20', { box, label: 'B1', design: DESIGN, version: 1 }),
  told('boxPlaced', '2026-04-21', { box, yard: YARD, stand: '1', east_m: 1, north_m: 1, bearing_deg: 180 }),
  told('grafted', '2026-04-24', { round: 'r1', number: 1, donor: 'Sable', grafts: 20, countedAtOnce: 15 }),
  stock('west', 0),
  stock('middle', 1),
  stock('east', 2, true),
  ...['west', 'middle', 'east'].map((name) =>
    told('cellGiven', '2026-05-04', { box, colony: name, attempt: `${name}-1`, round: 'r1' }),
  ),
  told('cellOpened', '2026-05-07', west),
  told('cellOpened', '2026-05-07', middle),
  told('failed', '2026-05-08', { ...east, reason: 'cellNotOpened' }),
  told('wildCellsSearched', '2026-05-09', { box, colony: 'east', found: 2 }),
  told('combined', '2026-05-10', { box, colony: 'east', intoBox: box, into: 'middle' }, { hour: 18 }),
  told('wildCellsSearched', '2026-05-17', { box, colony: 'middle', found: 0 }),
  told('eggsSeen', '2026-05-18', west),
  told('eggsSeen', '2026-05-26', middle),
  told('patternScored', '2026-05-28', { ...west, pattern_pct: 93 }),
  told('patternScored', '2026-06-05', { ...middle, pattern_pct: 88 }),
  told('queenTaken', '2026-06-10', { ...west, to: 'sold', beesRemain: true }),
  told('queenGiven', '2026-06-11', {
    box,
    colony: 'west',
    queen: 'v2',
    what: 'virgin',
    caged: true,
    round: 'r1',
  }),
  told('eggsSeen', '2026-06-22', { box, colony: 'west', attempt: 'v2' }),
  told('strengthSeen', '2026-06-24', { box, colony: 'middle', seams: 3 }),
  told('stripsPut', '2026-08-01', { box, colony: 'middle', product: 'Strips', outBy: '2026-09-12' }),
  told('stripsOut', '2026-09-12', { box, colony: 'middle' }),
  told('dividerSet', '2026-09-14', { box, board: boards[0] ?? '', stands: false }, { hour: 18 }),
  told('strengthSeen', '2026-09-20', { box, colony: 'middle', seams: 3 }),
  ...weather,
];

/** Status of each compartment, and each piece of work that is due, as days from the first cell: `kind from-to`. */
function seenOn(on: Day): string[] {
  const day = (each: Day) => daysBetween('2026-05-04', each);
  const state = fold(known, story, on);
  expect(state.toSettle).toEqual([]);
  return boxViews(state, known, YARD, defaultConstants, { on, today: on }).flatMap(({ compartments }) =>
    compartments.map(({ name, status, expectations }) => {
      const due = expectations.filter(({ from, to, lapses }) => from <= on && (!lapses || to >= on));
      return [
        `${name} ${status}`,
        ...due.map(({ kind, from, to }) => `${kind} ${day(from)}-${day(to)}`),
      ].join(', ');
    }),
  );
}

describe('a season of one box', () => {
  it.each([
    ['2026-05-03', ['West stocked', 'Middle stocked', 'East stocked']],
    [
      '2026-05-06',
      [
        'West cellGiven, checkOpening 2-4',
        'Middle cellGiven, checkOpening 2-4',
        'East cellGiven, checkOpening 2-4',
      ],
    ],
    ['2026-05-08', ['West virgin', 'Middle virgin', 'East failed, searchWildCells 4-7, settleFailed 4-11']],
    ['2026-05-16', ['West virgin, feedWeak 10-13', 'Middle virgin, feedWeak 10-13', 'East empty']],
    ['2026-05-24', ['West laying', 'Middle virgin, lookForEggs 19-23', 'East empty']],
    ['2026-05-29', ['West proven', 'Middle laying', 'East empty']],
    ['2026-06-08', ['West proven, harvest 28-42', 'Middle proven', 'East empty']],
    ['2026-06-24', ['West laying', 'Middle proven, harvest 36-50, crowded 51-56', 'East empty']],
    [
      '2026-09-11',
      [
        'West laying, scorePattern 58-61',
        'Middle proven, harvest 36-50, crowded 51-56, stripsOut 129-131',
        'East empty',
      ],
    ],
    [
      '2026-09-25',
      ['West proven, harvest 36-50, feedWeak 131-145, closeHoles 133-136, reduce 144-158', 'East empty'],
    ],
  ] as const)('%s', (on, expected) => {
    expect(seenOn(on)).toEqual(expected);
  });

  it('a virgin out in the week of rain is given as many days more as she lost', () => {
    const by = (events: readonly LogEvent[]) =>
      boxViews(fold(known, events, '2026-05-20'), known, YARD, defaultConstants, {
        on: '2026-05-20',
        today: '2026-05-20',
      })[0]?.compartments[1]?.expectations.find(({ kind }) => kind === 'declareFailed')?.to;
    expect(by(story.filter(({ kind }) => kind !== 'weatherRecorded'))).toBe(plusDays('2026-05-04', 21));
    expect(by(story)).toBe(plusDays('2026-05-04', 28));
  });
});
