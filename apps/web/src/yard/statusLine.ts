import { showDay, statusWords } from '@yellow-cell/core';
import type { CompartmentView } from './useYard.ts';

/** Status in words, with since when. */
export function statusLine({ status, since }: Pick<CompartmentView, 'status' | 'since'>): string {
  return since ? `${statusWords[status]} since ${showDay(since)}` : statusWords[status];
}
