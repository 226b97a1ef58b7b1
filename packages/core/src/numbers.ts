/** The one tolerance for comparing computed figures with limits (doubles, never rounded before shown). */
export const TOLERANCE = 1e-9;

export const below = (value: number, limit: number): boolean => value < limit - TOLERANCE;
export const above = (value: number, limit: number): boolean => value > limit + TOLERANCE;
