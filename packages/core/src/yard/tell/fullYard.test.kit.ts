import type { EntryOf, EventKind, LogEvent } from '@yellow-cell/contract';
import { coverSheet, mm, tightBoard } from '../../box/plainParts.ts';
import { bodiesOf, sheetsOf } from '../../box/stack.ts';
import { plusDays } from '../../calendar/days.ts';
import { begun, DESIGN, OF, threeWayDesign, told, YARD } from '../story.test.kit.ts';

/**
 * A yard in which something of every kind stands: colonies of every sort, queens here, in a bank, aside and sold,
 * frames in and out, rounds planned and grafted, trials, playbooks; and of every kind of entry one that could follow.
 */
const CELL = '2026-05-10';
export const dayOf = (count: number) => plusDays(CELL, count);
/** The day of the entries that follow. */
export const NOW = dayOf(20);

const content = threeWayDesign().versions[0]?.content;
if (!content) throw new Error('the design has a version');
const [body] = bodiesOf(content);
const [cover] = sheetsOf(content);
const [west, middle, east] = body?.bays ?? [];
const [left, right] = body?.boards ?? [];
const [door] = body?.entrances ?? [];
if (!body || !cover || !west || !middle || !east || !left || !right || !door)
  throw new Error('a three-way has three bays, two boards and entrances');
const slotsIn = (bay: typeof west): string[] => bay.frames.map(({ id }) => id);
const [w1 = '', w2 = '', w3 = ''] = slotsIn(west);
const [m1 = '', m2 = ''] = slotsIn(middle);
const [e1 = ''] = slotsIn(east);

const place = (yard: string, stand: string, east_m: number) => ({
  yard,
  stand,
  east_m,
  north_m: 1,
  bearing_deg: 180,
});
const stocked = (
  box: string,
  colony: string,
  bay: string,
  more: Partial<EntryOf<'stocked'>['payload']> = {},
) =>
  told('stocked', dayOf(1), {
    box,
    colony,
    bays: [bay],
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 1,
    openBrood: false,
    ...more,
  });
const recorded = (box: string, colony: string, queen: string) =>
  told('queenRecorded', dayOf(2), { box, colony, queen, mother: { name: 'Sable' }, birthYear: 2025 });
const C1 = { box: 'box-1', colony: 'colony-1' };
const VIRGIN = { box: 'box-2', colony: 'colony-4', attempt: 'attempt-4' };
const BANK = { box: 'box-3', colony: 'colony-6' };
const MANY = { box: 'box-3', colony: 'colony-7' };
const ALONE = { box: 'box-3', colony: 'colony-9' };
const banked = (queen: string, cage: string) =>
  told('queenGiven', dayOf(6), {
    ...BANK,
    queen,
    what: 'mated',
    caged: true,
    cage,
    mother: { name: 'Sable' },
  });

export const FULL_YARD: readonly LogEvent[] = [
  ...begun(CELL),
  ...['box-2', 'box-3', 'box-4', 'box-5'].map((box, at) =>
    told('boxBuilt', dayOf(-15), { box, label: `B${at + 2}`, design: DESIGN, version: 1 }),
  ),
  ...['box-2', 'box-3'].map((box, at) =>
    told('boxPlaced', dayOf(-14), { box, ...place(YARD, `${at + 2}`, 3 + at) }),
  ),
  told('boxTakenApart', dayOf(-10), { box: 'box-5' }),
  told('dividerSet', dayOf(-9), { box: 'box-4', board: left.id, stands: false }),
  told('boxStacked', dayOf(0), { box: 'box-4', onto: 'box-2' }),

  stocked('box-1', 'colony-2', middle.id),
  stocked('box-2', 'colony-4', west.id),
  stocked('box-2', 'colony-5', middle.id),
  stocked('box-2', 'colony-8', east.id),
  stocked('box-3', 'colony-6', west.id),
  stocked('box-3', 'colony-7', middle.id, { queen: 'laying' }),
  stocked('box-3', 'colony-9', east.id, { queen: 'laying' }),

  recorded('box-3', 'colony-7', 'queen-old'),
  recorded('box-3', 'colony-7', 'queen-second'),
  recorded('box-3', 'colony-7', 'queen-sold'),
  recorded('box-3', 'colony-9', 'queen-aside'),
  told('cellGiven', dayOf(2), { ...VIRGIN, round: 'round-1' }),
  told('cellOpened', dayOf(3), OF),
  told('cellOpened', dayOf(5), VIRGIN),
  told('coverSet', dayOf(5), { box: 'box-1', colony: 'colony-2', on: false }),
  told('roleSet', dayOf(5), { box: 'box-3', role: 'bank', bays: [west.id] }),
  banked('queen-bank1', '1'),
  banked('queen-bank2', '2'),
  told('failed', dayOf(8), { box: 'box-2', colony: 'colony-5', reason: 'absconded' }),
  told('queenTaken', dayOf(10), { ...MANY, queen: 'queen-sold', to: 'sold', beesRemain: true }),
  told('slotSet', dayOf(12), { box: 'box-3', slot: m1, holds: 'feeder' }),
  told('layerTaken', dayOf(12), { box: 'box-3', layer: cover.id }),
  told('eggsSeen', dayOf(14), OF),
  told('queenMarked', dayOf(15), { ...C1, queen: OF.attempt, colour: 'white', clipped: false }),
  told('queenGiven', dayOf(15), {
    box: 'box-2',
    colony: 'colony-8',
    queen: 'queen-caged',
    what: 'mated',
    caged: true,
  }),
  told('queenTaken', dayOf(15), { ...ALONE, to: 'aside', beesRemain: true, backBy: dayOf(25) }),
  told('stripsPut', dayOf(15), { ...C1, product: 'Strips', outBy: dayOf(57) }, { id: 'strips-1' }),
  told('suspected', dayOf(15), { ...C1, suspicion: 'doubt-1', what: 'A drone layer?' }),
  told('suspected', dayOf(15), { ...C1, suspicion: 'doubt-2', what: 'Weak?' }),
  told('workPutOff', dayOf(15), { ...C1, work: 'harvest', until: null }),
  told('troubleSeen', dayOf(15), { ...C1, trouble: 'wasps', over: false }),
  told('strengthSeen', dayOf(15), { ...C1, seams: 2.5, broodFrames: 1 }),
  told('fed', dayOf(15), { ...C1, feed: 'syrup11', amount_kg: 1 }),
  told('frameAudited', dayOf(16), {
    ...C1,
    frame: 'frame-1',
    slot: w1,
    sides: [{ eggs: 0.2 }, { stores: 1 }],
    bees: [1, 0.5],
  }),
  told('frameAudited', dayOf(16), { ...C1, frame: 'frame-2', slot: w2, sides: [{}, {}] }),
  told('frameAudited', dayOf(16), {
    box: 'box-2',
    colony: 'colony-4',
    frame: 'frame-3',
    slot: w1,
    sides: [{}, {}],
  }),
  told('queenSeen', dayOf(16), { ...C1, seen: true, queen: OF.attempt, slot: w1 }),
  told('framesMoved', dayOf(17), {
    moves: [{ frame: 'frame-2', from: { box: 'box-1', slot: w2 }, to: null, turned: false }],
    purpose: 'show',
    backBy: dayOf(22),
  }),
  told('winterPlanned', dayOf(18), { ...C1, act: 'leave', sugar_kg: 2.6, by: dayOf(140) }),
  told('outingLeft', dayOf(19), {
    box: 'box-2',
    colony: 'colony-4',
    place: 'School',
    backBy: `${dayOf(21)}T15:00:00Z`,
  }),

  told('cellsMoved', dayOf(-1), { round: 'round-1', cells: 10, to: 'incubator', where: 'Shelf' }),
  told('incubatorRead', dayOf(0), { round: 'round-1', temperature_C: 34.5 }),
  told('roundPlanned', dayOf(10), {
    round: 'round-2',
    number: 2,
    donor: 'Sable',
    graftOn: dayOf(30),
    grafts: 36,
  }),
  told('grafted', dayOf(18), { round: 'round-3', number: 3, donor: 'Sable', grafts: 20 }),
  told('trialBegun', dayOf(1), {
    trial: 'trial-1',
    yard: YARD,
    question: 'A second hole?',
    measured: 'takes',
    boxesIn: ['box-1'],
    boxesAgainst: ['box-2'],
  }),
  told('trialBegun', dayOf(1), {
    trial: 'trial-2',
    yard: YARD,
    question: 'A feeder?',
    measured: 'takes',
    boxesIn: ['box-1'],
    boxesAgainst: ['box-2'],
  }),
  told('trialEnded', dayOf(9), { trial: 'trial-2', yard: YARD, answer: 'No.' }),
  told('weatherRecorded', dayOf(10), {
    yard: YARD,
    days: [{ date: dayOf(10), min_C: 3, max_C: 20, wind_ms: null, rain_mm: 0, flying_h: 4 }],
  }),
  told(
    'playbookBegun',
    dayOf(10),
    { box: 'box-4', run: 'run-1', playbook: 'closedStarter', bays: [east.id] },
    { id: 'begun' },
  ),
  told('stepTicked', dayOf(10), { box: 'box-4', run: 'run-1', step: 'frames' }, { id: 'ticked' }),
  told(
    'playbookBegun',
    dayOf(10),
    { box: 'box-3', run: 'run-2', playbook: 'bank', bays: [west.id] },
    { id: 'begun-2' },
  ),
  told('playbookEnded', dayOf(11), { box: 'box-3', run: 'run-2', done: true }, { id: 'ended' }),
];

const act = <K extends EventKind>(kind: K, payload: EntryOf<K>['payload']) => [kind, payload] as const;
const move = (frame: string, from: [string, string] | null, to: [string, string] | null, turned = false) => {
  const at = (spot: [string, string] | null) => spot && { box: spot[0], slot: spot[1] };
  return { frame, from: at(from), to: at(to), turned };
};
const rim = { ...body, id: 'body-new', rebate: null, grooves: [], boards: [], entrances: [], vents: [] };

/** What could follow. */
export const FOLLOWING = [
  act('boxBuilt', { box: 'box-new', label: 'B9', design: DESIGN, version: 1 }),
  act('boxBuilt', {
    box: 'box-new',
    label: 'B9',
    design: DESIGN,
    version: 1,
    of: { box: 'box-1', layers: [body.id] },
  }),
  act('boxBuilt', { box: 'box-new', label: 'B9', design: DESIGN, version: 2 }),
  act('boxBuilt', {
    box: 'box-new',
    label: 'B9',
    design: DESIGN,
    version: 1,
    of: { box: 'box-2', layers: [body.id, cover.id] },
  }),
  act('boxPlaced', { box: 'box-2', ...place(YARD, '8', 9) }),
  act('boxStacked', { box: 'box-3', onto: 'box-1' }),
  act('boxStacked', { box: 'box-4', onto: null }),
  act('boxTakenApart', { box: 'box-4' }),
  act('roleSet', { box: 'box-1', role: 'growing', bays: [west.id] }),
  act('roleSet', { box: 'box-2', role: 'mating' }),
  act('buildTicked', { box: 'box-4', step: 'cut', done: true }),
  act('boxInspected', { box: 'box-1', finish: 'linseed', condition: 'good', missing: '' }),
  act('layerPut', { box: 'box-1', layer: coverSheet('sheet-new'), at: 2 }),
  act('layerPut', { box: 'box-2', layer: cover, at: 2, from: 'box-3' }),
  act('layerPut', { box: 'box-1', layer: { ...rim, bays: [{ ...west, id: 'bay-new', frames: [] }] }, at: 1 }),
  act('layerTaken', { box: 'box-1', layer: cover.id }),
  act('layerTaken', { box: 'box-4', layer: cover.id, to: { box: 'box-1', at: 1 } }),
  act('layerTaken', { box: 'box-1', layer: body.id }),
  act('layerTaken', { box: 'box-1', layer: body.id, to: { box: 'box-4', at: 1 } }),
  act('layerTaken', { box: 'box-2', layer: body.id, to: { box: 'box-3', at: 0 }, parted: 'colony-new' }),
  act('floorSet', { box: 'box-1', floor: { ...content.floor, kind: 'mesh', mesh: 2.5 } }),
  act('roofSet', { box: 'box-1', roof: { ...content.roof, kind: 'insulated' } }),
  act('cheeksSet', { box: 'box-4', body: body.id, cheeks: { inset: mm(20), thickness: mm(10) } }),
  act('boardAdded', {
    box: 'box-1',
    body: body.id,
    board: { ...tightBoard('board-new', 'groove-new', mm(9.5), 10), kind: 'follower' },
    at_mm: 70,
    framesLeft: 2,
    bay: 'bay-new',
  }),
  act('dividerSet', { box: 'box-1', board: left.id, stands: false }),
  act('dividerSet', { box: 'box-1', board: right.id, stands: false }),
  act('dividerSet', { box: 'box-4', board: left.id, stands: true }),
  act('boardMoved', { box: 'box-4', board: right.id, groove: left.groove }),
  act('boardPlaced', {
    box: 'box-4',
    board: left.id,
    at_mm: 75,
    framesLeft: 2,
    groove: 'groove-new',
    bay: 'bay-new',
  }),
  act('slotSet', { box: 'box-1', slot: w3, holds: 'feeder' }),
  act('entranceSet', { box: 'box-1', entrance: door.id, state: 'closed' }),
  act('ventSet', { box: 'box-1', vent: 'vent-1', open: false }),
  act('holeSet', { box: 'box-1', hole: 'hole-1', closedBy: 'plug' }),
  act('weighed', { box: 'box-1', weight_kg: 12.4, felt: false }),
  act('temperatureRead', { box: 'box-1', inside_C: 34 }),

  act('stocked', {
    box: 'box-1',
    colony: 'colony-new',
    bays: [east.id],
    frames: { sealedBrood: 1, stores: 1, drawn: 0 },
    shakes: 2,
    openBrood: true,
    giver: { box: 'box-3', colony: 'colony-7' },
  }),
  act('stocked', {
    box: 'box-4',
    colony: 'colony-new',
    bays: [middle.id],
    frames: { sealedBrood: 0, stores: 1, drawn: 1 },
    shakes: 0,
    openBrood: false,
    queen: 'unknown',
  }),
  act('stocked', {
    ...C1,
    bays: [west.id],
    frames: { sealedBrood: 1, stores: 0, drawn: 0 },
    shakes: 0,
    openBrood: true,
  }),
  act('stocked', {
    box: 'box-1',
    colony: 'colony-2',
    bays: [middle.id],
    frames: { sealedBrood: 0, stores: 1, drawn: 0 },
    shakes: 1,
    openBrood: false,
    queen: 'laying',
  }),
  act('cellGiven', {
    box: 'box-1',
    colony: 'colony-2',
    attempt: 'attempt-new',
    round: 'round-1',
    bay: middle.id,
  }),
  act('cellOpened', { box: 'box-2', colony: 'colony-4', attempt: 'attempt-4' }),
  act('eggsSeen', VIRGIN),
  act('eggsSeen', { ...MANY, bay: middle.id }),
  act('patternScored', { ...OF, pattern_pct: 85 }),
  act('patternScored', { ...VIRGIN, pattern_pct: 70 }),
  act('failed', { ...OF, reason: 'virginLost' }),
  act('failed', { ...OF, reason: 'droneLayer' }),
  act('failed', { ...VIRGIN, reason: 'robbed' }),
  act('failed', { ...MANY, reason: 'virginLost' }),
  act('combined', { box: 'box-1', colony: 'colony-2', intoBox: 'box-1', into: 'colony-1' }),
  act('combined', { ...C1, intoBox: 'box-1', into: 'colony-2' }),
  act('combined', {
    box: 'box-1',
    colony: 'colony-2',
    intoBox: 'box-1',
    into: 'colony-1',
    also: { box: 'box-2', colony: 'colony-4' },
  }),
  act('colonyMoved', { ...C1, toBox: 'box-1', bays: [east.id] }),
  act('colonyMoved', { ...ALONE, toBox: 'box-4', bays: [east.id] }),
  act('strengthSeen', { ...C1, seams: 3 }),
  act('wildCellsSearched', { ...C1, found: 2, left: 1 }),
  act('mitesCounted', { ...C1, method: 'wash', mites: 9, bees: 300 }),
  act('treated', { ...C1, product: 'By its label' }),
  act('troubleSeen', { ...C1, trouble: 'robbing', over: false }),
  act('troubleSeen', { ...C1, trouble: 'wasps', over: true }),
  act('fed', { ...C1, feed: 'syrup21', amount_kg: 1.5 }),
  act('stripsPut', { ...C1, product: 'Others', outBy: dayOf(21), batch: 'L7' }),
  act('stripsPut', { ...C1, product: 'Others', outBy: NOW }),
  act('stripsOut', C1),
  act('stripsOut', { ...C1, strips: 'strips-1' }),
  act('stripsOut', { ...C1, strips: 'nobody' }),
  act('coverSet', { ...C1, on: false }),
  act('coverSet', { box: 'box-1', colony: 'colony-2', on: true }),
  act('coverSet', { box: 'box-1', colony: 'colony-2', on: false }),
  act('outingLeft', { ...C1, place: 'Fair', backBy: `${NOW}T15:00:00Z` }),
  act('outingReturned', { box: 'box-2', colony: 'colony-4' }),
  act('suspected', { ...C1, suspicion: 'doubt-1', what: 'A laying worker?', confidence: 'sure' }),
  act('suspicionSettled', { ...C1, suspicion: 'doubt-1', confirmed: false }),
  act('workPutOff', { ...C1, work: 'harvest', until: dayOf(21) }),
  act('workPutOff', { ...C1, work: 'harvest', until: NOW }),
  act('workPutOff', { ...C1, work: 'harvest', key: 'one', until: null }),
  act('workPutOff', { ...C1, work: 'settleSuspicion', key: 'doubt-1', until: null }),
  act('workPutOff', { ...C1, work: 'settleSuspicion', key: 'doubt-2', until: dayOf(40) }),
  act('workPutOff', { ...C1, work: 'stripsOut', key: 'strips-1', until: dayOf(52) }),
  act('noted', C1),
  act('stung', { box: 'box-1', who: 'Ann', stings: 1, reaction: '' }),

  act('queenGiven', {
    box: 'box-1',
    colony: 'colony-2',
    queen: 'queen-new',
    what: 'virgin',
    caged: false,
    round: 'round-1',
  }),
  act('queenGiven', {
    box: 'box-1',
    colony: 'colony-2',
    queen: 'queen-bank1',
    what: 'mated',
    caged: true,
    from: BANK,
  }),
  act('queenGiven', { box: 'box-3', colony: 'colony-9', queen: 'queen-aside', what: 'mated', caged: false }),
  act('queenGiven', { ...BANK, queen: 'queen-new', what: 'mated', caged: true, cage: '7' }),
  act('queenGiven', { ...BANK, queen: 'queen-old', what: 'mated', caged: true, from: MANY }),
  act('queenRecorded', { ...MANY, queen: 'queen-new', birthYear: 2024 }),
  act('queenRecorded', { ...MANY, queen: 'queen-old', birthYear: 2024 }),
  act('queenSeen', { ...C1, seen: false }),
  act('queenSeen', { ...C1, seen: true, queen: OF.attempt, slot: w3 }),
  act('queenSeen', { ...MANY, seen: true, bay: middle.id }),
  act('introductionSeen', { box: 'box-2', colony: 'colony-8', what: 'candy' }),
  act('introductionSeen', { box: 'box-2', colony: 'colony-8', what: 'released', queen: 'queen-caged' }),
  act('introductionSeen', { box: 'box-2', colony: 'colony-8', what: 'refused' }),
  act('queenMarked', { ...C1, queen: OF.attempt, colour: 'blue', number: '12', clipped: true }),
  act('queenMarked', { ...MANY, queen: 'queen-new', colour: 'blue', clipped: false }),
  act('queenTaken', { ...OF, to: 'sold', beesRemain: true }),
  act('queenTaken', { ...OF, to: 'colony', beesRemain: false }),
  act('queenTaken', { ...C1, to: 'aside', beesRemain: true, backBy: dayOf(21) }),
  act('queenTaken', { ...C1, to: 'aside', beesRemain: true, backBy: NOW }),
  act('queenTaken', { ...MANY, queen: 'queen-old', to: 'culled', beesRemain: true }),
  act('queenTaken', { ...MANY, to: 'culled', beesRemain: true }),
  act('queenTaken', { ...C1, to: 'bank', beesRemain: true, bank: BANK, cage: '3' }),
  act('queenTaken', { ...BANK, queen: 'queen-bank2', to: 'sold', beesRemain: true }),
  act('queenTaken', { ...BANK, to: 'sold', beesRemain: true }),
  act('queenTaken', { ...C1, to: 'sold', beesRemain: true, bank: BANK }),
  act('queenTaken', { ...C1, to: 'sold', beesRemain: true, lot: 'lot-1' }),
  act('queenTaken', { ...C1, to: 'culled', beesRemain: true, lot: 'lot-1' }),
  act('introductionSeen', { ...C1, what: 'released' }),

  act('frameAudited', { ...C1, frame: 'frame-new', slot: w3, sides: [{}, { openBrood: 0.5 }] }),
  act('frameAudited', { ...C1, frame: 'frame-1', slot: w1, sides: [{}, {}] }),
  act('frameAudited', { ...MANY, frame: 'frame-new', slot: m1, sides: [{}, {}] }),
  act('framesMoved', { moves: [move('frame-1', ['box-1', w1], ['box-1', w3], true)], purpose: 'equalise' }),
  act('framesMoved', { moves: [move('frame-1', ['box-1', w1], ['box-3', e1])], purpose: 'equalise' }),
  act('framesMoved', { moves: [move('frame-2', null, ['box-1', w2])], purpose: 'show' }),
  act('framesMoved', { moves: [move('frame-1', ['box-1', w1], null)], purpose: 'graft', backBy: dayOf(21) }),
  act('framesMoved', {
    moves: [move('frame-1', ['box-1', w1], ['box-2', w1]), move('frame-3', ['box-2', w1], ['box-1', w1])],
    purpose: 'other',
  }),
  act('framesMoved', { moves: [move('frame-new', ['box-1', m2], ['box-3', m1])], purpose: 'equalise' }),
  act('framesMoved', { moves: [move('frame-new', null, null)], purpose: 'equalise' }),
  act('framesMoved', {
    moves: [move('frame-1', ['box-1', w1], ['box-1', w3]), move('frame-1', ['box-1', w1], ['box-1', w2])],
    purpose: 'equalise',
  }),
  act('framesMoved', {
    moves: [move('frame-1', ['box-1', w1], ['box-1', w3]), move('frame-3', ['box-2', w1], ['box-1', w3])],
    purpose: 'equalise',
  }),

  act('playbookBegun', {
    box: 'box-1',
    run: 'run-new',
    playbook: 'bank',
    bays: [east.id],
    cells: 12,
    by: NOW,
  }),
  act('playbookBegun', { box: 'box-1', run: 'run-new', playbook: 'bank', bays: [east.id], by: dayOf(19) }),
  act('playbookBegun', { box: 'box-3', run: 'run-new', playbook: 'bank', bays: [west.id] }),
  act('playbookBegun', { box: 'box-4', run: 'run-new', playbook: 'closedStarter', bays: [west.id] }),
  act('stepTicked', { box: 'box-4', run: 'run-1', step: 'search' }),
  act('stepTicked', { box: 'box-4', run: 'run-1', step: 'frames' }),
  act('stepTicked', { box: 'box-4', run: 'run-1', step: 'nonesuch' }),
  act('stepTicked', { box: 'box-3', run: 'run-2', step: 'feed' }),
  act('stepSkipped', { box: 'box-4', run: 'run-1', step: 'second', reason: 'One is enough.' }),
  act('stepMarked', { box: 'box-4', run: 'run-1', step: 'bees', mark: 'shake' }),
  act('playbookEnded', { box: 'box-4', run: 'run-1', done: false, reason: 'Rain.' }),

  act('winterPlanned', { box: 'box-1', colony: 'colony-2', act: 'reduce', sugar_kg: 3, by: NOW }),
  act('winterPlanned', { box: 'box-1', colony: 'colony-2', act: 'reduce', sugar_kg: 3, by: dayOf(19) }),
  act('winterPlanned', { ...C1, act: 'combine', sugar_kg: 3, with: { box: 'box-1', colony: 'colony-2' } }),
  act('winterPrepared', C1),
  act('winterDropped', C1),
  act('shortChecked', { ...C1, did: ['strips'] }),

  act('roundPlanned', { round: 'round-2', number: 2, donor: 'Sable', graftOn: dayOf(31), grafts: 30 }),
  act('roundDropped', { round: 'round-2' }),
  act('lotWanted', { lot: 'lot-1', name: 'Own boxes', queens: 3, by: dayOf(60) }),
  act('lotDropped', { lot: 'lot-1' }),
  act('grafted', { round: 'round-2', number: 2, donor: 'Sable', grafts: 30, countedAtOnce: 30 }),
  act('grafted', { round: 'round-2', number: 2, donor: 'Sable', grafts: 30, countedAtOnce: 31 }),
  act('cellsAccepted', { round: 'round-3', accepted: 20 }),
  act('cellsAccepted', { round: 'round-3', accepted: 21 }),
  act('cellsMoved', { round: 'round-1', cells: 24, to: 'finisher' }),
  act('cellsMoved', { round: 'round-1', cells: 25, to: 'finisher' }),
  act('cellsMoved', { round: 'round-1', cells: 5, to: 'incubator', where: 'Shelf' }),
  act('cellsMoved', { round: 'round-1', cells: 5, to: 'incubator', where: 'Cellar' }),
  act('cellsMoved', { round: 'round-1', cells: 5, to: 'discarded' }),
  act('cellsMoved', { round: 'round-3', cells: 20, to: 'finisher' }),
  act('combToDonor', { round: 'round-2' }),
  act('incubatorRead', { round: 'round-1', temperature_C: 33, humidity_pct: 60 }),
  act('weatherRecorded', {
    yard: YARD,
    days: [{ date: dayOf(10), min_C: null, max_C: 21, wind_ms: 2, rain_mm: null, flying_h: null }],
  }),
  act('bloomSeen', { yard: YARD, plant: 'Lime', what: 'begins' }),
  act('trialBegun', {
    trial: 'trial-new',
    yard: YARD,
    question: 'Q',
    measured: 'm',
    boxesIn: [],
    boxesAgainst: [],
  }),
  act('trialEnded', { trial: 'trial-1', yard: YARD, answer: 'Yes.' }),
  act('withdrawn', {}),
];
export type Following = (typeof FOLLOWING)[number];

/** Every kind has an entry that follows; one that is forgotten shows here. */
export const KINDS_FOLLOWING: ReadonlySet<EventKind> = new Set(FOLLOWING.map(([kind]) => kind));

/** What an id in a payload might be in its place: others of its sort, and one that is not there. */
export const OTHERS: readonly (readonly string[])[] = [
  ['box-1', 'box-2', 'box-3', 'box-4', 'box-5'],
  ['colony-1', 'colony-2', 'colony-4', 'colony-5', 'colony-6', 'colony-7', 'colony-8', 'colony-9'],
  ['attempt-1', 'attempt-4'],
  ['queen-old', 'queen-second', 'queen-sold', 'queen-aside', 'queen-bank1', 'queen-caged', OF.attempt],
  ['frame-1', 'frame-2', 'frame-3'],
  ['round-1', 'round-2', 'round-3'],
  ['trial-1', 'trial-2'],
  ['run-1', 'run-2'],
  ['doubt-1', 'doubt-2'],
  [YARD],
  [DESIGN],
  [west.id, middle.id, east.id],
  [left.id, right.id],
  [left.groove, right.groove],
  [w1, w2, m1, e1],
  [body.id, cover.id],
  [door.id],
];
