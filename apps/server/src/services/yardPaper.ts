import { boxViews, constantsWith, dayOf, type Known, stateOfStanding } from '@yellow-cell/core';
import type { PaperName, YardPaper } from '@yellow-cell/files/pdf';
import { findBreeder } from '../store/breeders.ts';
import { boxIdsIn, roundsSince, toldBoxes, weatherSince } from '../store/standing.ts';
import { findYard, yardIds } from '../store/yards.ts';
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

/** A yard on paper, as it stands today. */
export async function yardPaper(context: Context, yard: string, wanted: Wanted): Promise<Uint8Array> {
  const { what, paper, box, address } = wanted;
  const told = await context.reading(async (store): Promise<YardPaper> => {
    const place = await findYard(store, yard);
    if (!place) throw new NotFound('There is no such yard.');
    const ids = box === undefined ? await boxIdsIn(store, yard) : [box];
    const rows = await toldBoxes(store, ids);
    const designs = await designsOf(store, context.breeder, [
      ...new Set(rows.map((row) => row.told.box.design)),
    ]);
    const known: Known = {
      designs: new Map(designs.map((design) => [design.id, design])),
      yards: await yardIds(store),
    };
    const today = dayOf(context.clock.now(), place.zone);
    const from = dayBefore(today, AROUND_D);
    const state = stateOfStanding(
      rows.map(({ shown }) => shown),
      await roundsSince(store, from),
      yard,
      await weatherSince(store, yard, from),
    );
    const constants = constantsWith((await findBreeder(store))?.settings.constants[yard]);
    const on = { on: today, today };
    return {
      what,
      paper,
      yard: place,
      on: today,
      boxes: boxViews(state, known, yard, constants, on),
      address,
    };
  });
  const { yardPaperPdf } = await import('@yellow-cell/files/pdf');
  return yardPaperPdf(told);
}
