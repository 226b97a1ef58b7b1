import type { DesignContent, Family } from '@yellow-cell/contract';
import { columnsOf, placesIn } from './columns.ts';
import { mainBody } from './stack.ts';

/** Between six frames at 38 mm, 228 mm with their slack, and the eight-frame bodies of 311 mm: what is narrower inside is a nucleus, of whatever halves. */
const NUCLEUS_MM = 260;

/** Plain families, named by the rooms of their body. */
const ROOMS: Partial<Record<Family, number>> = {
  nucleus: 1,
  twoWayNucleus: 2,
  twoWayBody: 2,
  threeWay: 3,
  fourWay: 4,
};

/** What a plain body of so many rooms and this width inside is called. */
export function familyFor(rooms: number, width_mm: number): Family {
  if (rooms === 1) return 'nucleus';
  if (rooms === 2) return width_mm < NUCLEUS_MM ? 'twoWayNucleus' : 'twoWayBody';
  return rooms === 3 ? 'threeWay' : 'fourWay';
}

/** A plain family keeps its name only while it has the rooms that it is named after; one that somebody chose against them is left. */
export function rightlyNamed(before: DesignContent, after: DesignContent): DesignContent {
  const named = ROOMS[after.family];
  if (named === undefined || after.family !== before.family) return after;
  const rooms = roomsOf(after);
  if (rooms === 0 || rooms === named || roomsOf(before) !== named) return after;
  return { ...after, family: familyFor(rooms, mainBody(after).insideWidth.mm) };
}

/** Rooms with frames of the lowest body: a dummy parts none, and what a follower shuts off is none. */
const roomsOf = (design: DesignContent): number =>
  columnsOf(mainBody(design)).filter(
    ({ bays, left }, index) => placesIn(bays) > 0 && (index === 0 || left?.board.kind !== 'dummy'),
  ).length;
