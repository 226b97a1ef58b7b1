import { useQuery } from '@tanstack/react-query';
import type { LogEvent } from '@yellow-cell/contract';
import { asEvent, chronicle, dayOf } from '@yellow-cell/core';
import { useMemo } from 'react';
import { useAsOf } from '../app/now.ts';
import { useOutbox } from '../app/outbox.ts';
import { boxLogQuery } from '../app/queries.ts';

/** An entry of the record: what stands, and what a later entry took back. */
export interface Told {
  event: LogEvent;
  stands: boolean;
}

/** All that is recorded of a box up to the day shown, newest first, corrected entries among it; without a network what was last seen of it. */
export function useStory(
  box: string,
  recent: readonly LogEvent[],
): { told: readonly Told[]; whole: boolean } {
  const { data } = useQuery(boxLogQuery(box));
  const parcels = useOutbox();
  const { on } = useAsOf();
  return useMemo(() => {
    const events = new Map((data?.events ?? recent).map((event) => [event.id, event]));
    for (const entry of parcels.flatMap(({ entries }) => entries))
      if (!events.has(entry.id)) events.set(entry.id, asEvent(entry));
    const about = [...events.values()].filter(({ subjects }) => subjects.some(({ id }) => id === box));
    const standing = new Set(chronicle([...events.values()]).map(({ event }) => event.id));
    const told = about
      .filter(({ kind, occurredAt, zone }) => kind !== 'withdrawn' && dayOf(occurredAt, zone) <= on)
      .sort((a, b) => Date.parse(b.occurredAt) - Date.parse(a.occurredAt) || b.deviceSeq - a.deviceSeq)
      .map((event) => ({ event, stands: standing.has(event.id) }));
    return { told, whole: data !== undefined };
  }, [data, recent, parcels, box, on]);
}
