import type { BoxState, Colony } from '@yellow-cell/contract';
import { joinedWith } from '../box/joinedRooms.ts';
import type { BoxModel } from '../box/model.ts';

/** Whether some bays are among others. */
export const meets = (bays: readonly string[], wanted: readonly string[]): boolean =>
  bays.some((bay) => wanted.includes(bay));

/** The place of the room that a colony is reckoned in: that of its queen or cell, where it is known, else its home. */
export function mainRoom({ compartments }: BoxModel, { home, queenIn, bays }: Colony): number {
  const withBay = (wanted: readonly string[]) => compartments.findIndex((each) => meets(each.bays, wanted));
  const queens = queenIn !== undefined && bays.includes(queenIn) ? withBay([queenIn]) : -1;
  return queens >= 0 ? queens : withBay(home.filter((bay) => bays.includes(bay)));
}

/** All bays that a colony lives in: what it has of its home, and every room that workers can go to from there and no other bees are in. */
export function baysLivedIn(model: BoxModel, colony: Colony, others: readonly Colony[]): string[] {
  const { compartments } = model;
  const home = compartments.findIndex(({ bays }) => meets(bays, colony.home));
  const { rooms } = joinedWith(model, home);
  const free = rooms.flatMap((room) => {
    const bays = compartments[room]?.bays ?? [];
    return room === home || !others.some((other) => meets(other.home, bays)) ? [...bays] : [];
  });
  const own = colony.home.filter((bay) => !free.includes(bay));
  return [...own, ...free];
}

/** The role that was last set for a room, by its bays, or for its whole box; undefined where none was. */
export function roleSetFor(
  { roles = [] }: BoxState,
  bays: readonly string[],
): NonNullable<BoxState['roles']>[number] | undefined {
  return roles.findLast((each) => each.bays === undefined || meets(each.bays, bays));
}

/** A bay that was parted is two: whoever lived in it lives in both. */
export const withBay = (colony: Colony, parted: string, fresh: string): Colony => ({
  ...colony,
  bays: [...colony.bays, fresh],
  home: colony.home.includes(parted) ? [...colony.home, fresh] : colony.home,
});
