import type { LogEvent } from '@yellow-cell/contract';
import { clockProblem } from './entryProblem.ts';

/** An event with its instant as a number, so that sorting need not read it again and again. */
interface TimedEvent {
  event: LogEvent;
  /** Milliseconds since 1970. */
  at: number;
}

/** By when it happened, then device, its own count, and id: the same events give the same order however they arrive. */
function byOccurrence(a: TimedEvent, b: TimedEvent): number {
  return (
    a.at - b.at ||
    compare(a.event.device, b.event.device) ||
    a.event.deviceSeq - b.event.deviceSeq ||
    compare(a.event.id, b.event.id)
  );
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * Events in the order they happened, corrections applied: an entry that a standing entry corrects drops out,
 * and `withdrawn` itself tells no story. A correction that is taken back no longer counts, so an undo can be
 * undone; one that is corrected again still keeps out what it replaced. A correction by a device whose clock ran wild corrects nothing until a person has settled it.
 */
export function effective(events: readonly LogEvent[]): TimedEvent[] {
  const stands = standingAmong(events);
  return events
    .filter(stands)
    .map((event) => ({ event, at: Date.parse(event.occurredAt) }))
    .sort(byOccurrence);
}

/** Whether an event tells its story, by all that correct something: those may be given alone. */
export function standingAmong(events: readonly LogEvent[]): (event: LogEvent) => boolean {
  const correctors = new Map<string, LogEvent[]>();
  for (const event of events) {
    if (event.corrects && !clockProblem(event))
      correctors.set(event.corrects, [...(correctors.get(event.corrects) ?? []), event]);
  }
  const stands = standingBy(correctors);
  return (event) => (event.kind !== 'withdrawn' || clockProblem(event) !== undefined) && stands(event);
}

function standingBy(correctors: ReadonlyMap<string, readonly LogEvent[]>): (event: LogEvent) => boolean {
  const of = (event: LogEvent): readonly LogEvent[] => correctors.get(event.id) ?? [];
  const stands = knownOnce((event) => !of(event).some(counts));
  /** Whether what it corrects is out: it stands, or what was put in its place does. */
  const counts = knownOnce(
    (correction) =>
      stands(correction) || of(correction).some((next) => next.kind !== 'withdrawn' && counts(next)),
  );
  // Hardly any is ever corrected.
  return (event) => !correctors.has(event.id) || stands(event);
}

/** An answer found once for each event; a ring of corrections, which only a hand-made log has, ends at where it began. */
function knownOnce(answer: (event: LogEvent) => boolean): (event: LogEvent) => boolean {
  const known = new Map<string, boolean>();
  return (event) => {
    const found = known.get(event.id);
    if (found !== undefined) return found;
    known.set(event.id, true);
    const result = answer(event);
    known.set(event.id, result);
    return result;
  };
}
