import type { PastSeason, RearingSeason } from '@yellow-cell/contract';
import { lotsOf, plusDays, SEASON_BACK_D } from '@yellow-cell/core';
import type { Store } from '../store/database.ts';
import {
  bankedQueens,
  flownBetween,
  flownByMonth,
  lotEvents,
  outcomesOf,
  recordOn,
  roomsFree,
  roomsGiven,
  roundsFrom,
} from '../store/rearing.ts';
import type { Context } from './context.ts';
import { firstYard } from './firstYard.ts';

/** Virgins of cells given so long ago have flown, or never will. */
const FLIGHTS_D = 45;

/** All that a season of rearing is planned with, as things stand on a day. */
export const rearingSeason = (context: Context, on: string): Promise<RearingSeason> =>
  context.reading(async (store) => {
    const rounds = await roundsFrom(store, plusDays(on, -SEASON_BACK_D));
    return {
      rounds,
      lots: lotsOf(await lotEvents(store)),
      outcomes: await outcomesOf(
        store,
        rounds.map(({ id }) => id),
        on,
      ),
      ...(await recordOn(store, on)),
      flown: await flownOn(store, on),
      rooms: await roomsFree(store),
      banked: await bankedQueens(store),
    };
  });

/** A season that is over, both days included: what was wanted and done, the weather that it had, and how many rooms were given cells. */
export const pastSeason = (context: Context, from: string, to: string): Promise<PastSeason> =>
  context.reading(async (store) => {
    const rounds = (await roundsFrom(store, from)).filter(({ graftedOn }) => graftedOn <= to);
    const { yard, constants } = await firstYard(store);
    return {
      rounds: rounds.filter(({ planned }) => !planned),
      lots: lotsOf(await lotEvents(store)).filter(({ by }) => by >= from && by <= to),
      outcomes: await outcomesOf(
        store,
        rounds.map(({ id }) => id),
        to,
      ),
      flown: {
        months: yard ? await flownByMonth(store, yard.id, constants.flyingDay_h, plusDays(to, 1)) : [],
        days: yard ? await flownBetween(store, yard.id, constants.flyingDay_h, from, to) : [],
      },
      rooms: await roomsGiven(store, from, to),
    };
  });

async function flownOn(store: Store, on: string): Promise<RearingSeason['flown']> {
  const { yard, constants } = await firstYard(store);
  if (!yard) return { months: [], days: [] };
  return {
    months: await flownByMonth(store, yard.id, constants.flyingDay_h, on),
    days: await flownBetween(
      store,
      yard.id,
      constants.flyingDay_h,
      plusDays(on, -FLIGHTS_D),
      plusDays(on, -1),
    ),
  };
}
