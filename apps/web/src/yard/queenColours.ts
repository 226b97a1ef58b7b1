import type { QueenColour } from '@yellow-cell/contract';

/** The five of the years, and any other. */
export const queenColours: readonly QueenColour[] = ['white', 'yellow', 'red', 'green', 'blue', 'other'];
