import { type Kysely, sql } from 'kysely';

/** An index row holds 2,700 bytes at most: of a word longer than any that is spoken its beginning is enough. */
const LONGEST_WORD = 60;

/**
 * Words of any length are kept by their beginning, so that no note is too odd to be written; and the notes and queens
 * that were there before words were kept are found too: row security had hidden them from who fills the table.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  const filled = ['event', 'queen_state', 'search_word'];
  const secured = (how: string) =>
    filled.map((table) => `alter table ${table} ${how} row level security;`).join('\n');
  await sql
    .raw(`
      create or replace function words_in(said text) returns setof text language sql immutable as $$
        select distinct left(word, ${LONGEST_WORD})
        from regexp_split_to_table(lower(said), '[^[:alnum:]]+') word where word <> ''
      $$;
      truncate search_word;
      ${secured('no force')}
      insert into search_word select breeder_id, 'note', word, occurred_at, id
        from event, words_in(note) word where note is not null;
      insert into search_word select breeder_id, 'queen', word, since, queen_id
        from queen_state, words_in(concat_ws(' ', name, number, mother)) word;
      ${secured('force')}`)
    .execute(db);
}
