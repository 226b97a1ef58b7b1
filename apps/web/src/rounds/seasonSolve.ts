import type { SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import { type Constants, seasonChanges } from '@yellow-cell/core';
import { ApiError, sendJson } from '../app/api.ts';

export const solveSeason = (question: SeasonQuestion): Promise<SeasonAnswer> =>
  sendJson<SeasonAnswer>('POST', '/compute/season', question);

export const queensOf = ({ lots }: SeasonAnswer): number => lots.reduce((sum, { queens }) => sum + queens, 0);

/** How far the best that there can be lies above it at most, in per cent. */
export const gapOf = ({ objective, bound }: SeasonAnswer): number =>
  bound > 0 ? (100 * (bound - objective)) / bound : 0;

/** What more of one thing would bring. */
export interface Brought {
  name: string;
  queens: number;
}

/** What more of each thing would bring, each solved anew and told as it is found; it ends where it is no longer wanted. */
export async function tellBrings(
  question: SeasonQuestion,
  answer: SeasonAnswer,
  tell: (brought: readonly Brought[], left: number) => void,
  isWanted: () => boolean,
  constants: Constants,
): Promise<void> {
  const changes = seasonChanges(question, constants);
  const brings: Brought[] = [];
  tell(brings, changes.length);
  for (const change of changes) {
    const more = await solveSeason(change.question);
    if (!isWanted()) return;
    brings.push({ name: change.name, queens: queensOf(more) - queensOf(answer) });
    tell([...brings], changes.length - brings.length);
  }
}

/** Why no plan came, in the words of the server where it has some. */
export const whyUnsolved = (error: unknown): string =>
  (error instanceof ApiError && error.judged && error.details?.problems?.[0]?.sentence) ||
  'The server does not answer; try again in a moment.';
