import type { EventKind, Subject } from './entry.ts';

export { kindVersionOf } from './kindVersions.ts';

type Named = Readonly<Record<string, Subject['kind']>>;
const box = { box: 'box' } as const satisfies Named;
const colony = { ...box, colony: 'colony' } as const satisfies Named;
const attempt = { ...colony, attempt: 'attempt' } as const satisfies Named;
const yard = { yard: 'yard' } as const satisfies Named;
const facts = { 'mother.queen': 'queen', round: 'round' } as const satisfies Named;

/**
 * What an event of each kind is about: fields of its payload that name a thing whose story it belongs to, `*` for
 * every one of a list. Plain data without Zod, so that the fold in the browser knows it too.
 */
export const subjectFields: Readonly<Record<EventKind, Named>> = {
  boxBuilt: { ...box, 'of.box': 'box', parted: 'colony' },
  boxPlaced: { ...box, ...yard },
  boxStacked: { ...box, onto: 'box' },
  boxTakenApart: box,
  roleSet: box,
  buildTicked: box,
  boxInspected: box,
  layerPut: { ...box, from: 'box' },
  layerTaken: { ...box, 'to.box': 'box', parted: 'colony' },
  floorSet: box,
  roofSet: box,
  cheeksSet: box,
  boardAdded: box,
  dividerSet: box,
  boardMoved: box,
  boardPlaced: box,
  slotSet: box,
  entranceSet: box,
  ventSet: box,
  holeSet: box,
  weighed: box,
  temperatureRead: colony,

  stocked: { ...colony, 'giver.box': 'box', 'giver.colony': 'colony' },
  cellGiven: { ...attempt, round: 'round' },
  cellOpened: attempt,
  eggsSeen: attempt,
  patternScored: attempt,
  failed: attempt,
  combined: { ...colony, intoBox: 'box', into: 'colony', 'also.box': 'box', 'also.colony': 'colony' },
  colonyMoved: { ...colony, toBox: 'box', 'left.*.frame': 'frame' },
  strengthSeen: colony,
  wildCellsSearched: colony,
  mitesCounted: colony,
  treated: colony,
  troubleSeen: colony,
  fed: colony,
  stripsPut: colony,
  stripsOut: colony,
  coverSet: colony,
  outingLeft: colony,
  outingReturned: colony,
  suspected: colony,
  suspicionSettled: colony,
  workPutOff: colony,
  noted: colony,
  stung: box,

  queenGiven: { ...colony, queen: 'queen', 'from.box': 'box', 'from.colony': 'colony', ...facts },
  queenRecorded: { ...colony, queen: 'queen', ...facts },
  queenSeen: { ...colony, queen: 'queen' },
  introductionSeen: { ...colony, queen: 'queen' },
  queenMarked: { ...colony, queen: 'queen' },
  queenTaken: { ...attempt, queen: 'queen', 'bank.box': 'box', 'bank.colony': 'colony', lot: 'lot' },

  frameAudited: { ...colony, frame: 'frame' },
  framesMoved: { 'moves.*.frame': 'frame', 'moves.*.from.box': 'box', 'moves.*.to.box': 'box' },

  playbookBegun: { ...box, round: 'round' },
  stepTicked: box,
  stepSkipped: box,
  stepMarked: box,
  playbookEnded: box,

  winterPlanned: { ...colony, 'to.box': 'box', 'with.box': 'box', 'with.colony': 'colony' },
  winterPrepared: colony,
  winterDropped: colony,
  shortChecked: colony,

  roundPlanned: { round: 'round', donorQueen: 'queen' },
  roundDropped: { round: 'round' },
  lotWanted: { lot: 'lot' },
  lotDropped: { lot: 'lot' },
  grafted: { round: 'round', donorQueen: 'queen' },
  cellsAccepted: { round: 'round' },
  cellsMoved: { round: 'round' },
  combToDonor: { round: 'round' },
  incubatorRead: { round: 'round' },
  weatherRecorded: yard,
  bloomSeen: yard,
  trialBegun: { trial: 'trial', ...yard },
  trialEnded: { trial: 'trial', ...yard },
  withdrawn: {},
};

/** Everything that an entry is about, each once, indexed so that its story can be found again. */
export function subjectsOf({ kind, payload }: { kind: EventKind; payload: object }): Subject[] {
  const found = new Map<string, Subject>();
  for (const [path, subject] of Object.entries(subjectFields[kind] ?? {}))
    for (const id of valuesAt(payload, path.split('.'))) found.set(id, { kind: subject, id });
  return [...found.values()];
}

function valuesAt(value: unknown, [step, ...rest]: readonly string[]): string[] {
  if (step === undefined) return typeof value === 'string' ? [value] : [];
  if (value === null || typeof value !== 'object') return [];
  if (step === '*') return (value as unknown[]).flatMap((each) => valuesAt(each, rest));
  return valuesAt((value as Readonly<Record<string, unknown>>)[step], rest);
}
