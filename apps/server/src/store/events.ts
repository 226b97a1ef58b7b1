import type { Entry, EventKind, LogEvent, Subject } from '@yellow-cell/contract';
import { kindVersionOf, subjectFields, subjectsOf } from '@yellow-cell/contract/subjects';
import { raised } from '@yellow-cell/core';
import { sql } from 'kysely';
import { ahead } from './ahead.ts';
import type { Store } from './database.ts';
import type { EventRow } from './tables.ts';

/** Entries and what they are about, in one statement. */
export async function appendEvents(store: Store, events: readonly LogEvent[]): Promise<void> {
  if (events.length === 0) return;
  const subjects = events.flatMap(({ id, breeder, subjects: about }) =>
    about.map(({ kind, id: subject_id }) => ({ breeder_id: breeder, subject_id, event_id: id, kind })),
  );
  await sql`with entries as (insert into event select * from json_populate_recordset(null::event, ${JSON.stringify(events.map(rowOf))}))
    insert into event_subject select * from json_populate_recordset(null::event_subject, ${JSON.stringify(subjects)})`.execute(
    store,
  );
}

export const findEvents = async (store: Store, ids: readonly string[]): Promise<LogEvent[]> =>
  ids.length === 0 ? [] : withSubjects(store, await plain(store).where('id', 'in', ids).execute());

/** Every event about any of these subjects; with `kinds`, only those of these kinds and what withdraws them. */
export async function eventsAbout(
  store: Store,
  subjects: readonly string[],
  kinds?: readonly EventKind[],
): Promise<LogEvent[]> {
  if (subjects.length === 0) return [];
  const rows = await plain(store)
    .where('id', 'in', (eb) =>
      eb.selectFrom('event_subject').select('event_id').where('subject_id', 'in', subjects),
    )
    .$if(kinds !== undefined, (query) => query.where('kind', 'in', [...(kinds ?? []), 'withdrawn']))
    .execute();
  return withSubjects(store, rows);
}

/** Every event about these boxes, or that was told with one of them. */
export async function eventsOfBoxes(store: Store, boxes: readonly string[]): Promise<LogEvent[]> {
  if (boxes.length === 0) return [];
  const rows = await plain(store)
    .where('id', 'in', (eb) =>
      eb
        .selectFrom('event_subject')
        .select('event_id')
        .where('subject_id', 'in', boxes)
        .union(eb.selectFrom('box_beside').select('event_id').where('box_id', 'in', boxes)),
    )
    .execute();
  return withSubjects(store, rows);
}

/** How many events are about each of these. */
export async function countEvents(store: Store, subjects: readonly string[]): Promise<Map<string, number>> {
  if (subjects.length === 0) return new Map();
  const rows = await store
    .selectFrom('event_subject')
    .select(['subject_id', (eb) => eb.fn.countAll<string>().as('count')])
    .where('subject_id', 'in', subjects)
    .groupBy('subject_id')
    .execute();
  return new Map(rows.map(({ subject_id, count }) => [subject_id, Number(count)]));
}

/** Ids of everything of a kind that the log speaks of. */
export async function subjectsOfKind(store: Store, kind: Subject['kind']): Promise<string[]> {
  const rows = await store
    .selectFrom('event_subject')
    .select('subject_id')
    .distinct()
    .where('kind', '=', kind)
    .execute();
  return rows.map(({ subject_id }) => subject_id);
}

/** All entries that correct others. */
export const correctingEvents = async (store: Store): Promise<LogEvent[]> =>
  withSubjects(store, await plain(store).where('corrects', 'is not', null).execute());

/** The whole log in its order, page by page: by when it happened, then device, its own count, and id, as the fold has it. */
export async function* eventPages(store: Store, atOnce: number): AsyncGenerator<LogEvent[]> {
  await sql`declare log_pages no scroll cursor for
    select * from event order by occurred_at, device collate "C", device_seq, id`.execute(store);
  const page = async () => {
    const { rows } = await sql<EventRow>`fetch ${sql.raw(String(atOnce))} from log_pages`.execute(store);
    return withSubjects(store, rows);
  };
  for (let next = ahead(page()); ; ) {
    const events = await next;
    if (events.length === 0) break;
    // Read while this page is told.
    next = ahead(page());
    yield events;
  }
  await sql`close log_pages`.execute(store);
}

const plain = (store: Store) => store.selectFrom('event').selectAll();

/**
 * Stored rows as today's program writes them, each with what it is about: an entry says so itself, but one of another
 * version, and a correction, which is also about what it corrects.
 */
async function withSubjects(store: Store, rows: readonly EventRow[]): Promise<LogEvent[]> {
  const silent = rows.filter((row) => !saysItsSubjects(row)).map(({ id }) => id);
  const about =
    silent.length === 0
      ? []
      : await store
          .selectFrom('event_subject')
          .select(['event_id', 'kind', 'subject_id as id'])
          .where('event_id', 'in', silent)
          .$castTo<Subject & { event_id: string }>()
          .execute();
  const stored = new Map<string, Subject[]>(silent.map((id) => [id, []]));
  for (const { event_id, kind, id } of about) stored.get(event_id)?.push({ kind, id });
  return rows.map((row) => eventOf(row, stored.get(row.id) ?? subjectsOf(row as unknown as Entry)));
}

const saysItsSubjects = ({ kind, kind_version, corrects }: EventRow): boolean =>
  corrects === null && kind in subjectFields && kindVersionOf(kind) === kind_version;

function rowOf(event: LogEvent) {
  return {
    breeder_id: event.breeder,
    id: event.id,
    kind: event.kind,
    kind_version: event.kindVersion,
    occurred_at: event.occurredAt,
    zone: event.zone,
    recorded_at: event.recordedAt,
    person: event.person,
    device: event.device,
    device_seq: event.deviceSeq,
    corrects: event.corrects ?? null,
    note: event.note ?? null,
    payload: event.payload,
  };
}

/** A stored row read back as today's program writes it; what it does not know, as it was stored. */
function eventOf(row: EventRow, subjects: readonly Subject[]): LogEvent {
  return raised({
    id: row.id,
    breeder: row.breeder_id,
    kind: row.kind,
    kindVersion: row.kind_version,
    occurredAt: row.occurred_at,
    zone: row.zone,
    recordedAt: row.recorded_at,
    person: row.person,
    device: row.device,
    deviceSeq: row.device_seq,
    payload: row.payload,
    subjects,
    ...(row.corrects === null ? {} : { corrects: row.corrects }),
    ...(row.note === null ? {} : { note: row.note }),
  } as LogEvent);
}

/** True where a repeated entry says the same as the one stored under its id. */
export function saysTheSame(entry: Entry, stored: Entry): boolean {
  return (
    entry.kind === stored.kind &&
    entry.corrects === stored.corrects &&
    (entry.note ?? '') === (stored.note ?? '') &&
    Date.parse(entry.occurredAt) === Date.parse(stored.occurredAt) &&
    canonical(entry.payload) === canonical(stored.payload)
  );
}

/** JSON with its keys in order at every level, so that equal values give equal text. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_, inner) =>
    inner && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  );
}
