import type { Beside, ToldWith } from '@yellow-cell/core';
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

/** Boxes that things were told of in, as `toldIn` in core has it, each until a moment. */
export async function boxesWith(store: Store, things: ReadonlyMap<string, string>): Promise<ToldWith[]> {
  if (things.size === 0) return [];
  const { rows } = await sql<ToldWith>`
    select about.subject_id as thing, box.subject_id as box, min(event.occurred_at) as first
    from unnest(${[...things.keys()]}::uuid[], ${[...things.values()]}::timestamptz[]) as wanted(thing, until)
    join event_subject about on about.subject_id = wanted.thing
    join event on event.breeder_id = about.breeder_id and event.id = about.event_id
      and event.occurred_at <= wanted.until
    join event_subject box on box.breeder_id = about.breeder_id and box.event_id = about.event_id and box.kind = 'box'
    where case about.kind
      when 'box' then event.kind = 'boxStacked' and box.subject_id <> about.subject_id
      when 'colony' then event.payload->>'colony' = about.subject_id::text
        and box.subject_id::text in (event.payload->>'box', event.payload->>'toBox')
      else true end
    group by 1, 2`.execute(store);
  return rows;
}

/** What is kept of boxes before events, by event and box: its sign and a sum of it, to write only what is new. */
export async function signsOf(store: Store, boxes: readonly string[]): Promise<Map<string, string>> {
  const { rows } = await sql<{ event: string; box: string; sum: string }>`
    select event_id as event, box_id as box, sign || ' ' || coalesce(md5(before::text), '') as sum
    from box_beside where box_id = any(${boxes}::uuid[])`.execute(store);
  return new Map(rows.map(({ event, box, sum }) => [`${event} ${box}`, sum]));
}
