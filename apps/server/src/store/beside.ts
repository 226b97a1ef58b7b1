import type { Beside } from '@yellow-cell/core';
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

export async function clearBeside(store: Store, boxes: readonly string[]): Promise<void> {
  await sql`delete from box_beside where box_id = any(${boxes}::uuid[])`.execute(store);
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

/** Of living things, and of boxes stacked upon one another: every box that an event names with them, and when the first did. */
export interface ToldWith {
  thing: string;
  box: string;
  first: string;
}

export async function boxesWith(store: Store, things: readonly string[]): Promise<ToldWith[]> {
  if (things.length === 0) return [];
  const { rows } = await sql<ToldWith>`
    select about.subject_id as thing, box.subject_id as box, min(event.occurred_at) as first
    from event_subject about
    join event_subject box on box.breeder_id = about.breeder_id and box.event_id = about.event_id and box.kind = 'box'
    join event on event.breeder_id = about.breeder_id and event.id = about.event_id
    where about.subject_id = any(${things}::uuid[])
      and (about.kind <> 'box' or (event.kind = 'boxStacked' and box.subject_id <> about.subject_id))
    group by 1, 2`.execute(store);
  return rows;
}

/** The same of all things that were told of in more than one box. */
export async function allBoxesWith(store: Store): Promise<ToldWith[]> {
  const { rows } = await sql<ToldWith>`
    with several as (
      select about.subject_id as thing
      from event_subject about
      join event_subject box on box.breeder_id = about.breeder_id and box.event_id = about.event_id and box.kind = 'box'
      where about.kind in ('colony', 'attempt', 'queen', 'frame')
      group by 1 having min(box.subject_id::text) <> max(box.subject_id::text))
    select about.subject_id as thing, box.subject_id as box, min(event.occurred_at) as first
    from event_subject about
    join event_subject box on box.breeder_id = about.breeder_id and box.event_id = about.event_id and box.kind = 'box'
    join event on event.breeder_id = about.breeder_id and event.id = about.event_id
    where about.subject_id in (select thing from several)
      or (about.kind = 'box' and event.kind = 'boxStacked' and box.subject_id <> about.subject_id)
    group by 1, 2`.execute(store);
  return rows;
}
