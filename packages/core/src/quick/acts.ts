import type { EntryOf, EventKind } from '@yellow-cell/contract';
import { showDay } from '../calendar/showDay.ts';
import { countOf } from '../say/words.ts';
import type { QuickAct } from './answer.ts';
import type { QuickBox, QuickCompartment, QuickContext } from './context.ts';
import type { LineEntry } from './reading.ts';

interface Asked {
  question: string;
  choices: readonly string[];
}
const asked = (question: string, ...choices: readonly string[]): Asked => ({ question, choices });

/** The entries of a line as they are kept: with the ids of what the yard holds. Or why one of them cannot be. */
export function actsOf(
  entries: readonly LineEntry[],
  context: QuickContext,
  idFor: () => string,
): QuickAct[] | Asked {
  const acts: QuickAct[] = [];
  for (const entry of entries) {
    const made = actOf(entry, context, idFor);
    if ('question' in made) return made;
    const { note, on } = entry;
    const [first, ...others] = made;
    const dated = on === context.today ? {} : { on };
    if (first)
      acts.push(
        { ...first, ...dated, ...(note === undefined ? {} : { note }) },
        ...others.map((each) => ({ ...each, ...dated })),
      );
  }
  return acts;
}

const act = <K extends EventKind>(kind: K, payload: EntryOf<K>['payload']): QuickAct =>
  ({ kind, payload }) as QuickAct;

function actOf(entry: LineEntry, context: QuickContext, idFor: () => string): QuickAct[] | Asked {
  const box = context.boxes.find(({ label }) => label === entry.box);
  if (!box) return asked(`There is no box ${entry.box}.`);
  const room = box.compartments.find(({ name }) => name === entry.compartment);
  const title = room && box.compartments.length > 1 ? `${box.label} ${room.name}` : box.label;
  const { kind, fields } = entry;
  const colony = room && livedOn(room, entry.on) ? room.colony : undefined;
  if (kind === 'weighed') return [act('weighed', { box: box.id, ...(fields as WeighedFields) })];
  if (kind === 'noted') return [act('noted', { box: box.id, ...(colony ? { colony } : {}) })];
  if (kind === 'temperatureRead')
    return [
      act('temperatureRead', {
        box: box.id,
        ...(colony ? { colony } : {}),
        inside_C: Number(fields.inside_C),
      }),
    ];
  if (kind === 'dividerSet') {
    const board = box.boards[Number(fields.divider) - 1];
    return board
      ? [act('dividerSet', { box: box.id, board, stands: fields.stands === true })]
      : asked(`Which divider of ${box.label}, counted from the left?`);
  }
  if (!room) return asked(`Which compartment of ${box.label}?`);
  if (kind === 'entranceSet') return entranceActs(box, room, title, fields);
  if (kind === 'stocked') return stockActs(box, room, title, fields, idFor);
  if (!room.colony) return asked(`No bees are recorded in ${title}: stock it first.`);
  if (!colony) return askedOfDay(title, room, entry.on, context.today);
  return colonyActs({ entry, box, room, title, context, idFor, colony });
}
const livedOn = ({ stockedOn }: QuickCompartment, on: string): boolean =>
  stockedOn === undefined || stockedOn <= on;
const askedOfDay = (title: string, { stockedOn = '' }: QuickCompartment, on: string, today: string): Asked =>
  asked(
    `The bees of ${title} are there since ${showDay(stockedOn, today)}, not yet on ${showDay(on, today)}.`,
  );
type WeighedFields = Omit<EntryOf<'weighed'>['payload'], 'box'>;

function entranceActs(box: QuickBox, room: QuickCompartment, title: string, fields: LineEntry['fields']) {
  if (room.entrances.length === 0) return asked(`${title} has no entrance of its own.`);
  const state = fields.state as EntryOf<'entranceSet'>['payload']['state'];
  return room.entrances.map((entrance) => act('entranceSet', { box: box.id, entrance, state }));
}

function stockActs(
  box: QuickBox,
  room: QuickCompartment,
  title: string,
  fields: LineEntry['fields'],
  idFor: () => string,
): QuickAct[] | Asked {
  if (room.colony) return asked(`${title} holds bees already.`);
  const stock = fields as Pick<EntryOf<'stocked'>['payload'], 'frames' | 'shakes' | 'openBrood'>;
  const { sealedBrood, stores, drawn } = stock.frames;
  const given = sealedBrood + stores + drawn;
  if (given > room.frames)
    return asked(`${title} has room for ${countOf(room.frames, 'frame')}, not for ${given}.`);
  return [act('stocked', { box: box.id, colony: idFor(), bays: [...room.bays], ...stock })];
}

interface Given {
  entry: LineEntry;
  box: QuickBox;
  room: QuickCompartment;
  title: string;
  context: QuickContext;
  idFor: () => string;
  colony: string;
}

/** Of the fields that a line gives, all but those that say another place are those of the event. */
function colonyActs({ entry, box, room, title, context, idFor, colony }: Given): QuickAct[] | Asked {
  const { kind, fields } = entry;
  const inColony = { box: box.id, colony };
  const of = { ...inColony, ...(room.attempt ? { attempt: room.attempt } : {}) };
  const round = roundOf(fields, context);
  if (round && 'question' in round) return round;
  const ofRound = round ? { round: round.id } : {};
  switch (kind) {
    case 'combined': {
      const intoBox = context.boxes.find(({ label }) => label === fields.intoBox);
      const into = intoBox?.compartments.find(({ name }) => name === fields.into);
      if (!intoBox || !into?.colony)
        return asked(`No bees are recorded in ${fields.intoBox} ${fields.into}.`);
      if (!livedOn(into, entry.on))
        return askedOfDay(`${intoBox.label} ${into.name}`, into, entry.on, context.today);
      return [act('combined', { ...inColony, intoBox: intoBox.id, into: into.colony })];
    }
    case 'cellGiven':
      return [act('cellGiven', { ...inColony, attempt: idFor(), ...ofRound })];
    case 'cellOpened':
      return room.attempt
        ? [act('cellOpened', { ...inColony, attempt: room.attempt })]
        : asked(`No cell is recorded in ${title}.`);
    case 'queenGiven':
      return [
        act('queenGiven', {
          ...inColony,
          queen: idFor(),
          what: 'virgin',
          caged: fields.caged === true,
          ...ofRound,
        }),
      ];
    case 'coverSet':
      return [act('coverSet', { ...inColony, on: fields.covered === true })];
    case 'queenSeen':
      return [
        act('queenSeen', {
          ...inColony,
          seen: fields.seen === true,
          ...(fields.seen && room.queen ? { queen: room.queen } : {}),
        }),
      ];
    case 'queenMarked':
      return room.queen
        ? [{ kind, payload: { ...inColony, queen: room.queen, ...fields } } as QuickAct]
        : asked(`No queen is known in ${title} as a person yet; give her a record first.`);
    case 'eggsSeen':
    case 'patternScored':
    case 'failed':
    case 'queenTaken':
      return [{ kind, payload: { ...of, ...fields } } as QuickAct];
    default:
      return [{ kind, payload: { ...inColony, ...fields } } as QuickAct];
  }
}

function roundOf(
  { round }: LineEntry['fields'],
  { rounds }: QuickContext,
): QuickContext['rounds'][number] | Asked | undefined {
  if (round === undefined) return undefined;
  const [last] = rounds.toSorted((a, b) => b.number - a.number);
  return (
    rounds.find(({ number }) => number === round) ??
    asked(`There is no round ${round}${last ? `; the last one is ${last.number}` : ''}.`)
  );
}
