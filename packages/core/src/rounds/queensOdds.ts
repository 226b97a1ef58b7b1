import type { RearingSeason } from '@yellow-cell/contract';
import { atLeastBetaBinomial } from '../mating/atLeast.ts';

/** At least so many queens come of a round with this chance. */
export interface QueensOdds {
  queens: number;
  chance: number;
}

/** Chances of which one thinks, the surest first. */
const SHARES = [0.95, 0.9, 0.8, 0.5, 0.2] as const;

/**
 * How many queens so many grafts give at least, for each of these chances, in so many rooms: the cells that come of
 * them, and the queens that come of these, each by its record and what that does not know.
 */
export function queensOdds(
  grafts: number,
  { record, accepted }: Pick<RearingSeason, 'record' | 'accepted'>,
  rooms = grafts,
): QueensOdds[] {
  const cells = (least: number) =>
    atLeastBetaBinomial(least, grafts, 1 + accepted.cells, 1 + accepted.grafts - accepted.cells);
  const chanceOf = Array.from({ length: grafts + 1 }, (_, count) => cells(count) - cells(count + 1));
  const atLeast = (queens: number): number =>
    chanceOf.reduce(
      (sum, chance, count) =>
        sum +
        chance *
          atLeastBetaBinomial(
            queens,
            Math.min(count, rooms),
            1 + record.takes,
            1 + record.tried - record.takes,
          ),
      0,
    );
  const most = Math.min(grafts, rooms);
  const found = SHARES.map((share) => {
    // The chance falls as more are wanted.
    let [sure, unsure] = [0, most + 1];
    while (unsure - sure > 1) {
      const queens = Math.floor((sure + unsure) / 2);
      if (atLeast(queens) >= share) sure = queens;
      else unsure = queens;
    }
    return sure;
  });
  return [...new Set(found)]
    .filter((queens) => queens > 0)
    .map((queens) => ({ queens, chance: atLeast(queens) }));
}
