import { hashed, seededRandom } from '../../random.ts';

/** The side of a trial that a room is on; undefined where it is on none. */
export type Side = 'in' | 'against' | undefined;

/** Rooms that a trial lays apart: as many of its one side as of the other come first. */
export interface TrialSides<Room> {
  sideOf: (room: Room) => Side;
  /** With it, which rooms of a side come first is drawn by lot: nobody’s choice, and the same on every device. */
  lot?: string;
}

/**
 * So many of the rooms, given in the order that one walks past them, to have what there is not enough of for all: the
 * first of them; where a trial runs equally many of each side, then rooms of neither, then those that a side has more.
 */
export function fairShare<Room>(rooms: readonly Room[], most: number, trial?: TrialSides<Room>): Room[] {
  if (!trial) return rooms.slice(0, most);
  const { sideOf, lot } = trial;
  const side = (wanted: Side): Room[] => {
    const of = rooms.filter((room) => sideOf(room) === wanted);
    return lot === undefined || wanted === undefined ? of : drawn(of, `${lot} ${wanted}`);
  };
  const [inside, against, neither] = [side('in'), side('against'), side(undefined)];
  const each = Math.min(inside.length, against.length, Math.floor(most / 2));
  const first = [
    ...inside.slice(0, each),
    ...against.slice(0, each),
    ...neither,
    ...inside.slice(each),
    ...against.slice(each),
  ];
  const chosen = new Set(first.slice(0, most));
  return rooms.filter((room) => chosen.has(room));
}

/** In an order drawn by lot (Fisher and Yates), which the words decide alone. */
function drawn<Each>(all: readonly Each[], lot: string): Each[] {
  const random = seededRandom(hashed(...[...lot].map((letter) => letter.codePointAt(0) ?? 0)));
  const order = [...all];
  for (let last = order.length - 1; last > 0; last--) {
    const at = Math.floor(random() * (last + 1));
    [order[last], order[at]] = [order[at] as Each, order[last] as Each];
  }
  return order;
}
