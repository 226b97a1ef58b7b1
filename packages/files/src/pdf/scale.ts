/** Scales that a workshop drawing is made at. */
const SCALES = [1, 2, 2.5, 5, 7.5, 10, 15, 20, 25, 50, 100];

/** The largest scale 1 : n at which something fits a frame; sizes in mm. */
export function scaleFor(size: readonly [number, number], frame: readonly [number, number]): number {
  const needed = Math.max(size[0] / frame[0], size[1] / frame[1]);
  return SCALES.find((scale) => scale >= needed - 1e-9) ?? Math.ceil(needed);
}
