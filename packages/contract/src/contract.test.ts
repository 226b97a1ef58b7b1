import { describe, expect, it } from 'vitest';
import { Entry, type EventKind, PostEntries, payloads } from './event/entry.ts';
import { kindVersionOf } from './event/kindVersions.ts';
import { Id, Length, text, Zone } from './primitives.ts';
import { NewYard } from './yard.ts';

const A = '11111111-1111-4111-8111-111111111111';
const B = '22222222-2222-4222-8222-222222222222';

/** One right example of every kind; the type makes sure that none is forgotten. */
const examples: { [K in EventKind]: unknown } = {
  boxBuilt: { box: A, label: 'B7', design: B, version: 1 },
  boxPlaced: { box: A, yard: B, stand: '2', east_m: 0, north_m: 3.5, bearing_deg: 359.5 },
  boxTakenApart: { box: A },
  layerPut: {
    box: A,
    layer: {
      kind: 'sheet',
      id: B,
      what: 'excluder',
      thickness: { mm: 2 },
      each: false,
      slot: 4.2,
      fits: '',
      holes: [],
    },
    at: 1,
  },
  layerTaken: { box: A, layer: 'sheet-3', to: { box: B, at: 2 }, parted: A },
  floorSet: {
    box: A,
    floor: { kind: 'mesh', thickness: { mm: 19 }, lip: { mm: 10 }, mesh: 2.5, fixed: false, strips: [] },
  },
  roofSet: { box: A, roof: { kind: 'flat', thickness: { mm: 19 }, room: { mm: 0 }, each: false } },
  cheeksSet: { box: A, body: 'body-1', cheeks: null },
  boardAdded: {
    box: A,
    body: 'body-1',
    board: {
      id: B,
      groove: A,
      kind: 'follower',
      thickness: { mm: 9.5 },
      up: { mm: 0 },
      down: { mm: 10 },
      ends: { mm: 0 },
      ears: true,
      slot: null,
      window: null,
    },
    at_mm: 120,
    framesLeft: 3,
    bay: 'bay-new',
  },
  playbookBegun: { box: A, run: B, playbook: 'closedStarter', bays: ['bay-1'], cells: 45 },
  stepTicked: { box: A, run: B, step: 'closed', facts: [A] },
  stepSkipped: { box: A, run: B, step: 'second', reason: 'One batch is enough.' },
  stepMarked: { box: A, run: B, step: 'bees', mark: 'shake' },
  playbookEnded: { box: A, run: B, done: true },
  dividerSet: { box: A, board: 'board-7', stands: false },
  entranceSet: { box: A, entrance: 'entrance-9', state: 'vent' },
  fed: { box: A, colony: B, feed: 'syrup21', amount_kg: 1.5 },
  stripsPut: { box: A, colony: B, product: 'Strips', outBy: '2026-07-12' },
  stripsOut: { box: A, colony: B },
  workPutOff: { box: A, colony: B, work: 'harvest', until: null },
  boxInspected: { box: A, finish: 'linseed', condition: 'good', missing: '' },
  buildTicked: { box: A, step: 'cut', done: true },
  stocked: {
    box: A,
    colony: B,
    bays: ['bay-1'],
    frames: { sealedBrood: 1, stores: 1, drawn: 0 },
    shakes: 0,
    openBrood: false,
  },
  cellGiven: { box: A, colony: B, attempt: A, round: B },
  cellOpened: { box: A, colony: B, attempt: A },
  eggsSeen: { box: A, colony: B },
  patternScored: { box: A, colony: B, attempt: A, pattern_pct: 0 },
  failed: { box: A, colony: B, reason: 'virginLost' },
  queenTaken: { box: A, colony: B, to: 'sold', beesRemain: true },
  combined: { box: A, colony: B, intoBox: A, into: B },
  noted: { box: A },
  roundPlanned: { round: A, number: 3, donor: 'Sable', graftOn: '2026-06-08', grafts: 36 },
  roundDropped: { round: A },
  lotWanted: { lot: A, name: 'Own boxes', queens: 12, by: '2026-07-10' },
  lotDropped: { lot: A },
  grafted: { round: A, number: 1, donor: 'Sable', grafts: 30 },
  cellsAccepted: { round: A, accepted: 24 },
  cellsMoved: { round: A, cells: 24, to: 'finisher' },
  combToDonor: { round: A },
  incubatorRead: { round: A, temperature_C: 34.5 },
  weatherRecorded: {
    yard: A,
    days: [{ date: '2026-05-31', min_C: -3, max_C: 22, wind_ms: 0, rain_mm: 0, flying_h: 5 }],
  },
  colonyMoved: { box: A, colony: B, toBox: A, bays: ['bay-1'] },
  boxStacked: { box: A, onto: null },
  roleSet: { box: A, role: 'bank' },
  boardMoved: { box: A, board: 'board-7', groove: 'groove-3' },
  boardPlaced: { box: A, board: 'board-7', at_mm: 82.5, framesLeft: 2, groove: B, bay: A },
  slotSet: { box: A, slot: 'slot-4', holds: 'feeder' },
  ventSet: { box: A, vent: 'vent-1', open: false },
  holeSet: { box: A, hole: 'hole-2', closedBy: 'jar' },
  weighed: { box: A, weight_kg: 12.4, felt: true },
  temperatureRead: { box: A, inside_C: 34.5 },
  strengthSeen: { box: A, colony: B, seams: 2.5 },
  wildCellsSearched: { box: A, colony: B, found: 0 },
  mitesCounted: { box: A, colony: B, method: 'wash', mites: 9, bees: 300 },
  treated: { box: A, colony: B, product: 'By its label', batch: 'L7' },
  introductionSeen: { box: A, colony: B, what: 'released' },
  troubleSeen: { box: A, colony: B, trouble: 'wasps', over: false },
  coverSet: { box: A, colony: B, on: false },
  outingLeft: { box: A, colony: B, place: 'School', backBy: '2026-05-31T17:00:00+02:00' },
  outingReturned: { box: A, colony: B },
  suspected: { box: A, colony: B, suspicion: A, what: 'Small: a drone layer?' },
  suspicionSettled: { box: A, colony: B, suspicion: A, confirmed: false },
  stung: { box: A, who: 'Ann', stings: 2, reaction: '' },
  winterPlanned: {
    box: A,
    colony: B,
    act: 'reduce',
    room: { keeps: [{ slot: 'slot-2', turned: true }], end: 'left', follower: true, insulation_mm: 60 },
    sugar_kg: 2.6,
    by: '2026-10-18',
  },
  winterPrepared: { box: A, colony: B },
  winterDropped: { box: A, colony: B },
  shortChecked: { box: A, colony: B, did: ['strips', 'lookedDown', 'strapped'] },
  queenGiven: { box: A, colony: B, queen: A, what: 'mated', caged: true, mother: { name: 'Sable' } },
  queenRecorded: { box: A, colony: B, queen: A, birthYear: 2025, mother: { queen: B } },
  queenSeen: { box: A, colony: B, seen: false },
  queenMarked: { box: A, colony: B, queen: A, colour: 'white', number: '12', clipped: false },
  frameAudited: {
    box: A,
    colony: B,
    frame: A,
    slot: 'slot-4',
    sides: [{ eggs: 0.2, sealed: 0.5 }, { stores: 1 }],
    bees: [1, 0.5],
  },
  framesMoved: {
    moves: [{ frame: A, from: { box: A, slot: 'slot-4' }, to: null, turned: false }],
    purpose: 'show',
    backBy: '2026-06-02',
  },
  bloomSeen: { yard: A, plant: 'Lime', what: 'begins' },
  trialBegun: {
    trial: A,
    yard: B,
    question: 'Does a second hole raise takes?',
    measured: 'take rate',
    boxesIn: [A],
    boxesAgainst: [B],
  },
  trialEnded: { trial: A, yard: B, answer: '' },
  withdrawn: {},
};

/** What an example gives though it need not be given. */
const optional: Partial<Record<EventKind, readonly string[]>> = {
  layerTaken: ['to', 'parted'],
  treated: ['batch'],
  playbookBegun: ['cells'],
  stepTicked: ['facts'],
  cellGiven: ['round'],
  patternScored: ['attempt'],
  queenGiven: ['mother'],
  queenRecorded: ['birthYear', 'mother'],
  queenMarked: ['number'],
  frameAudited: ['bees'],
  framesMoved: ['backBy'],
  winterPlanned: ['room', 'by'],
};

const entry = (kind: EventKind, payload: unknown, more: object = {}) => ({
  id: A,
  kind,
  kindVersion: kindVersionOf(kind),
  occurredAt: '2026-05-31T10:00:00+02:00',
  zone: 'Europe/Vienna',
  person: 'Ann',
  device: 'phone',
  deviceSeq: 0,
  payload,
  ...more,
});
const ok = (value: unknown) => Entry.safeParse(value).success;

describe('an entry', () => {
  it.each(Object.keys(payloads) as EventKind[])('%s takes its own payload, and no other field', (kind) => {
    const payload = examples[kind] as object;
    expect(ok(entry(kind, payload))).toBe(true);
    expect(ok(entry(kind, { ...payload, flavour: 'sweet' }))).toBe(false);
    for (const field of Object.keys(payload).filter((each) => !optional[kind]?.includes(each))) {
      const { [field as keyof typeof payload]: _, ...without } = payload;
      expect({ field, ok: ok(entry(kind, without)) }).toEqual({ field, ok: false });
    }
  });

  it.each([
    ['a kind that does not exist', entry('danced' as EventKind, {})],
    ['a later kind version', entry('noted', { box: A }, { kindVersion: 2 })],
    ['an id that is none', entry('noted', { box: A }, { id: 'B7' })],
    ['a time without an offset', entry('noted', { box: A }, { occurredAt: '2026-05-31T10:00:00' })],
    ['a zone that no map knows', entry('noted', { box: A }, { zone: 'Valley/Meadow' })],
    ['nobody', entry('noted', { box: A }, { person: '  ' })],
    ['a pattern above 100', entry('patternScored', { box: A, colony: B, pattern_pct: 101 })],
    [
      'half a frame',
      entry('stocked', {
        ...(examples.stocked as object),
        frames: { sealedBrood: 0.5, stores: 0, drawn: 0 },
      }),
    ],
    ['a bearing of a full turn', entry('boxPlaced', { ...(examples.boxPlaced as object), bearing_deg: 360 })],
    ['a reason of its own', entry('failed', { box: A, colony: B, reason: 'bad luck' })],
    ['no bays', entry('stocked', { ...(examples.stocked as object), bays: [] })],
  ])('with %s is none', (_, value) => {
    expect(ok(value)).toBe(false);
  });

  it('goes alone or with others, up to a thousand', () => {
    const one = entry('noted', { box: A });
    expect(PostEntries.safeParse({ entries: [one] }).success).toBe(true);
    expect(PostEntries.safeParse({ entries: [] }).success).toBe(false);
    expect(PostEntries.safeParse({ entries: new Array(1_001).fill(one) }).success).toBe(false);
  });
});

describe('primitives', () => {
  it('keep what people write, in any script, but no control characters', () => {
    for (const typed of ['Grüße', 'מלכה', '🐝 👑', 'two\nlines', "Robert'); drop table event;--"])
      expect(text(100).safeParse(typed).success).toBe(true);
    expect(text(100).safeParse('a\u0007b').success).toBe(false);
    expect(text(3).safeParse('abcd').success).toBe(false);
  });
  it('know ids, zones and lengths', () => {
    expect(Id.safeParse(A).success).toBe(true);
    expect(Zone.safeParse('UTC').success).toBe(true);
    expect(Length.safeParse({ mm: Number.NaN }).success).toBe(false);
    expect(Length.safeParse({ mm: Number.POSITIVE_INFINITY }).success).toBe(false);
  });
  it('place a yard on the globe', () => {
    const yard = {
      id: A,
      name: 'Meadow',
      latitude_deg: -43.5,
      longitude_deg: 172.6,
      zone: 'Pacific/Auckland',
    };
    expect(NewYard.safeParse(yard).success).toBe(true);
    expect(NewYard.safeParse({ ...yard, latitude_deg: 91 }).success).toBe(false);
    expect(NewYard.safeParse({ ...yard, longitude_deg: Number.NaN }).success).toBe(false);
  });
});
