import type { Compartment } from '../box/model.ts';

/** A rectangle on paper or screen, y downwards. */
interface Area {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Rooms one above another lie on the same spot seen from above: each has its share of it, the lowest nearest the front. */
export function roomShare<A extends Area>(
  area: A,
  rooms: readonly Pick<Compartment, 'x'>[],
  index: number,
): A {
  const [from, to] = rooms[index]?.x ?? [0, 0];
  const stacked = rooms.flatMap(({ x }, other) => (x[0] < to && from < x[1] ? [other] : []));
  const height = area.height / stacked.length;
  return { ...area, y: area.y + area.height - (stacked.indexOf(index) + 1) * height, height };
}
