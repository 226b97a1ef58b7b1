import type { Entry, LogEvent } from '@yellow-cell/contract';
import { subjectsOf } from '@yellow-cell/contract/subjects';
import type { Known } from '@yellow-cell/core';
import type { Demo } from './demo.ts';

/** An entry of the demo as a server would have recorded it, at once. */
export const asEvent = (entry: Entry): LogEvent =>
  ({ ...entry, breeder: '', recordedAt: entry.occurredAt, subjects: subjectsOf(entry) }) as LogEvent;

/** The demo as it is folded: what is known beside its events, and these. */
export const recorded = ({ designs, yards, entries }: Demo): { known: Known; events: LogEvent[] } => ({
  known: {
    designs: new Map(
      designs.map(({ id, name, version }) => [
        id,
        { id, name, versions: [{ ...version, number: 1, savedAt: '', savedBy: '' }] },
      ]),
    ),
    yards: new Set(yards.map(({ id }) => id)),
  },
  events: entries.map(asEvent),
});
