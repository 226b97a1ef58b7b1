import type { EventKind, Subject } from '@yellow-cell/contract';
import type { Beside, Missing } from '@yellow-cell/core';
import { sql } from 'kysely';
import type { Store } from './database.ts';

/** What other boxes were like before events about these, or with these. */
export async function besideOf(store: Store, boxes: readonly string[]): Promise<Beside[]> {
  if (boxes.length === 0) return [];
  const { rows } = await sql<Beside>`
    select event_id as event, box_id as box, before, sign from box_beside
    where box_id <> all(${boxes}::uuid[]) and event_id in (
      select event_id from event_subject where subject_id = any(${boxes}::uuid[])
      union select event_id from box_beside where box_id = any(${boxes}::uuid[]))`.execute(store);
  return rows;
}

/** Boxes that these events were told with. */
export async function boxesTold(store: Store, events: readonly string[]): Promise<string[]> {
  if (events.length === 0) return [];
  const rows = await store
    .selectFrom('box_beside')
    .select('box_id')
    .distinct()
    .where('event_id', 'in', events)
    .execute();
  return rows.map(({ box_id }) => box_id);
}

/** Takes out what is kept of boxes before some events, each named as `event box`. */
export async function clearBeside(store: Store, keys: readonly string[]): Promise<void> {
  if (keys.length === 0) return;
  const [events, boxes] = [0, 1].map((part) => keys.map((key) => key.split(' ')[part]));
  await sql`delete from box_beside where (event_id, box_id) in (
    select * from unnest(${events}::uuid[], ${boxes}::uuid[]))`.execute(store);
}

export async function addBeside(store: Store, breeder: string, beside: readonly Beside[]): Promise<void> {
  if (beside.length === 0) return;
  const rows = beside.map(({ event, box, before, sign }) => ({
    breeder_id: breeder,
    event_id: event,
    box_id: box,
    before,
    sign,
  }));
  await sql`insert into box_beside select * from json_populate_recordset(null::box_beside, ${JSON.stringify(rows)})`.execute(
    store,
  );
}

/** Boxes of all entries that name one of these things; bees, as those that the entry is about. */
export async function boxesNaming(store: Store, things: readonly Subject[]): Promise<string[]> {
  if (things.length === 0) return [];
  const { rows } = await sql<{ box: string }>`
    select distinct box.subject_id as box
    from event_subject about
    join event on event.breeder_id = about.breeder_id and event.id = about.event_id
    join event_subject box on box.breeder_id = about.breeder_id and box.event_id = about.event_id and box.kind = 'box'
    where about.subject_id = any(${things.map(({ id }) => id)}::uuid[]) and case about.kind
      when 'colony' then event.payload->>'colony' = about.subject_id::text
        and box.subject_id::text in (event.payload->>'box', event.payload->>'toBox')
      when 'queen' then event.payload->'mother'->>'queen' is distinct from about.subject_id::text
      else true end`.execute(store);
  return rows.map(({ box }) => box);
}

/** Along with bees, or with a storey, things come into other boxes by entries of these kinds that do not name them. */
const CARRY: readonly EventKind[] = ['colonyMoved', 'combined', 'layerTaken', 'layerPut', 'boxBuilt'];

const EPOCH = '1970-01-01T00:00:00.000Z';
const later = (a: string, b: string): string => (Date.parse(a) < Date.parse(b) ? b : a);

/**
 * Boxes in which things may be that are not where an entry says: in which others told of them until then, and those
 * into which they may have been carried from there. An attempt stays with the box in which it began; of a box it is those
 * that were ever set on it. What is said to be true is held against each entry found by its id, and not sought by an index
 * of kinds and times, which serves a whole log and not some entries of it.
 */
export async function boxesThatMayHold(store: Store, missing: readonly Missing[]): Promise<string[]> {
  if (missing.length === 0) return [];
  const wanted = missing.map(({ thing, event }) => ({ ...thing, until: event.occurredAt, told: event.id }));
  const latest = missing.reduce((last, { event }) => later(last, event.occurredAt), EPOCH);
  const { rows } = await sql<{ box: string }>`
    with recursive wanted as (
      select * from json_to_recordset(${JSON.stringify(wanted)}) as wanted(id uuid, kind text, until timestamptz, told uuid)),
    began as (
      select attempt.box_id as box from attempt_state attempt
      where attempt.attempt_id in (select id from wanted where kind = 'attempt')),
    stacked as (
      select (event.payload->>'box')::uuid as box
      from wanted
      join event_subject about on about.subject_id = wanted.id
      join event on event.breeder_id = about.breeder_id and event.id = about.event_id and (event.occurred_at <= wanted.until) is true
      where wanted.kind = 'box' and event.kind = 'boxStacked' and event.payload->>'onto' = wanted.id::text),
    named as (
      select distinct box.subject_id as box
      from wanted
      join event_subject about on about.subject_id = wanted.id and about.event_id <> wanted.told
      join event on event.breeder_id = about.breeder_id and event.id = about.event_id and (event.occurred_at <= wanted.until) is true
      join event_subject box on box.breeder_id = about.breeder_id and box.event_id = about.event_id and box.kind = 'box'
      where wanted.kind not in ('attempt', 'box') and case wanted.kind
        when 'colony' then event.payload->>'colony' = wanted.id::text
        when 'queen' then event.kind <> 'cellGiven' and event.payload->'mother'->>'queen' is distinct from wanted.id::text
        else true end),
    carried as (
      select box from named
      union
      select beyond.box_id
      from carried
      join box_beside mine on mine.box_id = carried.box
      join event on event.breeder_id = mine.breeder_id and event.id = mine.event_id
        and (event.kind = any(${CARRY}) and event.occurred_at <= ${latest}) is true
      join box_beside beyond on beyond.breeder_id = mine.breeder_id and beyond.event_id = mine.event_id)
    select box from began union select box from stacked union select box from carried`.execute(store);
  return rows.map(({ box }) => box);
}

/** What is kept of boxes before events, by event and box: its sign and a sum of it, to write only what is new. */
export async function signsOf(store: Store, boxes: readonly string[]): Promise<Map<string, string>> {
  const { rows } = await sql<{ event: string; box: string; sum: string }>`
    select event_id as event, box_id as box, sign || ' ' || coalesce(md5(before::text), '') as sum
    from box_beside where box_id = any(${boxes}::uuid[])`.execute(store);
  return new Map(rows.map(({ event, box, sum }) => [`${event} ${box}`, sum]));
}
