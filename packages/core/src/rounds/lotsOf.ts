import type { LogEvent, Lot } from '@yellow-cell/contract';
import { effective } from '../yard/order.ts';

/** Lots that are wanted, as the log tells of them: the last word on each, by their days. */
export function lotsOf(events: readonly LogEvent[]): Lot[] {
  const lots = new Map<string, Lot>();
  for (const { event } of effective(events)) {
    if (event.kind === 'lotWanted') {
      const { lot, worth, ...rest } = event.payload;
      lots.set(lot, { id: lot, ...rest, ...(worth === undefined ? {} : { worth }) });
    }
    if (event.kind === 'lotDropped') lots.delete(event.payload.lot);
  }
  return [...lots.values()].sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0));
}
