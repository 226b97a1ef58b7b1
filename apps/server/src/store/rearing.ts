import type { LogEvent, RearingSeason, Round, RoundOutcome } from '@yellow-cell/contract';
import { sql } from 'kysely';
import type { Store } from './database.ts';
import { eventsAbout, subjectsOfKind } from './events.ts';
import { verdict } from './takes.ts';

/** Rounds grafted, or planned, from a day on, oldest first. */
export async function roundsFrom(store: Store, from: string): Promise<Round[]> {
  const rows = await store
    .selectFrom('round_state')
    .select('told')
    .where('grafted_on', '>=', from)
    .orderBy('grafted_on')
    .$castTo<{ told: Round }>()
    .execute();
  return rows.map(({ told }) => told);
}

/** What became of the cells of these rounds as of a day: a queen is taken once she has left her room, and was not lost. */
export async function outcomesOf(
  store: Store,
  rounds: readonly string[],
  on: string,
): Promise<RoundOutcome[]> {
  if (rounds.length === 0) return [];
  const { rows } = await sql<RoundOutcome>`
    select attempt.round_id as round, count(*)::int as given,
      count(*) filter (where ${verdict(on)} = 'take')::int as takes,
      count(*) filter (where ${verdict(on)} = 'take' and queen.gone is not null and queen.gone <> 'lost')::int as taken,
      count(*) filter (where ${verdict(on)} = 'miss')::int as misses
    from attempt_state as attempt
    left join queen_state as queen on queen.queen_id = attempt.attempt_id
    where attempt.round_id = any(${rounds}::uuid[]) and attempt.given_on <= ${on}::date
    group by 1`.execute(store);
  return rows;
}

/** All attempts that are decided, and all grafts that were counted. */
export async function recordOn(
  store: Store,
  on: string,
): Promise<Pick<RearingSeason, 'record' | 'accepted'>> {
  const { rows } = await sql<{ takes: number; tried: number; cells: number; grafts: number }>`
    select
      (select count(*)::int from attempt_state where ${verdict(on)} = 'take') as takes,
      (select count(*)::int from attempt_state where ${verdict(on)} in ('take', 'miss')) as tried,
      coalesce(sum((told->'accepted'->>'cells')::int), 0)::int as cells,
      coalesce(sum((told->>'grafts')::int), 0)::int as grafts
    from round_state where told->'accepted' is not null`.execute(store);
  const { takes = 0, tried = 0, cells = 0, grafts = 0 } = rows[0] ?? {};
  return { record: { takes, tried }, accepted: { cells, grafts } };
}

/** Days of each month before a day on which it is known whether they flew, and those that did. */
export async function flownByMonth(
  store: Store,
  yard: string,
  flyingDay_h: number,
  before: string,
): Promise<RearingSeason['flown']['months']> {
  const { rows } = await sql<{ month: number; known: number; flew: number }>`
    select extract(month from day)::int as month, count(*)::int as known,
      count(*) filter (where flying_h >= ${flyingDay_h})::int as flew
    from weather_day where yard_id = ${yard} and day < ${before}::date and flying_h is not null
    group by 1 order by 1`.execute(store);
  return rows;
}

/** Days on which it is known whether they flew, both ends included. */
export async function flownBetween(
  store: Store,
  yard: string,
  flyingDay_h: number,
  from: string,
  to: string,
): Promise<RearingSeason['flown']['days']> {
  const { rows } = await sql<{ on: string; flies: boolean }>`
    select day as on, flying_h >= ${flyingDay_h} as flies
    from weather_day where yard_id = ${yard} and day between ${from}::date and ${to}::date
      and flying_h is not null
    order by day`.execute(store);
  return rows;
}

/** Rooms that were given a cell or a virgin between two days, both included. */
export async function roomsGiven(store: Store, from: string, to: string): Promise<number> {
  const { rows } = await sql<{ rooms: number }>`
    select count(distinct (box_id, compartment))::int as rooms
    from attempt_state where given_on between ${from}::date and ${to}::date`.execute(store);
  return rows[0]?.rooms ?? 0;
}

/** When each mating room is free for a cell, as expected. */
export async function roomsFree(store: Store): Promise<RearingSeason['rooms']> {
  const rows = await store
    .selectFrom('compartment_state as room')
    .innerJoin('box_state as box', 'box.box_id', 'room.box_id')
    .select('room.free_from as freeFrom')
    .where('room.free_from', 'is not', null)
    .where('box.taken_apart_on', 'is', null)
    .where('box.yard_id', 'is not', null)
    .orderBy('room.free_from')
    .$castTo<{ freeFrom: string }>()
    .execute();
  return rows;
}

/** Queens that stand caged in rooms that serve as banks, by the day on which they came there. */
export async function bankedQueens(store: Store): Promise<RearingSeason['banked']> {
  const { rows } = await sql<{ since: string }>`
    select queen.since from queen_state as queen
    where queen.gone is null and queen.told->>'caged' = 'true' and exists (
      select from compartment_state as room where room.box_id = queen.box_id and room.role = 'bank')
    order by queen.since`.execute(store);
  return rows;
}

/** All that was told of lots and of queens handed over for them, and what took it back. */
export const lotEvents = async (store: Store): Promise<LogEvent[]> =>
  eventsAbout(store, await subjectsOfKind(store, 'lot'), ['lotWanted', 'lotDropped', 'queenTaken']);
