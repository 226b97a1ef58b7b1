import type { Attempt, BoxStanding, Queen, Round, WeatherDay } from '@yellow-cell/contract';
import { type RawBuilder, sql } from 'kysely';
import { splitKey } from './boxes.ts';
import type { Store } from './database.ts';
import { ATTEMPT_D } from './reckoned.ts';

/** A box as it is kept: the text that screens get, and what is needed beside it. */
export interface ShownRow {
  key: string;
  text: string;
}

const shownColumns = [
  sql<string>`box.label_key || '~' || box.box_id`.as('key'),
  sql<string>`box.shown::text`.as('text'),
] as const;

/** What stands around the boxes of a yard: names and newest versions of their designs, which versions stand there, and as text ready to be sent its weather and all rounds since a day. */
export interface AroundRow {
  designs: { id: string; name: string; latest: number }[];
  used: string[];
  weather: string;
  rounds: string;
}

export async function aroundOf(store: Store, yard: string, from: string): Promise<AroundRow> {
  const { rows } = await sql<AroundRow>`with used as
      (select distinct design_id, design_version from box_state where yard_id = ${yard})
    select
    (select coalesce(json_agg(json_build_object('id', id, 'name', name, 'latest',
      (select max(number) from design_version version where version.breeder_id = design.breeder_id and version.design_id = design.id))
      order by name), '[]') from design where id in (select design_id from used)) as designs,
    (select coalesce(json_agg(design_id || ' ' || design_version), '[]') from used) as used,
    (select coalesce(json_agg(json_build_object('date', day, 'min_C', min_c, 'max_C', max_c, 'wind_ms', wind_ms,
      'rain_mm', rain_mm, 'flying_h', flying_h) order by day), '[]')::text
      from weather_day where yard_id = ${yard} and day >= ${from}) as weather,
    (select coalesce(json_agg(told order by grafted_on), '[]')::text
      from round_state where grafted_on >= ${from}) as rounds`.execute(store);
  const [row] = rows;
  if (!row) throw new Error('A select without a row.');
  return row;
}

/** A page of a yard's boxes in the order of their labels; one more than asked for says that there are more. */
export function shownPageQuery(store: Store, yard: string, after: string | undefined, limit: number) {
  const [afterKey = '', afterId = ''] = splitKey(after);
  return store
    .selectFrom('box_state as box')
    .select(shownColumns)
    .where('yard_id', '=', yard)
    .where('taken_apart_on', 'is', null)
    .$if(after !== undefined, (q) =>
      q.where(sql<boolean>`(label_key, box_id) > (${afterKey}, ${afterId}::uuid)`),
    )
    .orderBy('label_key')
    .orderBy('box_id')
    .limit(limit + 1);
}

/** Boxes with work that is due on a day, the most pressing first. */
export function shownDueQuery(store: Store, yard: string, on: string, limit: number) {
  return store
    .selectFrom((eb) =>
      eb
        .selectFrom('due_state')
        .select(['box_id', sql<string>`min(due_to)`.as('first')])
        .where('yard_id', '=', yard)
        .where('due_from', '<=', on)
        .where((where) => where.or([where('lapses', '=', false), where('due_to', '>=', on)]))
        .groupBy('box_id')
        .orderBy('first')
        .orderBy('box_id')
        .limit(limit)
        .as('due'),
    )
    .innerJoin('box_state as box', 'box.box_id', 'due.box_id')
    .select(shownColumns)
    .where('taken_apart_on', 'is', null)
    .orderBy('due.first')
    .orderBy('box.label_key');
}

export function shownBoxQuery(store: Store, box: string) {
  return store.selectFrom('box_state as box').select(shownColumns).where('box_id', '=', box);
}

/** Where a box stands, with all that the fold knows of it. */
export interface ToldRow {
  box_id: string;
  told: Omit<BoxStanding, 'recent'>;
  shown: BoxStanding;
  last_at: string;
}

export async function toldBoxes(store: Store, boxes: readonly string[]): Promise<ToldRow[]> {
  if (boxes.length === 0) return [];
  return store
    .selectFrom('box_state')
    .select(['box_id', 'told', 'shown', 'last_at'])
    .where('box_id', 'in', boxes)
    .$castTo<ToldRow>()
    .execute();
}

export async function boxIdsIn(store: Store, yard: string): Promise<string[]> {
  const rows = await store.selectFrom('box_state').select('box_id').where('yard_id', '=', yard).execute();
  return rows.map(({ box_id }) => box_id);
}

export async function weatherSince(store: Store, yard: string, from: string): Promise<WeatherDay[]> {
  return store
    .selectFrom('weather_day')
    .select(['day as date', 'min_c as min_C', 'max_c as max_C', 'wind_ms', 'rain_mm', 'flying_h'])
    .where('yard_id', '=', yard)
    .where('day', '>=', from)
    .orderBy('day')
    .execute();
}

export const roundsById = (store: Store, ids: readonly string[]): Promise<Round[]> =>
  ids.length === 0 ? Promise.resolve([]) : roundsWhere(store, sql`round_id in (${sql.join(ids)})`);

export const roundsSince = (store: Store, from: string): Promise<Round[]> =>
  roundsWhere(store, sql`grafted_on >= ${from}`);

async function roundsWhere(store: Store, which: RawBuilder<unknown>): Promise<Round[]> {
  const rows = await store
    .selectFrom('round_state')
    .select('told')
    .where(which as RawBuilder<boolean>)
    .orderBy('grafted_on')
    .$castTo<{ told: Round }>()
    .execute();
  return rows.map(({ told }) => told);
}

export async function boxLabels(
  store: Store,
  ids: readonly string[],
): Promise<{ id: string; label: string; yard: string | null }[]> {
  if (ids.length === 0) return [];
  return store
    .selectFrom('box_state')
    .select(['box_id as id', 'label', 'yard_id as yard'])
    .where('box_id', 'in', ids)
    .execute();
}

export interface UnsettledQuery {
  /** Instant and id of the last of the page before. */
  after?: string | undefined;
  limit: number;
  box?: string | undefined;
}

/** A page of what waits to be settled, newest first, one more than asked for; and how many wait in all. */
export async function unsettledRows(
  store: Store,
  { after, limit, box }: UnsettledQuery,
): Promise<{ rows: { event_id: string; sentence: string; at: string }[]; count: number }> {
  const [at = '', id = ''] = splitKey(after);
  const ofBox = box === undefined ? sql`true` : sql`waiting.subject_id = ${box}`;
  const later =
    after === undefined ? sql`true` : sql`(event.occurred_at, event.id) < (${at}::timestamptz, ${id}::uuid)`;
  const { rows } = await sql<{ event_id: string; sentence: string; at: string }>`
    select waiting.event_id, min(waiting.sentence) as sentence, event.occurred_at as at
    from event_to_settle waiting
    join event on event.breeder_id = waiting.breeder_id and event.id = waiting.event_id
    where ${ofBox} and ${later}
    group by waiting.event_id, event.occurred_at, event.id
    order by event.occurred_at desc, event.id desc limit ${limit + 1}`.execute(store);
  const { rows: counted } = await sql<{ count: number }>`
    select count(distinct event_id)::int as count from event_to_settle waiting where ${ofBox}`.execute(store);
  return { rows, count: counted[0]?.count ?? 0 };
}

/** The attempt that a queen came of, as the box keeps it in which she was given. */
export async function attemptById(store: Store, { id, box }: Queen): Promise<Attempt | undefined> {
  const [first] = await store
    .selectFrom('attempt_state')
    .select('box_id')
    .where('attempt_id', '=', id)
    .execute();
  const [row] = await toldBoxes(store, [first?.box_id ?? box]);
  return row?.told.attempts.find((attempt) => attempt.id === id);
}

export interface AroundTold {
  designs: { id: string; name: string; latest: number }[];
  allYards: string[];
  constants: Record<string, Record<string, number>> | null;
  rounds: Round[];
  weather: (WeatherDay & { yard: string })[];
}

/** All that is read beside the boxes themselves when their story goes on, in one round trip. */
export async function aroundTold(
  store: Store,
  about: {
    designs: string[];
    yards: string[];
    rounds: string[];
    /** Weather from this day on, and of the weeks after each of those on which a cell was given. */
    from: string;
    given: string[];
  },
): Promise<AroundTold> {
  const { rows } = await sql<AroundTold>`select
    (select coalesce(json_agg(json_build_object('id', id, 'name', name, 'latest',
      (select max(number) from design_version version where version.breeder_id = design.breeder_id and version.design_id = design.id))), '[]')
      from design where id = any(${about.designs}::uuid[])) as designs,
    (select coalesce(json_agg(id), '[]') from yard) as "allYards",
    (select settings -> 'constants' from breeder) as constants,
    (select coalesce(json_agg(told), '[]')
      from round_state where round_id = any(${about.rounds}::uuid[])) as rounds,
    (select coalesce(json_agg(json_build_object('yard', yard_id, 'date', day, 'min_C', min_c, 'max_C', max_c,
      'wind_ms', wind_ms, 'rain_mm', rain_mm, 'flying_h', flying_h)), '[]')
      from weather_day where yard_id = any(${about.yards}::uuid[]) and (day >= ${about.from} or exists (
        select from unnest(${about.given}::date[]) as given(since) where day between since and since + ${ATTEMPT_D}::integer))) as weather`.execute(
    store,
  );
  const [row] = rows;
  if (!row) throw new Error('A select without a row.');
  return row;
}
