import type { EntryOf, EventKind, LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../../box/stack.ts';
import { plusDays } from '../../calendar/days.ts';
import { defaultConstants } from '../../constants/registry.ts';
import { fold } from '../fold.ts';
import { bays, begun, known, stockedIn, threeWayDesign, told, weatherOf } from '../story.test.kit.ts';
import type { Act } from './act.ts';
import { kinOf, staysAfterCombining } from './joining.ts';
import type { Situation } from './situation.ts';
import { warningsOf } from './warnings.ts';

const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };
const OTHER = { box: 'box-1', colony: 'colony-2' };
const slots = threeWayDesign().versions.flatMap(({ content }) =>
  bodiesOf(content).flatMap((body) => body.bays.flatMap(({ frames }) => frames.map(({ id }) => id))),
);
const slot = (at: number) => slots[at] as string;

interface When {
  on?: string;
  weather?: Situation['weather'];
  latitude_deg?: number;
  climate?: Situation['climate'];
}
const situation = (
  events: readonly LogEvent[],
  { on = day(30), weather = new Map(), latitude_deg = 48, climate }: When = {},
): Situation => ({
  state: fold(known, [...begun(CELL), ...events]),
  designs: known.designs,
  on,
  weather,
  constants: defaultConstants,
  yard: { latitude_deg },
  climate,
});
const said = <K extends EventKind>(
  events: readonly LogEvent[],
  kind: K,
  payload: EntryOf<K>['payload'],
  when?: When,
): string =>
  warningsOf(situation(events, when), { kind, payload } as unknown as Act)
    .map(({ sentence }) => sentence)
    .join(' ');

const stocked = (
  colony: string,
  at: number,
  more: Partial<EntryOf<'stocked'>['payload']> = {},
  on = day(0),
) => stockedIn(colony, at, on, more);
const eggs = told('eggsSeen', day(16), { ...IN, attempt: 'attempt-1' });
const queen = (of: typeof IN, id: string, mother: string) =>
  told('queenRecorded', day(17), { ...of, queen: id, mother: { name: mother } });

describe('combining', () => {
  const laying = stocked('colony-2', 1, { queen: 'laying' });
  const into = { ...IN, intoBox: 'box-1', into: 'colony-2' };

  it('of two queens, or of a queen and a cell, is spoken against; of bees without a queen it is not', () => {
    expect(said([eggs, laying], 'combined', into)).toContain('Both have a queen');
    expect(said([laying], 'combined', into)).toContain('torn down');
    expect(said([eggs, stocked('colony-2', 1)], 'combined', into)).toBe('');
  });

  it('of strangers is spoken against in dearth and in cold, of kin and in a time of forage not', () => {
    const strangers = [
      eggs,
      stocked('colony-2', 1, { queen: 'unknown' }),
      queen(IN, 'attempt-1', 'Sable'),
      queen(OTHER, 'q2', 'Ash'),
    ];
    const sisters = [...strangers.slice(0, 3), queen(OTHER, 'q2', ' sable ')];
    expect(said(strangers, 'combined', into)).toBe('');
    expect(said(strangers, 'combined', into, { on: '2026-09-10' })).toMatch(/months of dearth.*strangers/);
    expect(said(sisters, 'combined', into, { on: '2026-09-10' })).toBe('');
    expect(said(strangers, 'combined', into, { on: '2026-10-10', latitude_deg: -37 })).toBe('');
    expect(said(strangers, 'combined', into, { on: '2026-05-20', latitude_deg: -37 })).toContain('dearth');
    // By its own climate a yard may have its forage in March, or none in May.
    const all = (max_C: number) => ({ months: Array.from({ length: 12 }, () => ({ min_C: 0, max_C })) });
    expect(said(strangers, 'combined', into, { on: '2026-03-20' })).toContain('strangers');
    expect(said(strangers, 'combined', into, { on: '2026-03-20', climate: all(14) })).toBe('');
    // Dearth begins with August, in the south with February.
    const warm = { climate: all(25) };
    expect(said(strangers, 'combined', into, { on: '2026-07-31', ...warm })).toBe('');
    expect(said(strangers, 'combined', into, { on: '2026-08-01', ...warm })).toContain('months of dearth');
    expect(said(strangers, 'combined', into, { on: '2026-12-31', ...warm })).toContain('months of dearth');
    expect(said(strangers, 'combined', into, { on: '2027-01-01', ...warm })).toBe('');
    const south = { ...warm, latitude_deg: -37 };
    expect(said(strangers, 'combined', into, { on: '2027-01-31', ...south })).toBe('');
    expect(said(strangers, 'combined', into, { on: '2027-02-01', ...south })).toContain('months of dearth');
    expect(said(strangers, 'combined', into, { climate: all(13.9) })).toContain('14 °C at this time of year');
    const cold = new Map(weatherOf(day(10), new Array(20).fill(0)).map((each) => [each.date, each]));
    expect(said(strangers, 'combined', into, { weather: cold })).toContain('12 °C');
  });

  it('leaves their queen, or where they have none the one that is brought', () => {
    const { state } = situation([eggs, stocked('colony-2', 1)]);
    const [one, other] = ['colony-1', 'colony-2'].map((id) => state.colonies.get(id));
    if (!one || !other) throw new Error('No colonies.');
    expect(staysAfterCombining(one, other)?.id).toBe('colony-1');
    expect(staysAfterCombining(other, one)?.id).toBe('colony-1');
    expect(staysAfterCombining(other, other)).toBeUndefined();
  });
});

describe('kin', () => {
  it('is by the colony that bees were taken from, by mother and daughter, by round, and unknown where nothing is recorded', () => {
    const kin = (events: readonly LogEvent[], a = 'colony-1', b = 'colony-2') => {
      const { state } = situation(events);
      const [one, other] = [a, b].map((id) => state.colonies.get(id));
      return one && other ? kinOf(state, one, other) : undefined;
    };
    expect(kin([stocked('colony-2', 1)])).toBe('unknown');
    expect(kin([stocked('colony-2', 1, { giver: IN })])).toBe('same');
    expect(
      kin(
        [stocked('colony-2', 1, { giver: IN }), stocked('colony-3', 2, { giver: IN })],
        'colony-2',
        'colony-3',
      ),
    ).toBe('same');
    const daughter = told('queenRecorded', day(18), {
      ...OTHER,
      queen: 'q2',
      mother: { queen: 'attempt-1' },
    });
    expect(kin([eggs, stocked('colony-2', 1, { queen: 'unknown' }), daughter])).toBe('motherAndDaughter');
    const sameRound = told('queenRecorded', day(18), { ...OTHER, queen: 'q2', round: 'round-1' });
    expect(kin([eggs, stocked('colony-2', 1, { queen: 'unknown' }), sameRound])).toBe('sisters');
    // Bees without a queen are of the colony that gave them, those with one of their own queen.
    const giver = [eggs, stocked('colony-2', 1, { queen: 'unknown' }), queen(IN, 'attempt-1', 'Sable')];
    const theirs = [...giver, queen(OTHER, 'q2', 'Ash')];
    const third = (more: object) => stocked('colony-3', 2, { giver: OTHER, ...more }, day(19));
    expect(kin([...theirs, third({})], 'colony-1', 'colony-3')).toBe('strangers');
    const own = told('queenRecorded', day(20), {
      box: 'box-1',
      colony: 'colony-3',
      queen: 'q3',
      mother: { name: 'Sable' },
    });
    expect(kin([...theirs, third({ queen: 'laying' }), own], 'colony-1', 'colony-3')).toBe('sisters');
  });
});

describe('a box that bees are put into', () => {
  const tick = (step: string, on: string) => told('buildTicked', on, { box: 'box-1', step, done: true });
  const fresh = {
    ...OTHER,
    bays: bays.slice(1, 2),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 1,
    openBrood: false,
  };
  it('is built, aired, whole and clean', () => {
    const stock = (events: readonly LogEvent[]) => said(events, 'stocked', fresh, { on: day(3) });
    expect(stock([])).toBe('');
    expect(stock([tick('finish', day(2))])).toMatch(/last check not ticked.*airs until/);
    expect(stock([tick('finish', day(0)), tick('dryCheck', day(2))])).toBe('');
    const looked = (condition: 'toClean' | 'good', missing: string) =>
      told('boxInspected', day(1), { box: 'box-1', finish: '', condition, missing });
    expect(stock([looked('toClean', 'one cover')])).toMatch(/to be cleaned.*one cover/);
    expect(stock([looked('good', '')])).toBe('');
  });
  it('is not asked again where frames are added', () => {
    const looked = told('boxInspected', day(1), {
      box: 'box-1',
      finish: '',
      condition: 'broken',
      missing: '',
    });
    expect(said([looked], 'stocked', { ...fresh, ...IN, bays: bays.slice(0, 1) })).toBe('');
  });
});

describe('a frame that leaves its bees', () => {
  const seen = told('queenSeen', day(28), { ...IN, queen: 'attempt-1', seen: true, slot: slot(1) });
  const audit = (sides: EntryOf<'frameAudited'>['payload']['sides']) =>
    told('frameAudited', day(27), { ...IN, frame: 'f', slot: slot(1), sides });
  const leaves = (
    events: readonly LogEvent[],
    more: Partial<EntryOf<'framesMoved'>['payload']> = {},
    when?: When,
  ) =>
    said(
      [eggs, stocked('colony-2', 1), ...events],
      'framesMoved',
      {
        moves: [{ frame: 'f', from: { box: 'box-1', slot: slot(1) }, to: null, turned: false }],
        purpose: 'other',
        ...more,
      },
      when,
    );

  it('does not go with the queen on it, who was seen there lately', () => {
    expect(leaves([seen])).toContain('she would go along');
    expect(leaves([seen], {}, { on: day(40) })).toBe('');
    const within = {
      moves: [
        {
          frame: 'f',
          from: { box: 'box-1', slot: slot(1) },
          to: { box: 'box-1', slot: slot(2) },
          turned: false,
        },
      ],
    };
    expect(leaves([seen], within)).toBe('');
    const elsewhere = {
      moves: [
        {
          frame: 'f',
          from: { box: 'box-1', slot: slot(1) },
          to: { box: 'box-1', slot: slot(4) },
          turned: false,
        },
      ],
    };
    expect(leaves([seen], elsewhere)).toContain('she would go along');
  });

  it('of a confined queen leaves a drawn one in its place', () => {
    const holding = told('roleSet', day(20), { box: 'box-1', role: 'donor' });
    expect(leaves([holding])).toContain('empty drawn comb in its place');
    const swapped = {
      moves: [
        { frame: 'f', from: { box: 'box-1', slot: slot(1) }, to: null, turned: false },
        { frame: 'g', from: null, to: { box: 'box-1', slot: slot(1) }, turned: false },
      ],
    };
    expect(leaves([holding], swapped)).toBe('');
  });

  it('is one of two at most that are up to be shown', () => {
    const up = (at: number) =>
      told('framesMoved', day(28), {
        moves: [{ frame: `up-${at}`, from: { box: 'box-1', slot: slot(at) }, to: null, turned: false }],
        purpose: 'show',
      });
    expect(leaves([up(0)], { purpose: 'show' })).toBe('');
    expect(leaves([up(0), up(2)], { purpose: 'show' })).toContain('3 frames');
    expect(leaves([up(0), up(2)])).toBe('');
  });

  it('to reduce the cavity is not one that the rule keeps', () => {
    expect(leaves([audit([{ sealed: 0.5 }, {}])], { purpose: 'reduce' })).toContain('brood on it');
    expect(leaves([audit([{}, {}])], { purpose: 'reduce' })).toBe('');
    expect(leaves([audit([{ sealed: 0.5 }, {}])])).toBe('');
  });
});

describe('a cover', () => {
  const open = told('coverSet', day(3), { ...IN, on: false });
  it('is not taken off beside another that is off in the same box', () => {
    const second = { box: 'box-1', colony: 'colony-2', on: false };
    expect(said([stocked('colony-2', 1), open], 'coverSet', second)).toContain('Put that one back first');
    expect(said([stocked('colony-2', 1)], 'coverSet', second)).toBe('');
    // Put on again, or off twice, it is no second one; what was put back is off no more.
    expect(said([stocked('colony-2', 1), open], 'coverSet', { ...second, on: true })).toBe('');
    expect(said([open], 'coverSet', { ...IN, on: false })).toBe('');
    const back = told('coverSet', day(4), { ...IN, on: true });
    expect(said([stocked('colony-2', 1), open, back], 'coverSet', second)).toBe('');
  });
});

describe('eggs seen', () => {
  it('before she can lay are another’s; once she lays, and from the first day on, nothing is said', () => {
    const early = { box: 'box-1', colony: 'colony-1', attempt: 'attempt-1' };
    // A ripe cell flies from day 6, and lays two days later at the earliest.
    expect(said([], 'eggsSeen', early, { on: day(7) })).toContain('7 days after the cell was given');
    expect(said([], 'eggsSeen', early, { on: day(8) })).toBe('');
    expect(said([eggs], 'eggsSeen', early, { on: day(7) })).toBe('');
  });
});

describe('a cell of a round', () => {
  it('is one until thirteen days after its graft, and a virgin from then on', () => {
    const cell = { box: 'box-1', colony: 'colony-2', attempt: 'new', round: 'round-1' };
    const bees = stocked('colony-2', 1);
    // Grafted ten days before the first cell was given.
    expect(said([bees], 'cellGiven', cell, { on: day(3) })).toBe('');
    expect(said([bees], 'cellGiven', cell, { on: day(4) })).toContain('its queens emerged by 13 May');
  });
});

describe('a virgin', () => {
  it('wants bees that were without a queen for a day', () => {
    const given = { ...OTHER, queen: 'v', what: 'virgin', caged: true } as const;
    const bees = stocked('colony-2', 1, {}, day(5));
    expect(said([bees], 'queenGiven', given, { on: day(5) })).toContain('about a day');
    expect(said([bees], 'queenGiven', given, { on: day(6) })).toBe('');
    expect(said([bees], 'queenGiven', { ...given, what: 'mated' }, { on: day(5) })).toBe('');
  });
});
