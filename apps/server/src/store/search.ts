import type { Found } from '@yellow-cell/contract';
import { sql } from 'kysely';
import { escapeLike } from './boxes.ts';
import type { Store } from './database.ts';

/**
 * What is called, marked or noted as was typed: boxes and their stands by a part of the name, queens by name, number
 * of the mark or mother, rounds by number or donor, notes by the words that are in them.
 */
export async function search(store: Store, typed: string, limit: number): Promise<Found[]> {
  const like = `%${escapeLike(typed)}%`;
  // Words as they begin; signs alone are no words, and mean nothing to the index.
  const words = typed.split(/[\s'\\]+/u).filter((word) => /[\p{L}\p{N}]/u.test(word));
  const query = words.map((word) => `'${word}':*`).join(' & ');
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
      from queen_state left join box_state using (breeder_id, box_id)
      where name ilike ${like} or number ilike ${like} or mother ilike ${like} order by since desc limit ${limit})
    union all
    (select 'round', round_id::text, 'Round ' || number, 'donor ' || donor || ', grafted ' || grafted_on, null, null
      from round_state where donor ilike ${like} or 'round ' || number ilike ${like}
      order by grafted_on desc limit ${limit})
    union all
    (select 'note', event.id::text, left(note, 120), person || ', ' || to_char(occurred_at at time zone zone, 'YYYY-MM-DD'),
        box_id::text, yard_id::text
      from event
      left join lateral (select subject_id from event_subject subject where subject.breeder_id = event.breeder_id
        and subject.event_id = event.id and subject.kind = 'box' limit 1) subject on true
      left join box_state on box_state.breeder_id = event.breeder_id and box_state.box_id = subject.subject_id
      where note is not null and to_tsvector('simple', note) @@ to_tsquery('simple', ${query})
      order by occurred_at desc limit ${limit})`.execute(store);
  return rows;
}
