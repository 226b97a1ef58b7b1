import type { QueenColour } from '@yellow-cell/contract';

/** By the last digit of the birth year, as agreed internationally (handbook 1): 5 or 0 first, then 1 or 6, and on. */
const COLOURS = ['blue', 'white', 'yellow', 'red', 'green'] as const satisfies readonly QueenColour[];

export const yearColour = (year: number): QueenColour => COLOURS[year % COLOURS.length] ?? 'other';
