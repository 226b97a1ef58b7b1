import type { Entry, EventKind, LogEvent, Subject } from '@yellow-cell/contract';
import { raised } from '@yellow-cell/core';
import { sql } from 'kysely';
import type { Store } from './database.ts';
import type { EventRow } from './tables.ts';

type RowWithSubjects = EventRow & { subjects: Subject[] };

/** One writer at a time for each breeder: what a fold read must not change before its rows are written. */
export async function lockLog(store: Store): Promise<void> {
  await sql`select pg_advisory_xact_lock(hashtextextended(current_setting('app.breeder'), 0))`.execute(store);
}

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

export async function findEvents(store: Store, ids: readonly string[]): Promise<LogEvent[]> {
  if (ids.length === 0) return [];
  return (await withSubjects(store).where('event.id', 'in', ids).execute()).map(eventOf);
}

/** Every event about any of these subjects; with `kinds`, only those of these kinds and what withdraws them. */
export async function eventsAbout(
  store: Store,
  subjects: readonly string[],
  kinds?: readonly EventKind[],
): Promise<LogEvent[]> {
  if (subjects.length === 0) return [];
  const rows = await withSubjects(store)
    .where('event.id', 'in', (eb) =>
      eb.selectFrom('event_subject').select('event_id').where('subject_id', 'in', subjects),
    )
    .$if(kinds !== undefined, (query) => query.where('event.kind', 'in', [...(kinds ?? []), 'withdrawn']))
    .execute();
  return rows.map(eventOf);
}

/** Every event about these boxes, or that was told with one of them. */
export async function eventsOfBoxes(store: Store, boxes: readonly string[]): Promise<LogEvent[]> {
  if (boxes.length === 0) return [];
  const rows = await withSubjects(store)
    .where('event.id', 'in', (eb) =>
      eb
        .selectFrom('event_subject')
        .select('event_id')
        .where('subject_id', 'in', boxes)
        .union(eb.selectFrom('box_beside').select('event_id').where('box_id', 'in', boxes)),
    )
    .execute();
  return rows.map(eventOf);
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
export async function correctingEvents(store: Store): Promise<LogEvent[]> {
  return (await withSubjects(store).where('event.corrects', 'is not', null).execute()).map(eventOf);
}

/** The whole log in its order, page by page: by when it happened, then device, its own count, and id, as the fold has it. */
export async function* eventPages(store: Store, atOnce: number): AsyncGenerator<LogEvent[]> {
  await sql`declare log_pages no scroll cursor for
    select event.*, about.subjects from event
    join (select event_id, json_agg(json_build_object('kind', kind, 'id', subject_id)) as subjects
      from event_subject group by event_id) about on about.event_id = event.id
    order by occurred_at, device collate "C", device_seq, id`.execute(store);
  for (;;) {
    const { rows } = await sql<RowWithSubjects>`fetch ${sql.raw(String(atOnce))} from log_pages`.execute(
      store,
    );
    if (rows.length === 0) break;
    yield rows.map(eventOf);
  }
  await sql`close log_pages`.execute(store);
}

function withSubjects(store: Store) {
  return store
    .selectFrom('event')
    .selectAll('event')
    .select((eb) =>
      eb
        .selectFrom('event_subject as subject')
        .select(
          sql<Subject[]>`json_agg(json_build_object('kind', subject.kind, 'id', subject.subject_id))`.as(
            'subjects',
          ),
        )
        .whereRef('subject.breeder_id', '=', 'event.breeder_id')
        .whereRef('subject.event_id', '=', 'event.id')
        .as('subjects'),
    )
    .$castTo<RowWithSubjects>();
}

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
function eventOf(row: RowWithSubjects): LogEvent {
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
    subjects: row.subjects ?? [],
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
