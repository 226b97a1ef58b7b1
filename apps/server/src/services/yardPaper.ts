import { METRIC } from '@yellow-cell/core';
import type { PaperName, YardPaper } from '@yellow-cell/files/pdf';
import { findBreeder } from '../store/breeders.ts';
import type { PaperTask } from '../work/paper.ts';
import type { Context } from './context.ts';
import { storedYard } from './storedYard.ts';

interface Wanted {
  what: YardPaper['what'];
  paper: PaperName;
  /** Of one box alone. */
  box?: string | undefined;
  address: string;
}

/** What is put on the paper of a yard, as it stands today. */
export function yardPaper(context: Context, yard: string, wanted: Wanted): Promise<PaperTask> {
  const { what, paper, box, address } = wanted;
  return context.reading(async (store) => ({
    ...(await storedYard(context, store, yard, box === undefined ? undefined : [box])),
    what,
    paper,
    measures: (await findBreeder(store))?.settings.measures ?? METRIC,
    address,
  }));
}
