import { isDue, walkingOrder } from '@yellow-cell/core';
import { keep, readKept } from '../app/kept.ts';
import type { BoxView, YardView } from '../yard/useYard.ts';

/** A walk past the boxes that have work on a day; kept on the device, so that a reload goes on where it was. */
export interface Walk {
  yard: string;
  on: string;
  begunAt: string;
  /** As one walks, from the beginning on. */
  boxes: readonly string[];
  /** The place among them that one is at; past the last, it is over. */
  at: number;
  /** Left with nothing to do. */
  passed: readonly string[];
}

const SHELF = 'yc-walk';

/** One that is on its way; what is over is begun anew. */
export const keptWalk = (yard: string, on: string): Walk | undefined => {
  const walk = readKept<Walk>(SHELF);
  return walk?.yard === yard && walk.on === on && walk.at < walk.boxes.length ? walk : undefined;
};
export const keepWalk = (walk: Walk | undefined): void => keep(SHELF, walk);

/** Past every box with work that is due. */
export function newWalk({ yard, on, boxes }: Pick<YardView, 'yard' | 'on' | 'boxes'>, begunAt: string): Walk {
  const due = walkingOrder(
    boxes.filter(({ compartments }) => compartments.some(isDue)),
    ({ box }) => box.place,
  );
  return { yard: yard.id, on, begunAt, boxes: due.map(({ box }) => box.id), at: 0, passed: [] };
}

/** Rooms of a box that ask for something, most pressing first as they stand. */
export const dueRooms = ({ compartments }: BoxView) => compartments.filter(isDue);
