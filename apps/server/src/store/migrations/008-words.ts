import { type Kysely, sql } from 'kysely';
import { APP_ROLE, DUMP_ROLE } from '../database.ts';

/**
 * Words by which notes and queens are found. Row security lets an index be used only for comparisons that cannot leak,
 * which those of patterns and of texts as a whole are not: so words are rows, and are looked for by how they begin.
 * Triggers keep them, however notes and queens come to be written.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      create table search_word (
        breeder_id uuid not null,
        what text not null,
        word text not null collate "C",
        at timestamptz not null,
        id uuid not null,
        primary key (breeder_id, what, word, at, id)
      );
      create index search_word_id on search_word (breeder_id, id);
      alter table search_word enable row level security;
      alter table search_word force row level security;
      create policy own_rows on search_word
        using (breeder_id = (select nullif(current_setting('app.breeder', true), '')::uuid));
      create policy dump_reads on search_word for select to ${DUMP_ROLE} using (true);
      grant select, insert, delete on search_word to ${APP_ROLE};
      drop index event_note;

      create function words_in(said text) returns setof text language sql immutable as $$
        select distinct word from regexp_split_to_table(lower(said), '[^[:alnum:]]+') word where word <> ''
      $$;
      create function note_words() returns trigger language plpgsql as $$
      begin
        insert into search_word select breeder_id, 'note', word, occurred_at, id
          from fresh, words_in(note) word where note is not null;
        return null;
      end $$;
      create trigger note_words after insert on event referencing new table as fresh
        for each statement execute function note_words();
      create function queen_words() returns trigger language plpgsql as $$
      begin
        insert into search_word select breeder_id, 'queen', word, since, queen_id
          from fresh, words_in(concat_ws(' ', name, number, mother)) word;
        return null;
      end $$;
      create trigger queen_words after insert on queen_state referencing new table as fresh
        for each statement execute function queen_words();
      create function queen_words_gone() returns trigger language plpgsql as $$
      begin
        delete from search_word using gone
          where search_word.breeder_id = gone.breeder_id and search_word.id = gone.queen_id and what = 'queen';
        return null;
      end $$;
      create trigger queen_words_gone after delete on queen_state referencing old table as gone
        for each statement execute function queen_words_gone();
      insert into search_word select breeder_id, 'note', word, occurred_at, id
        from event, words_in(note) word where note is not null;`)
    .execute(db);
}
