import type { EventKind, LogEvent, Subject } from '@yellow-cell/contract';

/** What an append touched: boxes whose story it tells, and the rounds and yards it speaks of. */
export interface Touched {
  /** Entries that were not told yet. */
  fresh: ReadonlySet<string>;
  boxes: ReadonlySet<string>;
  rounds: ReadonlySet<string>;
  /** Yards whose weather was recorded. */
  yards: ReadonlySet<string>;
  /** The days of which it was, or was corrected; left out, all of them count as new. */
  weatherDays?: readonly string[];
  /** Yards of whose blooms and trials something was told. */
  seasons: ReadonlySet<string>;
}

/** Kinds that tell of a yard's season, and change no box. */
export const SEASON_KINDS: readonly EventKind[] = ['bloomSeen', 'trialBegun', 'trialEnded'];

/** Kinds that tell of a round, and of no box. */
export const ROUND_KINDS: readonly EventKind[] = [
  'roundPlanned',
  'roundDropped',
  'grafted',
  'cellsAccepted',
  'cellsMoved',
  'combToDonor',
  'incubatorRead',
];

export function subjectIds(events: readonly LogEvent[], wanted: Subject['kind']): string[] {
  return [
    ...new Set(
      events.flatMap(({ subjects }) => subjects.filter(({ kind }) => kind === wanted).map(({ id }) => id)),
    ),
  ];
}

export function designIdsOf(events: readonly LogEvent[]): string[] {
  return [...new Set(events.flatMap((event) => (event.kind === 'boxBuilt' ? [event.payload.design] : [])))];
}
