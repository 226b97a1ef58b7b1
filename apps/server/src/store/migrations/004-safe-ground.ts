import { type Kysely, sql } from 'kysely';
import { DUMP_ROLE } from '../database.ts';

/**
 * What waits to be settled may be about a round or a yard, and not only about a box; read rows say which fold made
 * them; and a role that may read all breeders' rows, and do nothing else, for `pg_dump`.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      alter table event_to_settle rename column box_id to subject_id;
      alter index event_to_settle_box rename to event_to_settle_subject;
      alter table breeder add column fold_version integer not null default 0;
      do $$ begin
        if not exists (select from pg_roles where rolname = '${DUMP_ROLE}') then
          create role ${DUMP_ROLE} nologin;
        end if;
      exception when duplicate_object or unique_violation then null;
      end $$;
      do $$ begin
        if not pg_has_role(current_user, '${DUMP_ROLE}', 'member') then
          execute format('grant ${DUMP_ROLE} to %I', current_user);
        end if;
      end $$;
      grant select on all tables in schema public to ${DUMP_ROLE};
      grant select on all sequences in schema public to ${DUMP_ROLE};
      alter default privileges in schema public grant select on tables to ${DUMP_ROLE};
      do $$ declare own text; begin
        for own in select tablename from pg_policies where schemaname = 'public' and policyname = 'own_rows' loop
          execute format('create policy dump_reads on %I for select to ${DUMP_ROLE} using (true)', own);
        end loop;
      end $$;`)
    .execute(db);
}
