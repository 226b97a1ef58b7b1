import type { NestAnswer, NestQuestion } from '@yellow-cell/contract';
import { nestRounds } from '@yellow-cell/core';
import { expose } from 'comlink';

/** One nesting, told as it gets better; the page ends the worker to stop it. */
const nester = {
  nest(question: NestQuestion, tell: (found: NestAnswer, done: boolean) => void): void {
    let best: NestAnswer | undefined;
    for (const found of nestRounds(question)) {
      best = found;
      tell(found, false);
    }
    if (best) tell(best, true);
  },
};
export type NestWorker = typeof nester;
expose(nester);
