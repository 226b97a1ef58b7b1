/** Where something stands on the yard's plan, in metres east and north of its south-west corner. */
export interface Spot {
  east_m: number;
  north_m: number;
}

const far = (a: Spot, b: Spot): number => Math.hypot(a.east_m - b.east_m, a.north_m - b.north_m);

/**
 * An order in which to walk past all: always on to the nearest, from where one comes in (the south-west corner), then
 * with every crossing of ways undone as long as that shortens the walk. What stands nowhere comes last.
 */
export function walkingOrder<T>(
  list: readonly T[],
  spotOf: (each: T) => Spot | undefined,
  from: Spot = { east_m: 0, north_m: 0 },
): T[] {
  const left = list.flatMap((each) => {
    const spot = spotOf(each);
    return spot ? [{ each, spot }] : [];
  });
  const walk: typeof left = [];
  let here = from;
  while (left.length > 0) {
    const next = left.reduce(
      (best, stop, at) => (far(stop.spot, here) < far((left[best] as typeof stop).spot, here) ? at : best),
      0,
    );
    const [stop] = left.splice(next, 1);
    if (!stop) break;
    walk.push(stop);
    here = stop.spot;
  }
  uncross(walk, from);
  return [...walk.map(({ each }) => each), ...list.filter((each) => !spotOf(each))];
}

const MOST_ROUNDS = 30;
function uncross(walk: { spot: Spot }[], from: Spot): void {
  const spot = (at: number): Spot | undefined => (at < 0 ? from : walk[at]?.spot);
  const way = (a: Spot | undefined, b: Spot | undefined): number => (a && b ? far(a, b) : 0);
  for (let round = 0, shorter = true; shorter && round < MOST_ROUNDS; round++) {
    shorter = false;
    for (let first = 0; first < walk.length - 1; first++)
      for (let last = first + 1; last < walk.length; last++) {
        const now = way(spot(first - 1), spot(first)) + way(spot(last), spot(last + 1));
        const then = way(spot(first - 1), spot(last)) + way(spot(first), spot(last + 1));
        if (then < now - 1e-9) {
          walk.splice(first, last - first + 1, ...walk.slice(first, last + 1).reverse());
          shorter = true;
        }
      }
  }
}
