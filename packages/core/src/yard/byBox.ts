import type { YardState } from './state.ts';

/**
 * The state with of each box what is its own alone, colonies, their queens, and frames that went from it: where the
 * rooms of hundreds of boxes are asked for, each would look through what lives in all of them.
 */
export function byBox(state: YardState): (box: string) => YardState {
  const { colonies, queens, frames } = state;
  const apart = {
    colonies: grouped(colonies, ({ box }) => box),
    queens: grouped(queens, ({ colony }) => colonies.get(colony)?.box),
    frames: grouped(frames, ({ out }) => out?.from.box),
  };
  return (box) => ({
    ...state,
    colonies: apart.colonies.get(box) ?? new Map(),
    queens: apart.queens.get(box) ?? new Map(),
    frames: apart.frames.get(box) ?? new Map(),
  });
}

function grouped<T>(
  things: ReadonlyMap<string, T>,
  boxOf: (thing: T) => string | undefined,
): Map<string, Map<string, T>> {
  const groups = new Map<string, Map<string, T>>();
  for (const [id, thing] of things) {
    const box = boxOf(thing);
    if (box === undefined) continue;
    const group = groups.get(box) ?? new Map<string, T>();
    group.set(id, thing);
    groups.set(box, group);
  }
  return groups;
}
