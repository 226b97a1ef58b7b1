import { type Kysely, sql } from 'kysely';

/** Rounds are kept whole: what becomes of their cells is a story of its own. The start fills the rows from the log. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      alter table round_state
        drop column grafts,
        drop column accepted,
        drop column donor_queen,
        add column told json not null default '{}';`)
    .execute(db);
}
