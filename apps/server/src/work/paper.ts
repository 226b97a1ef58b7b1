import type { BoxStanding, Design, Round, WeatherDay, YardFields } from '@yellow-cell/contract';
import { boxViews, constantsWith, type Day, stateOfStanding } from '@yellow-cell/core';
import type { YardPaper } from '@yellow-cell/files/pdf';

/** A yard as it is stored, with what is needed to put it on paper. */
export interface PaperTask extends Pick<YardPaper, 'what' | 'paper' | 'address' | 'measures'> {
  yard: YardFields & { id: string };
  today: Day;
  boxes: readonly BoxStanding[];
  designs: readonly Design[];
  rounds: readonly Round[];
  weather: readonly WeatherDay[];
  /** Figures of the yard other than their defaults. */
  constants: Readonly<Record<string, number>>;
}

export async function paperOf(task: PaperTask): Promise<Uint8Array> {
  const { what, paper, address, measures, yard, today, boxes, designs, rounds, weather } = task;
  const state = stateOfStanding(boxes, rounds, yard.id, weather);
  const known = {
    designs: new Map(designs.map((design) => [design.id, design])),
    yards: new Set([yard.id]),
  };
  const views = boxViews(state, known, yard.id, constantsWith(task.constants), { on: today, today });
  const { yardPaperPdf } = await import('@yellow-cell/files/pdf');
  return yardPaperPdf({ what, paper, yard, on: today, boxes: views, address, measures });
}
