import type { CellsAnswer, CellsQuestion, Problem } from '@yellow-cell/contract';
import { below } from '../numbers.ts';
import { refuse } from '../problems.ts';
import { atLeastBetaBinomial, atLeastBinomial } from './atLeast.ts';

/** More cells than this are no answer that a breeder can use. */
const MOST_CELLS = 1_000_000;
const FLAT_PRIOR = [1, 1] as const;

/**
 * How many ripe cells for so many queens (handbook 5): the least n whose chance of at least that many takes
 * reaches the confidence, with the take rate fixed or known from a record. Throws `ProblemsError`.
 */
export function cells(question: CellsQuestion): CellsAnswer {
  refuse(cellsProblems(question));
  const { queens, confidence } = question;
  const chance = chanceOf(question);
  const enough = (count: number) => !below(chance(count), confidence);
  let high = queens;
  while (!enough(high)) high = Math.min(MOST_CELLS, high * 2);
  let low = queens - 1;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return { cells: high, probability: chance(high) };
}

/** What makes the question unanswerable beyond the range of single fields. */
export function cellsProblems(question: CellsQuestion): Problem[] {
  const problems = cellsRecordProblems(question);
  return problems.length > 0 ? problems : cellsOutOfReach(question);
}

type RateOrRecord = Pick<CellsQuestion, 'rate' | 'takes' | 'tried' | 'prior'>;
/** A rate or a record of takes, and which of them. */
export function cellsRecordProblems(question: RateOrRecord): Problem[] {
  const { rate, takes, tried, prior } = question;
  const record = takes !== undefined || tried !== undefined || prior !== undefined;
  if (rate !== undefined && record)
    return [{ path: 'rate', value: rate, sentence: 'Give a rate or a record of takes, not both.' }];
  if (rate === undefined) {
    const missing = (['takes', 'tried'] as const).filter((field) => question[field] === undefined);
    if (missing.length === 2)
      return [{ path: 'rate', sentence: 'Give a take rate, or takes and tried from a record.' }];
    if (missing[0]) return [{ path: missing[0], sentence: 'A record wants both takes and tried.' }];
    if (takes !== undefined && tried !== undefined && takes > tried) {
      return [
        {
          path: 'takes',
          value: takes,
          sentence: `There cannot be more takes (${takes}) than attempts (${tried}).`,
        },
      ];
    }
  }
  return [];
}

/** Where no number of cells that a breeder can graft is enough. */
export function cellsOutOfReach(question: CellsQuestion): Problem[] {
  if (cellsRecordProblems(question).length > 0) return [];
  if (!below(chanceOf(question)(MOST_CELLS), question.confidence)) return [];
  return [
    {
      path: 'confidence',
      value: question.confidence,
      sentence: `Even ${MOST_CELLS.toLocaleString('en')} cells would not give ${question.queens} queens with that confidence.`,
    },
  ];
}

function chanceOf({
  queens,
  rate,
  takes = 0,
  tried = 0,
  prior = [...FLAT_PRIOR],
}: CellsQuestion): (count: number) => number {
  if (rate !== undefined) return (count) => atLeastBinomial(queens, count, rate);
  return (count) => atLeastBetaBinomial(queens, count, prior[0] + takes, prior[1] + tried - takes);
}
