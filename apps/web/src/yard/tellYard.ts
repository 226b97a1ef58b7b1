import type { YardLog } from '@yellow-cell/contract';
import { asEvent, chronicle, type Day, foldLog, foldOn, type Known, type YardState } from '@yellow-cell/core';
import type { Parcel } from '../app/shelf.ts';

/** The yard of a day that is past, from the stories of its boxes. */
export const tellPast = (known: Known, logs: readonly YardLog[], on: Day): YardState =>
  foldLog(known, logs, on);

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
