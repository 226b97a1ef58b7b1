import type { YardPaper } from '@yellow-cell/files/pdf';
import { type StoredYard, viewsOf } from './storedYard.ts';

/** A yard as it is stored, with what is needed to put it on paper. */
export type PaperTask = StoredYard & Pick<YardPaper, 'what' | 'paper' | 'address' | 'measures'>;

export async function paperOf(task: PaperTask): Promise<Uint8Array> {
  const { what, paper, address, measures, yard, today } = task;
  const { yardPaperPdf } = await import('@yellow-cell/files/pdf');
  return yardPaperPdf({ what, paper, yard, on: today, boxes: viewsOf(task), address, measures });
}
