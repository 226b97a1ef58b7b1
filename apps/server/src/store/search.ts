import type { Found } from '@yellow-cell/contract';
import { type RawBuilder, sql } from 'kysely';
import { escapeLike } from './boxes.ts';
import type { Store } from './database.ts';

/**
 * What is called, marked or noted as was typed: boxes and their stands by a part of the name, rounds by number or
 * donor; queens by name, number of the mark or mother, and notes, by words as they begin, all of them.
 */
export async function search(store: Store, typed: string, limit: number): Promise<Found[]> {
  const like = `%${escapeLike(typed)}%`;
  const words = await wordsIn(store, typed);
  const { rows } = await sql<Found>`
    (select 'box' as kind, box_id::text as id, label as title, coalesce('stand ' || stand, 'not placed') as detail,
        box_id::text as box, yard_id::text as yard
      from box_state where label ilike ${like} order by length(label), label_key limit ${limit})
    union all
    (select 'stand', box_id::text, 'Stand ' || stand, label, box_id::text, yard_id::text
      from box_state where stand ilike ${like} and taken_apart_on is null order by label_key limit ${limit})
    union all
    (select 'queen', queen_id::text, coalesce(name, case when number is null then 'Queen' else 'No. ' || number end),
        concat_ws(', ', colour, case when mother is null then null else 'of ' || mother end,
          case when birth_year is null then null else 'born ' || birth_year end,
          coalesce('gone: ' || gone, 'in ' || label)), queen_state.box_id::text, yard_id::text
      from (${withWords('queen', words, limit)}) hit
      join queen_state on queen_state.queen_id = hit.id
      left join box_state using (breeder_id, box_id) order by hit.at desc)
    union all
    (select 'round', round_id::text, 'Round ' || number, 'donor ' || donor || ', grafted ' || grafted_on, null, null
      from round_state where donor ilike ${like} or 'round ' || number ilike ${like}
      order by grafted_on desc limit ${limit})
    union all
    (select 'note', event.id::text, left(note, 120), person || ', ' || to_char(occurred_at at time zone zone, 'YYYY-MM-DD'),
        box_id::text, yard_id::text
      from (${withWords('note', words, limit)}) hit
      join event on event.id = hit.id
      left join lateral (select subject_id from event_subject subject where subject.breeder_id = event.breeder_id
        and subject.event_id = event.id and subject.kind = 'box' limit 1) subject on true
      left join box_state on box_state.breeder_id = event.breeder_id and box_state.box_id = subject.subject_id
      order by hit.at desc)`.execute(store);
  return rows;
}

/** The words of what was typed, cut as those that are kept: the same function cuts both. */
async function wordsIn(store: Store, typed: string): Promise<string[]> {
  const { rows } = await sql<{ word: string }>`select word from words_in(${typed}) word`.execute(store);
  return rows.map(({ word }) => word);
}

/** Sorts after every word that begins so. */
const LAST = '\u{10ffff}';

/** Ids of those that have a word that begins as each of these does, newest first. */
function withWords(what: 'note' | 'queen', words: readonly string[], limit: number): RawBuilder<unknown> {
  if (words.length === 0) return sql`select id, at from search_word where false`;
  const hits = words.map(
    (word) =>
      sql`select distinct id, at from search_word where what = ${what} and word >= ${word} and word < ${word + LAST}`,
  );
  return sql`${sql.join(hits, sql` intersect `)} order by at desc limit ${limit}`;
}
