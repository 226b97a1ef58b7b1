import { type Kysely, sql } from 'kysely';

/** Several pieces of work of one kind may stand in a room: two sets of strips, two suspicions. The start fills the rows from the log. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      alter table due_state
        add column key text not null default '',
        drop constraint due_state_pkey,
        add primary key (breeder_id, box_id, position, kind, key);
      -- How the brood of an attempt was scored last: relatives of a queen are told apart by it.
      -- What a room serves as, and from when it is free for a cell, as expected; null where it is for none.
      alter table compartment_state add column role text not null default 'empty', add column free_from date;
      -- Of some days little is known.
      alter table weather_day
        alter column min_c drop not null,
        alter column max_c drop not null,
        alter column wind_ms drop not null,
        alter column rain_mm drop not null,
        alter column flying_h drop not null;
      alter table attempt_state add column pattern_pct double precision;`)
    .execute(db);
}
