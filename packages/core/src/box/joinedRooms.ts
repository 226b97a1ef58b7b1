import { groupSpaces } from '../reach/groups.ts';
import { LETS_OUT } from '../reach/reach.ts';
import { gap } from './gap.ts';
import { type BoxModel, isEntrance } from './model.ts';

/** Compartments that workers can go between inside the box: one colony lives in all of them (handbook 8). */
export interface JoinedRooms {
  /** Places of the compartments in `BoxModel.compartments`. */
  rooms: readonly number[];
  /** Whether bees get out of any of it as the entrances stand. */
  hasExit: boolean;
}

const known = new WeakMap<BoxModel, readonly JoinedRooms[]>();

/** The compartments of a box, in groups that one colony lives in; each compartment is in one of them. */
export function joinedRooms(model: BoxModel): readonly JoinedRooms[] {
  const found = known.get(model) ?? joined(model);
  known.set(model, found);
  return found;
}

function joined({ spaces, passages, openings, compartments }: BoxModel): JoinedRooms[] {
  const groups = groupSpaces(
    spaces.map(({ id }) => id),
    passages.filter(({ gap_mm }) => passesWorkers(gap_mm)),
  );
  return groups.flatMap((group): JoinedRooms[] => {
    const rooms = compartments.flatMap((each, index) =>
      each.spaces.some((space) => group.includes(space)) ? [index] : [],
    );
    if (rooms.length === 0) return [];
    const hasExit = openings
      .filter(isEntrance)
      .some(
        ({ opening: { state }, serves }) =>
          LETS_OUT[state].includes('worker') &&
          serves.some(({ space, clear_mm }) => group.includes(space) && passesWorkers(clear_mm)),
      );
    return [{ rooms, hasExit }];
  });
}

const passesWorkers = (gap_mm: number): boolean => gap({ gap_mm }).passes.includes('worker');

/** The group that a compartment belongs to. */
export const joinedWith = (model: BoxModel, room: number): JoinedRooms =>
  joinedRooms(model).find(({ rooms }) => rooms.includes(room)) ?? { rooms: [room], hasExit: false };
