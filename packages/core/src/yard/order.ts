import type { LogEvent } from '@yellow-cell/contract';

/** By when it happened, then device, its own count, and id: the same events give the same order however they arrive. */
export function byOccurrence(a: LogEvent, b: LogEvent): number {
  return (
    Date.parse(a.occurredAt) - Date.parse(b.occurredAt) ||
    compare(a.device, b.device) ||
    a.deviceSeq - b.deviceSeq ||
    compare(a.id, b.id)
  );
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * Events with corrections applied: an entry that a standing entry corrects drops out, and `withdrawn` itself
 * tells no story. A correction that is itself corrected no longer stands, so an undo can be undone.
 */
export function effective(events: readonly LogEvent[]): LogEvent[] {
  const correctors = new Map<string, LogEvent[]>();
  for (const event of events) {
    if (event.corrects) correctors.set(event.corrects, [...(correctors.get(event.corrects) ?? []), event]);
  }
  const stands = standingBy(correctors);
  return events.filter((event) => event.kind !== 'withdrawn' && stands(event)).sort(byOccurrence);
}

function standingBy(correctors: ReadonlyMap<string, readonly LogEvent[]>): (event: LogEvent) => boolean {
  const known = new Map<string, boolean>();
  const stands = (event: LogEvent): boolean => {
    const found = known.get(event.id);
    if (found !== undefined) return found;
    known.set(event.id, true); // a ring of corrections (only a hand-made log has one) ends here
    const result = !(correctors.get(event.id) ?? []).some(stands);
    known.set(event.id, result);
    return result;
  };
  return stands;
}
