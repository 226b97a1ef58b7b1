import type { EventKind, LogEvent, Subject } from '@yellow-cell/contract';
import type { Store } from '../store/database.ts';
import { eventsAbout } from '../store/events.ts';
import { boxesWithAttemptsIn } from '../store/readTables.ts';

/** What an append touched: boxes whose story it tells, and the rounds and yards it speaks of. */
export interface Touched {
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
];

interface Story {
  events: LogEvent[];
  boxes: string[];
  designIds: string[];
}

/** All events that bear on the boxes touched, on boxes that share a story with them, on their rounds, and their yards' weather. */
export async function storyOf(store: Store, touched: Touched): Promise<Story> {
  const boxes = new Set([...touched.boxes, ...(await boxesWithAttemptsIn(store, [...touched.rounds]))]);
  const events = new Map<string, LogEvent>();
  for (let wanted = [...boxes]; wanted.length > 0; ) {
    for (const event of await eventsAbout(store, wanted)) events.set(event.id, event);
    wanted = subjectIds([...events.values()], 'box').filter((id) => !boxes.has(id));
    for (const id of wanted) boxes.add(id);
  }
  const told = [...events.values()];
  const rounds = [...touched.rounds, ...subjectIds(told, 'round')];
  const yards = [...touched.yards, ...subjectIds(told, 'yard')];
  const around = [
    ...(await eventsAbout(store, rounds, ROUND_KINDS)),
    ...(await eventsAbout(store, yards, ['weatherRecorded'])),
    ...(await eventsAbout(store, [...touched.seasons], SEASON_KINDS)),
  ];
  for (const event of around) events.set(event.id, event);
  const all = [...events.values()];
  return { events: all, boxes: [...boxes], designIds: designIdsOf(all) };
}

export function subjectIds(events: readonly LogEvent[], wanted: Subject['kind']): string[] {
  return [
    ...new Set(
      events.flatMap(({ subjects }) => subjects.filter(({ kind }) => kind === wanted).map(({ id }) => id)),
    ),
  ];
}

function designIdsOf(events: readonly LogEvent[]): string[] {
  return [...new Set(events.flatMap((event) => (event.kind === 'boxBuilt' ? [event.payload.design] : [])))];
}
