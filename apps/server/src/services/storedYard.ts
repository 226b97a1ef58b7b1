import { dayOf, WEATHER_BEARS_D } from '@yellow-cell/core';
import { findBreeder } from '../store/breeders.ts';
import type { Store } from '../store/database.ts';
import { boxIdsIn, roundsSince, toldBoxes, weatherSince } from '../store/standing.ts';
import { findYard } from '../store/yards.ts';
import type { StoredYard } from '../work/storedYard.ts';
import { NotFound } from './conflict.ts';
import type { Context } from './context.ts';
import { designsOf } from './designCache.ts';
import { dayBefore } from './standing.ts';

/** A yard, or some boxes of it, as it stands today, for work in another thread. */
export async function storedYard(
  context: Context,
  store: Store,
  yard: string,
  boxes?: readonly string[],
): Promise<StoredYard> {
  const place = await findYard(store, yard);
  if (!place) throw new NotFound('There is no such yard.');
  const rows = await toldBoxes(store, [...(boxes ?? (await boxIdsIn(store, yard)))]);
  const today = dayOf(context.clock.now(), place.zone);
  const from = dayBefore(today, WEATHER_BEARS_D);
  return {
    yard: place,
    today,
    boxes: rows.map(({ shown }) => shown),
    designs: await designsOf(store, context.breeder, [...new Set(rows.map((row) => row.told.box.design))]),
    rounds: await roundsSince(store, from),
    weather: await weatherSince(store, yard, from),
    constants: (await findBreeder(store))?.settings.constants[yard] ?? {},
  };
}
