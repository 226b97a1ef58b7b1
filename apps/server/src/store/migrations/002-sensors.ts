import { type Kysely, sql } from 'kysely';
import { APP_ROLE } from '../database.ts';

/** Readings of scales and probes, each with why it was set aside. They are observations of machines, no part of the log. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      create table sensor_reading (
        breeder_id uuid not null,
        box text not null,
        measure text not null,
        at timestamptz not null,
        value double precision,
        raw text not null,
        flag text,
        primary key (breeder_id, box, measure, at)
      );
      create index sensor_reading_at on sensor_reading (breeder_id, at);
      alter table sensor_reading enable row level security;
      alter table sensor_reading force row level security;
      create policy own_rows on sensor_reading
        using (breeder_id = (select nullif(current_setting('app.breeder', true), '')::uuid));
      grant select, insert, delete on sensor_reading to ${APP_ROLE};`)
    .execute(db);
}
