import type { YardLog } from '@yellow-cell/contract';
import {
  asEvent,
  asOneYard,
  chronicle,
  type Day,
  foldLog,
  foldOn,
  type Known,
  type YardState,
} from '@yellow-cell/core';
import type { Parcel } from '../app/shelf.ts';

/** Stories that were told, up to which day; a page that has come is told once, however many come after it. */
const pages = new WeakMap<YardLog, { on: Day; state: YardState }>();

/** The yard of a day that is past, from the stories of its boxes, each log with the designs that it speaks of. */
export const tellPast = (yards: Known['yards'], logs: readonly YardLog[], on: Day): YardState =>
  asOneYard(
    logs.map((log) => {
      const before = pages.get(log);
      if (before?.on === on) return before.state;
      const designs = new Map(log.designs.map((design) => [design.id, design]));
      const state = foldLog({ designs, yards }, [log], on);
      pages.set(log, { on, state });
      return state;
    }),
  );

/** The yard with what this device has not sent yet. */
export function tellUnsent(
  before: YardState,
  known: Known,
  parcels: readonly Parcel[],
  told: ReadonlySet<string>,
  on: Day,
): YardState {
  // What the server has told already is not told twice while the parcel is still here.
  const unsent = parcels.filter(({ entries }) => !entries.some(({ id }) => told.has(id)));
  const events = unsent.flatMap(({ entries }) => entries.map(asEvent));
  return foldOn(before, known, chronicle(events), on);
}
