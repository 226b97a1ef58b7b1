import { type Kysely, sql } from 'kysely';
import { APP_ROLE } from '../database.ts';

/** Registers, the append-only log, and the read tables kept beside it; each breeder's rows apart from the start. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql.raw(ROLE).execute(db);
  await sql.raw(TABLES).execute(db);
  await sql.raw(APPEND_ONLY).execute(db);
  // The setting is read in a subquery, so once a query and not once a row.
  for (const [table, grants] of Object.entries(GRANTS)) {
    await sql
      .raw(`
      alter table ${table} enable row level security;
      alter table ${table} force row level security;
      create policy own_rows on ${table}
        using (breeder_id = (select nullif(current_setting('app.breeder', true), '')::uuid));
      grant ${grants} on ${table} to ${APP_ROLE};`)
      .execute(db);
  }
}

const ROLE = `
do $$ begin
  if not exists (select from pg_roles where rolname = '${APP_ROLE}') then
    create role ${APP_ROLE} nologin;
  end if;
exception when duplicate_object or unique_violation then null;
end $$;
do $$ begin
  if not pg_has_role(current_user, '${APP_ROLE}', 'member') then
    execute format('grant ${APP_ROLE} to %I', current_user);
  end if;
end $$;`;

const TABLES = `
create table breeder (
  breeder_id uuid primary key,
  name text not null,
  demo_anchor timestamptz,
  demo_loaded_at timestamptz,
  loaded boolean not null,
  settings json not null,
  settings_version integer not null
);
create table design (
  breeder_id uuid not null references breeder,
  id uuid not null,
  name text not null,
  primary key (breeder_id, id)
);
create table design_version (
  breeder_id uuid not null,
  design_id uuid not null,
  number integer not null,
  id uuid not null,
  content json not null,
  note text not null,
  saved_at timestamptz not null,
  saved_by text not null,
  primary key (breeder_id, design_id, number),
  unique (breeder_id, id),
  foreign key (breeder_id, design_id) references design
);
create table yard (
  breeder_id uuid not null references breeder,
  id uuid not null,
  name text not null,
  latitude_deg double precision not null,
  longitude_deg double precision not null,
  zone text not null,
  version integer not null,
  primary key (breeder_id, id)
);
create table event (
  breeder_id uuid not null references breeder,
  id uuid not null,
  kind text not null,
  kind_version integer not null,
  occurred_at timestamptz not null,
  zone text not null,
  recorded_at timestamptz not null,
  person text not null,
  device text not null,
  device_seq integer not null,
  corrects uuid,
  note text,
  payload json not null,
  primary key (breeder_id, id)
);
create table event_subject (
  breeder_id uuid not null,
  subject_id uuid not null,
  event_id uuid not null,
  kind text not null,
  primary key (breeder_id, subject_id, event_id),
  foreign key (breeder_id, event_id) references event
);
create index event_subject_event on event_subject (breeder_id, event_id);

create table box_state (
  breeder_id uuid not null,
  box_id uuid not null,
  label text not null,
  label_key text not null collate "C",
  design_id uuid not null,
  design_version integer not null,
  yard_id uuid,
  stand text,
  built_on date not null,
  taken_apart_on date,
  primary key (breeder_id, box_id)
);
create index box_state_yard on box_state (breeder_id, yard_id, label_key, box_id);
create index box_state_label on box_state (breeder_id, label_key, box_id);
create index box_state_design on box_state (breeder_id, design_id);
create table compartment_state (
  breeder_id uuid not null,
  box_id uuid not null,
  position integer not null,
  name text not null,
  frames integer not null,
  status text not null,
  since date,
  due text,
  due_from date,
  due_expected date,
  due_to date,
  primary key (breeder_id, box_id, position)
);
create index compartment_state_due on compartment_state (breeder_id, due_expected) where due is not null;
create table attempt_state (
  breeder_id uuid not null,
  attempt_id uuid not null,
  box_id uuid not null,
  design_id uuid not null,
  frames integer not null,
  round_id uuid,
  given_on date not null,
  take_on date,
  miss_on date,
  fail_by date not null,
  reason text,
  primary key (breeder_id, attempt_id)
);
create index attempt_state_box on attempt_state (breeder_id, box_id);
create index attempt_state_round on attempt_state (breeder_id, round_id);
create index attempt_state_given on attempt_state (breeder_id, given_on);
create table round_state (
  breeder_id uuid not null,
  round_id uuid not null,
  number integer not null,
  donor text not null,
  grafted_on date not null,
  grafts integer not null,
  accepted integer not null,
  primary key (breeder_id, round_id)
);
create index round_state_grafted on round_state (breeder_id, grafted_on);
create table weather_day (
  breeder_id uuid not null,
  yard_id uuid not null,
  day date not null,
  min_c double precision not null,
  max_c double precision not null,
  wind_ms double precision not null,
  rain_mm double precision not null,
  flying_h double precision not null,
  primary key (breeder_id, yard_id, day)
);
create table event_to_settle (
  breeder_id uuid not null,
  event_id uuid not null,
  box_id uuid not null,
  sentence text not null,
  primary key (breeder_id, event_id, box_id)
);
create index event_to_settle_box on event_to_settle (breeder_id, box_id);`;

/** Not even the owner edits the story; a mistake is corrected by a further event. */
const APPEND_ONLY = `
create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'The event log is append-only: correct an entry by a further one.';
end $$;
create trigger append_only before update or delete on event
  for each row execute function refuse_change();
create trigger saved_versions_stay before update or delete on design_version
  for each row execute function refuse_change();`;

const READ_TABLE = 'select, insert, update, delete';
const GRANTS = {
  breeder: 'select, insert, update',
  design: 'select, insert, update',
  design_version: 'select, insert',
  yard: 'select, insert, update',
  event: 'select, insert',
  event_subject: 'select, insert',
  box_state: READ_TABLE,
  compartment_state: READ_TABLE,
  attempt_state: READ_TABLE,
  round_state: READ_TABLE,
  weather_day: READ_TABLE,
  event_to_settle: READ_TABLE,
};
