import type { LogEvent, Lot } from '@yellow-cell/contract';
import { type Day, plusDays } from '../calendar/days.ts';
import { effective } from '../yard/order.ts';

/**
 * Lots that are wanted, as the log tells of them: the last word on each, and how many of its queens were handed over,
 * by their days. With `known`, events go on from there.
 */
export function lotsOf(events: readonly LogEvent[], known: readonly Lot[] = []): Lot[] {
  const lots = new Map<string, Lot>(known.map((lot) => [lot.id, lot]));
  const handed = new Map(known.map(({ id, handedOver = 0 }) => [id, handedOver]));
  for (const { event } of effective(events)) {
    if (event.kind === 'lotWanted') {
      const { lot, worth, ...rest } = event.payload;
      lots.set(lot, { id: lot, ...rest, ...(worth === undefined ? {} : { worth }) });
    }
    if (event.kind === 'lotDropped') lots.delete(event.payload.lot);
    if (event.kind === 'queenTaken' && event.payload.lot !== undefined)
      handed.set(event.payload.lot, (handed.get(event.payload.lot) ?? 0) + 1);
  }
  return [...lots.values()]
    .map(({ handedOver: _, ...lot }) => {
      const handedOver = handed.get(lot.id) ?? 0;
      return handedOver > 0 ? { ...lot, handedOver } : lot;
    })
    .sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0));
}

/** Queens of a lot that are still to be handed over. */
export const stillWanted = ({ queens, handedOver = 0 }: Pick<Lot, 'queens' | 'handedOver'>): number =>
  Math.max(0, queens - handedOver);

/** So far back rounds are planned with, and a lot that was not handed over whole is wanted: what is older is the record's. */
export const SEASON_BACK_D = 150;
/** Whether queens of it are still to be handed over. */
export const isOpen = (lot: Lot, today: Day): boolean =>
  stillWanted(lot) > 0 && lot.by >= plusDays(today, -SEASON_BACK_D);
