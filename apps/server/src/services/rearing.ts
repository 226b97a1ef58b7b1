import type { RearingSeason } from '@yellow-cell/contract';
import { lotsOf, plusDays } from '@yellow-cell/core';
import { lotEvents, outcomesOf, recordOn, roomsFree, roundsFrom } from '../store/rearing.ts';
import type { Context } from './context.ts';

/** Queens of rounds further back are counted in the record, and not planned with. */
const BACK_D = 150;

/** All that a season of rearing is planned with, as things stand on a day. */
export const rearingSeason = (context: Context, on: string): Promise<RearingSeason> =>
  context.reading(async (store) => {
    const rounds = await roundsFrom(store, plusDays(on, -BACK_D));
    return {
      rounds,
      lots: lotsOf(await lotEvents(store)),
      outcomes: await outcomesOf(
        store,
        rounds.map(({ id }) => id),
        on,
      ),
      ...(await recordOn(store, on)),
      rooms: await roomsFree(store),
    };
  });
