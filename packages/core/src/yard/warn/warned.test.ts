import type { EntryOf, EventKind } from '@yellow-cell/contract';
import { expect, it } from 'vitest';
import { bodiesOf } from '../../box/stack.ts';
import { plusDays } from '../../calendar/days.ts';
import { defaultConstants } from '../../constants/registry.ts';
import { fold } from '../fold.ts';
import { CELL, SITUATIONS } from '../situations.test.kit.ts';
import { bays, known, stockedIn, threeWayDesign, told } from '../story.test.kit.ts';
import type { Act } from './act.ts';
import { warningsOf } from './warnings.ts';

const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };
const OF = { ...IN, attempt: 'attempt-1' };
const body = threeWayDesign().versions.flatMap(({ content }) => bodiesOf(content))[0];
const slot = (at: number) => body?.bays.flatMap(({ frames }) => frames)[at]?.id ?? '';
const act = <K extends EventKind>(name: string, kind: K, payload: EntryOf<K>['payload']) =>
  [name, kind, payload] as const;

/** What might be entered of the compartment; its neighbours are laying, and without a queen. */
const ACTS = [
  act('a cell given', 'cellGiven', { ...IN, attempt: 'new' }),
  act('a cell of a round long emerged', 'cellGiven', { ...IN, attempt: 'new', round: 'round-1' }),
  act('a virgin given, caged', 'queenGiven', { ...IN, queen: 'new', what: 'virgin', caged: true }),
  act('a mated queen given, caged', 'queenGiven', { ...IN, queen: 'new', what: 'mated', caged: true }),
  act('a mated queen given, free', 'queenGiven', { ...IN, queen: 'new', what: 'mated', caged: false }),
  act('cell seen opened', 'cellOpened', OF),
  act('eggs seen', 'eggsSeen', OF),
  act('a pattern scored', 'patternScored', { ...OF, pattern_pct: 85 }),
  act('failed', 'failed', { ...OF, reason: 'virginLost' }),
  act('combined with those that lay', 'combined', { ...IN, intoBox: 'box-1', into: 'colony-2' }),
  act('combined with those without a queen', 'combined', { ...IN, intoBox: 'box-1', into: 'colony-3' }),
  act('stocked again, with open brood', 'stocked', {
    ...IN,
    bays: [...bays.slice(0, 1)],
    frames: { sealedBrood: 1, stores: 0, drawn: 0 },
    shakes: 0,
    openBrood: true,
  }),
  act('queen taken', 'queenTaken', { ...OF, to: 'sold', beesRemain: true }),
  act('fed', 'fed', { ...IN, feed: 'syrup11', amount_kg: 0.5 }),
  act('strips put in', 'stripsPut', { ...IN, product: 'Strips', outBy: day(80) }),
  act('the divider pulled', 'dividerSet', { box: 'box-1', board: body?.boards[0]?.id ?? '', stands: false }),
  act('the entrance closed', 'entranceSet', {
    box: 'box-1',
    entrance: body?.entrances[0]?.id ?? '',
    state: 'closed',
  }),
  act('the entrance opened', 'entranceSet', {
    box: 'box-1',
    entrance: body?.entrances[0]?.id ?? '',
    state: 'open',
  }),
  act('a frame moved to the neighbours', 'framesMoved', {
    moves: [
      {
        frame: 'f',
        from: { box: 'box-1', slot: slot(0) },
        to: { box: 'box-1', slot: slot(3) },
        turned: false,
      },
    ],
    purpose: 'equalise',
  }),
  act('taken out among people', 'outingLeft', { ...IN, place: 'School', backBy: `${day(40)}T15:00:00Z` }),
  act('made a bank', 'roleSet', { box: 'box-1', role: 'bank' }),
];

const COOL = new Map([[day(39), { date: day(39), min_C: 3, max_C: 9, wind_ms: 2, rain_mm: 0, flying_h: 0 }]]);

/** A few days after the cell, and a month on. */
const DAYS = [day(5), day(40)] as const;

it('what speaks against each entry, of one compartment in each of these situations', () => {
  const neighbours = [
    stockedIn('colony-2', 1, day(1), { queen: 'laying' }),
    stockedIn('colony-3', 2, day(1)),
    told('queenRecorded', day(2), {
      box: 'box-1',
      colony: 'colony-2',
      queen: 'q2',
      mother: { name: 'Sable' },
    }),
  ];
  /** Each sentence with the situations, by their place, in which it is said on each of the days. */
  const found = new Map<string, number[][]>();
  SITUATIONS.forEach(([, events, weather = COOL], place) => {
    DAYS.forEach((on, when) => {
      const situation = {
        state: fold(known, [...events, ...neighbours], on),
        designs: known.designs,
        on,
        weather,
        constants: defaultConstants,
        yard: { latitude_deg: 48 },
        climate: undefined,
      };
      for (const [title, kind, payload] of ACTS)
        for (const { source, sentence } of warningsOf(situation, { kind, payload } as unknown as Act)) {
          const said = `${title}: ${sentence} (${source})`;
          const places = found.get(said) ?? DAYS.map(() => []);
          places[when]?.push(place + 1);
          found.set(said, places);
        }
    });
  });
  const lines = [
    ...SITUATIONS.map(([name], place) => `${place + 1} ${name}`),
    '',
    ...[...found]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .flatMap(([said, places]) => [
        said,
        ...DAYS.flatMap((on, when) =>
          (places[when] ?? []).length > 0 ? [`  ${on}: ${places[when]?.join(' ')}`] : [],
        ),
      ]),
    '',
  ];
  return expect(lines.join('\n')).toMatchFileSnapshot('./warned.txt');
});
