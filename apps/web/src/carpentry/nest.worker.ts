import type { NestAnswer, NestQuestion } from '@yellow-cell/contract';
import { boxesPerSheet, nestRounds, type SheetGroup } from '@yellow-cell/core';
import { expose } from 'comlink';

/** One nesting, told as it gets better, and how many boxes one sheet gives; the page ends the worker to stop it. */
const nester = {
  nest(question: NestQuestion, tell: (found: NestAnswer, done: boolean) => void): void {
    let best: NestAnswer | undefined;
    for (const found of nestRounds(question)) {
      best = found;
      tell(found, false);
    }
    if (best) tell(best, true);
  },
  perSheet: (group: SheetGroup, boxes: number): number => boxesPerSheet(group, boxes, nestRounds),
};
export type NestWorker = typeof nester;
expose(nester);
