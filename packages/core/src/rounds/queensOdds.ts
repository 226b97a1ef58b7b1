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
  const found: QueensOdds[] = [];
  let queens = Math.min(grafts, rooms);
  for (const share of [...SHARES].reverse()) {
    while (queens > 0 && atLeast(queens) < share) queens--;
    if (queens > 0 && found.at(-1)?.queens !== queens) found.push({ queens, chance: atLeast(queens) });
  }
  return found.reverse();
}
