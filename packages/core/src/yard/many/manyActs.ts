import type { DueKind, Queen, QueenColour, Role, Status } from '@yellow-cell/contract';
import { LETS_OUT } from '../../reach/reach.ts';
import type { BoxView, CompartmentView } from '../boxView.ts';
import { proposedRole } from '../roles/roleOf.ts';
import { roles } from '../roles/roles.ts';
import { statusAfter } from '../transitions.ts';

/** What can be entered for many rooms in one go. */
export type ManyAct =
  | 'stock'
  | 'cell'
  | 'virgin'
  | 'opened'
  | 'eggs'
  | 'pattern'
  | 'mark'
  | 'taken'
  | 'feed'
  | 'stripsIn'
  | 'stripsOut'
  | 'open'
  | 'shut'
  | 'covers';

interface Many {
  title: string;
  /** Work that it answers. */
  dues: readonly DueKind[];
  /** True where it says what somebody saw: then no room is chosen beforehand. */
  seen?: true;
  /** Whether it can be entered for a room as it stands, and does no harm there. */
  fits: (room: CompartmentView, box: BoxView) => boolean;
  /** True where it is entered for each queen of a bank by herself. */
  eachQueen?: true;
}

const reckoned = ({ colony, shares }: CompartmentView): boolean =>
  colony !== undefined && shares === undefined;

/** Rooms that are stocked with brood and bees, by what they were built for. */
const TAKES_BROOD: readonly Role[] = ['mating', 'growing', 'flying'];
const LAYING: readonly Status[] = ['laying', 'proven', 'queenright'];

export const manyActs: Readonly<Record<ManyAct, Many>> = {
  stock: {
    title: 'Stock',
    dues: [],
    fits: ({ colony, frames, role, bays }, { design }) =>
      colony === undefined &&
      frames > 0 &&
      role === 'empty' &&
      TAKES_BROOD.includes(proposedRole({ design, bays, colony })),
  },
  cell: {
    title: 'Give a cell',
    dues: ['giveCell'],
    fits: (room) =>
      reckoned(room) &&
      room.role !== 'empty' &&
      roles[room.role].warns.cellGiven === undefined &&
      statusAfter('cellGiven', room.status) !== undefined,
  },
  virgin: {
    title: 'Give a virgin',
    // Rooms that want a cell take a virgin too; she is chosen by who gives her.
    dues: [],
    fits: (room) =>
      reckoned(room) &&
      room.role !== 'empty' &&
      roles[room.role].warns.cellGiven === undefined &&
      statusAfter('virginGiven', room.status) !== undefined,
  },
  opened: {
    title: 'Cells opened',
    dues: ['checkOpening'],
    seen: true,
    fits: ({ status }) => status === 'cellGiven',
  },
  eggs: {
    title: 'Eggs seen',
    dues: ['lookForEggs'],
    seen: true,
    fits: (room) => reckoned(room) && (room.status === 'virgin' || room.status === 'cellGiven'),
  },
  pattern: {
    title: 'Score the pattern',
    dues: ['scorePattern'],
    seen: true,
    fits: (room) => reckoned(room) && LAYING.includes(room.status),
  },
  mark: {
    title: 'Mark queens',
    dues: [],
    fits: (room) =>
      reckoned(room) && LAYING.includes(room.status) && room.queens.length === 1 && !room.queens[0]?.mark,
  },
  taken: {
    title: 'Take queens',
    dues: ['harvest'],
    fits: (room) =>
      reckoned(room) &&
      (room.role === 'bank'
        ? room.queens.length > 0
        : room.role === 'mating' && LAYING.includes(room.status)),
    eachQueen: true,
  },
  feed: {
    title: 'Feed',
    dues: ['feedShut', 'feedWeak', 'refillFeed'],
    // A starter is fed once its grafts are in, by its own step.
    fits: (room) => reckoned(room) && room.role !== 'starter',
  },
  stripsIn: { title: 'Strips in', dues: ['treat'], fits: reckoned },
  stripsOut: {
    title: 'Strips out',
    dues: ['stripsOut'],
    fits: ({ colony, left }) => ((colony ?? left)?.strips ?? []).length > 0,
  },
  open: {
    title: 'Open entrances',
    dues: ['openEntrance'],
    // A side that is closed on purpose, while its bees fly from another, stays so.
    fits: (room, box) =>
      room.colony?.shutOn !== undefined && room.role !== 'starter' && doorsOf(room, box, false).length > 0,
  },
  shut: {
    title: 'Shut on vent',
    dues: [],
    fits: (room, box) => room.colony !== undefined && doorsOf(room, box, true).length > 0,
  },
  covers: {
    title: 'Covers on',
    dues: ['coverOn'],
    fits: ({ colony }) => colony?.coverOffOn !== undefined,
  },
};

/** The number after the highest of all marks of a colour in the record: the next of the series. */
export function nextMark(queens: Iterable<Queen>, colour: QueenColour): number {
  let highest = 0;
  for (const { mark } of queens)
    if (mark?.colour === colour && /^\d+$/.test(mark.number ?? ''))
      highest = Math.max(highest, Number(mark.number));
  return highest + 1;
}

/** Entrances of a room that let workers out, or do not. */
export const doorsOf = ({ position }: CompartmentView, { model }: BoxView, letting: boolean): string[] =>
  (model.compartments[position]?.entrances ?? [])
    .filter(({ opening }) => LETS_OUT[opening.state].includes('worker') === letting)
    .map(({ id }) => id);

export interface ManyRoom {
  box: BoxView;
  /** Of a bank whose queens are entered for each by herself: with that one alone. */
  room: CompartmentView;
  /** True where it answers work that is due in it. */
  due: boolean;
}

/** Rooms that an act can be entered for, in the order of the boxes. */
export function manyRooms(boxes: readonly BoxView[], act: ManyAct): ManyRoom[] {
  const { dues, fits, eachQueen } = manyActs[act];
  return boxes.flatMap((box) =>
    box.compartments
      .filter((room) => fits(room, box))
      .flatMap((room) =>
        eachQueen && room.role === 'bank'
          ? room.queens.map((queen) => ({ ...room, queens: [queen] }))
          : [room],
      )
      .map((room) => ({ box, room, due: room.due.some(({ kind }) => dues.includes(kind)) })),
  );
}

/** What is alike among all that is due, where an act answers it in two rooms at least: most rooms first. */
export function alike(boxes: readonly BoxView[]): { act: ManyAct; rooms: number }[] {
  return (Object.keys(manyActs) as ManyAct[])
    .map((act) => ({ act, rooms: manyRooms(boxes, act).filter(({ due }) => due).length }))
    .filter(({ rooms }) => rooms > 1)
    .sort((a, b) => b.rooms - a.rooms);
}
