import { type Kysely, sql } from 'kysely';
import { APP_ROLE, DUMP_ROLE } from '../database.ts';

/** Boxes of which it is to be reckoned yet what is due: of a large yard, that is done by turns with those who write. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      create table reckon_wait (
        breeder_id uuid not null,
        box_id uuid not null,
        primary key (breeder_id, box_id)
      );
      alter table reckon_wait enable row level security;
      alter table reckon_wait force row level security;
      create policy own_rows on reckon_wait
        using (breeder_id = (select nullif(current_setting('app.breeder', true), '')::uuid));
      create policy dump_reads on reckon_wait for select to ${DUMP_ROLE} using (true);
      grant select, insert, delete on reckon_wait to ${APP_ROLE};`)
    .execute(db);
}
