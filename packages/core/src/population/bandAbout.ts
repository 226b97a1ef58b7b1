import type { Band } from '../winter/forecast.ts';

/** Of a hundred counts, five are further off either way. */
const NORMAL_5 = 1.645;

/** From 5 to 95 of a hundred about a figure, by its standard deviation as a share of it; never below none. */
export function bandAbout(middle: number, spread: number): Band {
  const off = spread * NORMAL_5;
  return { low: middle * Math.max(0, 1 - off), middle, high: middle * (1 + off) };
}
