import { type Kysely, sql } from 'kysely';
import { APP_ROLE, DUMP_ROLE } from '../database.ts';

const OWN = ['workshop', 'stock_sheet', 'equipment'] as const;

/**
 * Stock, prices and register move out of the settings that hold them into tables of their own: of every breeder that
 * the one who runs it may see. Backups made before bring them in the settings too.
 */
export const OUT_OF_SETTINGS = `
  insert into workshop (breeder_id, version, currency, kerf_mm, printer, plastic, fittings)
    select breeder_id, 1, shop->>'currency', (shop->>'kerf_mm')::float8,
      case jsonb_typeof(shop->'printer') when 'object' then shop->'printer' end,
      (shop->>'plastic')::float8, coalesce(shop->'fittings', '{}')
    from (select breeder_id, settings::jsonb->'workshop' as shop from breeder) kept where shop is not null;
  insert into stock_sheet (breeder_id, id, place, name, material, thickness_mm, width_mm, height_mm, at_hand, price)
    select breeder_id, (line->>'id')::uuid, nth, line->>'name', line->>'material', (line->>'thickness_mm')::float8,
      (line->>'width_mm')::float8, (line->>'height_mm')::float8, (line->>'atHand')::int, (line->>'price')::float8
    from breeder, jsonb_array_elements(settings::jsonb->'workshop'->'stock') with ordinality as lines(line, nth)
    on conflict do nothing;
  insert into equipment (breeder_id, id, place, kind, name, count, finish, condition, kept_at, missing, format, comb, slot_mm)
    select breeder_id, (line->>'id')::uuid, nth, line->>'kind', line->>'name', (line->>'count')::int,
      line->>'finish', line->>'condition', line->>'place', line->>'missing', line->>'format', line->>'comb',
      (line->>'slot_mm')::float8
    from breeder, jsonb_array_elements(settings::jsonb->'workshop'->'register') with ordinality as lines(line, nth)
    on conflict do nothing;
  update breeder set settings = (settings::jsonb - 'workshop')::json where settings::jsonb ? 'workshop';`;

export async function up(db: Kysely<unknown>): Promise<void> {
  const secured = (table: string) => `
    alter table ${table} enable row level security;
    alter table ${table} force row level security;
    create policy own_rows on ${table}
      using (breeder_id = (select nullif(current_setting('app.breeder', true), '')::uuid));
    create policy dump_reads on ${table} for select to ${DUMP_ROLE} using (true);
    grant select, insert, update, delete on ${table} to ${APP_ROLE};`;
  await sql
    .raw(`
      create table workshop (
        breeder_id uuid primary key references breeder,
        version integer not null,
        currency text not null,
        kerf_mm double precision not null,
        printer jsonb,
        plastic double precision,
        fittings jsonb not null
      );
      create table stock_sheet (
        breeder_id uuid not null references breeder,
        id uuid not null,
        place integer not null,
        name text not null,
        material text not null,
        thickness_mm double precision not null,
        width_mm double precision not null,
        height_mm double precision not null,
        at_hand integer,
        price double precision,
        primary key (breeder_id, id)
      );
      create table equipment (
        breeder_id uuid not null references breeder,
        id uuid not null,
        place integer not null,
        kind text not null,
        name text not null,
        count integer not null,
        finish text not null,
        condition text not null,
        kept_at text not null,
        missing text not null,
        format text,
        comb text,
        slot_mm double precision,
        primary key (breeder_id, id)
      );
      alter table breeder no force row level security;
      ${OUT_OF_SETTINGS}
      alter table breeder force row level security;
      ${OWN.map(secured).join('\n')}`)
    .execute(db);
}
