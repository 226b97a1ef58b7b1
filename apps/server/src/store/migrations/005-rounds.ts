import { type Kysely, sql } from 'kysely';

/**
 * Rounds are kept whole: what becomes of their cells is a story of its own. Attempts keep what they were, and what they
 * were given into, as that was. The start fills the rows from the log.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  await sql
    .raw(`
      alter table round_state
        drop column grafts,
        drop column accepted,
        drop column donor_queen,
        add column told json not null default '{}';
      alter table attempt_state
        add column what text not null default 'cell',
        add column design_version integer,
        add column yard_id uuid,
        add column compartment text,
        add column flight text,
        add column donor text;`)
    .execute(db);
}
