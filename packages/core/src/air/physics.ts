/** What nature fixes; all else of the air and warmth models stands in the registry of constants. SI units. */
export const GRAVITY = 9.81;
export const ZERO_C_IN_K = 273.15;
