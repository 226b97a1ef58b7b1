import { type Kysely, sql } from 'kysely';
import { APP_ROLE, DUMP_ROLE } from '../database.ts';

/**
 * What boxes were like before events that are about several of them, so that the story of one can be told anew without
 * that of all it ever shared bees, queens or frames with. The start fills the rows from the log.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      alter table attempt_state add column cell_on date;
      create table box_beside (
        breeder_id uuid not null,
        event_id uuid not null,
        box_id uuid not null,
        before json,
        sign text not null,
        primary key (breeder_id, event_id, box_id)
      ) with (toast_tuple_target = 256);
      -- Small, and many: packed where they lie.
      alter table box_beside alter column before set storage main, alter column before set compression lz4;
      create index box_beside_box on box_beside (breeder_id, box_id);
      alter table box_beside enable row level security;
      alter table box_beside force row level security;
      create policy own_rows on box_beside
        using (breeder_id = (select nullif(current_setting('app.breeder', true), '')::uuid));
      create policy dump_reads on box_beside for select to ${DUMP_ROLE} using (true);
      grant select, insert, update, delete on box_beside to ${APP_ROLE};`)
    .execute(db);
}
