/** Where something is written, from left to right in pixels. */
export interface Written {
  from: number;
  to: number;
}

/** For each in turn the first lane, from 0, in which it is written over nothing. */
export function lanesOf(all: readonly Written[]): number[] {
  const lanes: Written[][] = [];
  return all.map((each) => {
    const free = lanes.findIndex((lane) => lane.every(({ from, to }) => each.to <= from || each.from >= to));
    const at = free < 0 ? lanes.length : free;
    lanes[at] = [...(lanes[at] ?? []), each];
    return at;
  });
}
