import { type Kysely, sql } from 'kysely';
import { APP_ROLE } from '../database.ts';

/**
 * Boxes as they stand, kept as text ready to be sent (`shown`) and whole, to go on telling from (`told`); queens as
 * persons; what of the log is looked for by its words. Read tables: the start fills them from the log.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      alter table box_state
        add column told json,
        add column shown json,
        add column last_at timestamptz;
      -- Kept as it is sent: packing it costs more than its room.
      alter table box_state alter column told set storage external, alter column shown set storage external;
      alter table round_state add column donor_queen uuid;
      create table due_state (
        breeder_id uuid not null,
        box_id uuid not null,
        position integer not null,
        kind text not null,
        yard_id uuid,
        due_from date not null,
        due_to date not null,
        lapses boolean not null,
        primary key (breeder_id, box_id, position, kind)
      );
      create index due_state_yard on due_state (breeder_id, yard_id, due_from);
      create table queen_state (
        breeder_id uuid not null,
        queen_id uuid not null,
        box_id uuid not null,
        colony_id uuid not null,
        name text,
        mother text,
        mother_id uuid,
        round_id uuid,
        birth_year integer,
        colour text,
        number text,
        since date not null,
        gone text,
        told json not null,
        primary key (breeder_id, queen_id)
      );
      create index queen_state_box on queen_state (breeder_id, box_id);
      create index queen_state_round on queen_state (breeder_id, round_id);
      create index queen_state_mother on queen_state (breeder_id, mother_id);
      create index event_note on event using gin (to_tsvector('simple', note)) where note is not null;
      create index event_kind on event (breeder_id, kind, occurred_at);
      create index event_corrects on event (breeder_id, corrects) where corrects is not null;
`)
    .execute(db);
  for (const table of ['queen_state', 'due_state'])
    await sql
      .raw(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy own_rows on ${table}
        using (breeder_id = (select nullif(current_setting('app.breeder', true), '')::uuid));
      grant select, insert, update, delete on ${table} to ${APP_ROLE};`)
      .execute(db);
}
