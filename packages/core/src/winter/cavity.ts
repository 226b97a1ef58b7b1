import type { Board, DesignContent } from '@yellow-cell/contract';
import { type Column, columnsOf, placesIn } from '../box/columns.ts';
import { handPlacesFor, withHandPlaces } from '../box/handPlace.ts';
import { type Compartment, deriveBox } from '../box/model.ts';
import { newBoard } from '../box/newBoard.ts';
import { withBody, withPart } from '../box/parts.ts';
import { bodiesOf } from '../box/stack.ts';
import { countOf } from '../say/words.ts';

/** The end of a row of frames that the bees are kept at, seen from above with the front nearest. */
export type End = 'left' | 'right';

/** Where a follower stands, once a cavity is fitted: one that is there already, or one that is put in. */
export interface FollowerPlace {
  /** The follower or dummy that is moved; undefined where a new one is put in. */
  board?: string;
  body: string;
  at_mm: number;
  framesLeft: number;
}
export interface FittedCavity {
  /** The box with the follower where it is to stand; the bees' room in it. */
  design: DesignContent;
  room: Compartment;
  place: FollowerPlace;
}

const PLACE = { groove: 'winter groove', bay: 'winter bay' } as const;
const NEW_BOARD = 'winter follower';

/**
 * A room fitted to so many frames at one of its ends, by a follower beside them (handbook 7, arrangement); or why no
 * follower can stand there. The design is the box as it stands.
 */
export function fitCavity(
  design: DesignContent,
  room: Compartment,
  keeps: number,
  end: End,
): FittedCavity | { why: string } {
  const known = fits.get(design) ?? new Map<string, FittedCavity | { why: string }>();
  fits.set(design, known);
  const key = [room.bays.join(), keeps, end].join('|');
  const found = known.get(key) ?? fitted(design, room, keeps, end);
  known.set(key, found);
  return found;
}
/** Boxes of a version stand alike, and one is asked again with every frame that is dragged. */
const fits = new WeakMap<DesignContent, Map<string, FittedCavity | { why: string }>>();

function fitted(
  design: DesignContent,
  room: Compartment,
  keeps: number,
  end: End,
): FittedCavity | { why: string } {
  const body = bodiesOf(design).find(({ bays }) => bays.some(({ id }) => room.bays.includes(id)));
  const column = body && columnsOf(body).find(({ bays }) => bays.every(({ id }) => room.bays.includes(id)));
  if (!body || !column) return { why: 'Nothing is known of how this room is drawn.' };
  if (room.bays.some((bay) => !column.bays.some(({ id }) => id === bay)))
    return { why: 'It lives in more than one storey: one comes off first, or it winters on both.' };
  if (keeps >= room.frames.length) return { why: 'All its frames stay: no follower is needed.' };
  if (keeps < 1) return { why: 'No frame stays.' };
  const there = followerBeside(column, end);
  const board = there ?? newBoard('follower', design, body, { board: NEW_BOARD, groove: PLACE.groove });
  const withBoard = there
    ? design
    : withBody(design, body.id, (now) => ({ ...now, boards: [...now.boards, board] }));
  const found = handPlacesFor(withBoard, board.id).find(
    ({ at_mm, frames }) =>
      at_mm > column.x[0] && at_mm < column.x[1] && frames[end === 'left' ? 0 : 1] === keeps,
  );
  if (!found)
    return {
      why: `No follower fits beside ${countOf(keeps, 'frame')} as the frames hang: push them together, or wedge the gap with a filled comb.`,
    };
  const { at_mm, framesLeft } = found;
  const placed = withPart(
    withHandPlaces(withBoard, [{ board: board.id, at_mm, framesLeft, ...PLACE }]),
    board.id,
    {
      groove: PLACE.groove,
    },
  );
  const after = deriveBox(placed).compartments.find(
    ({ frames, x, bays }) =>
      frames.length === keeps &&
      (end === 'left' ? x[0] === column.x[0] : x[1] === column.x[1]) &&
      bays.some((bay) => room.bays.includes(bay) || bay === PLACE.bay),
  );
  if (!after) return { why: 'A follower cannot stand there.' };
  return {
    design: placed,
    room: after,
    place: { ...(there ? { board: there.id } : {}), body: body.id, at_mm, framesLeft },
  };
}

/** A board that can be moved up to the bees, where one stands beyond them. */
function followerBeside({ left, right }: Column, end: End): Board | undefined {
  const board = (end === 'left' ? right : left)?.board;
  return isFollower(board) ? board : undefined;
}
const isFollower = (board: Board | undefined): boolean =>
  board?.kind === 'follower' || board?.kind === 'dummy';

/** Places for frames in an empty bay beyond a follower beside a room: what it can be widened by, a frame at a time. */
export function framesBehind(
  design: DesignContent,
  bays: readonly string[],
  lived: ReadonlySet<string>,
): number {
  const found = bodiesOf(design).flatMap((body) => {
    const columns = columnsOf(body);
    const at = columns.findIndex((column) => column.bays.some(({ id }) => bays.includes(id)));
    return (['left', 'right'] as const).flatMap((end) => {
      const own = columns[at];
      const beyond = columns[end === 'left' ? at - 1 : at + 1];
      if (!own || !beyond || beyond.bays.some(({ id }) => lived.has(id))) return [];
      return isFollower((end === 'left' ? own.left : own.right)?.board) ? [placesIn(beyond.bays)] : [];
    });
  });
  return Math.max(0, ...found);
}
