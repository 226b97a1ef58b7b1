/** The one tolerance for comparing computed figures with limits (doubles, never rounded before shown). */
export const TOLERANCE = 1e-9;

/** How far a value has come from one end to another: 0 up to the first, 1 from the second on. */
export const shareBetween = (value: number, from: number, to: number): number =>
  Math.min(1, Math.max(0, (value - from) / (to - from)));

export const below = (value: number, limit: number): boolean => value < limit - TOLERANCE;
export const above = (value: number, limit: number): boolean => value > limit + TOLERANCE;
