import { dayOf, METRIC } from '@yellow-cell/core';
import type { PaperName, YardPaper } from '@yellow-cell/files/pdf';
import { findBreeder } from '../store/breeders.ts';
import { boxIdsIn, roundsSince, toldBoxes, weatherSince } from '../store/standing.ts';
import { findYard } from '../store/yards.ts';
import type { PaperTask } from '../work/paper.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { designsOf } from './designCache.ts';
import { AROUND_D, dayBefore } from './standing.ts';

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
  return context.reading(async (store) => {
    const place = await findYard(store, yard);
    if (!place) throw new NotFound('There is no such yard.');
    const ids = box === undefined ? await boxIdsIn(store, yard) : [box];
    const rows = await toldBoxes(store, ids);
    const designs = await designsOf(store, context.breeder, [
      ...new Set(rows.map((row) => row.told.box.design)),
    ]);
    const settings = (await findBreeder(store))?.settings;
    const today = dayOf(context.clock.now(), place.zone);
    const from = dayBefore(today, AROUND_D);
    return {
      what,
      paper,
      yard: place,
      today,
      boxes: rows.map(({ shown }) => shown),
      designs,
      rounds: await roundsSince(store, from),
      weather: await weatherSince(store, yard, from),
      constants: settings?.constants[yard] ?? {},
      measures: settings?.measures ?? METRIC,
      address,
    };
  });
}
