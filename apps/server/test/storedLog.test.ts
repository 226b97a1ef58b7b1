import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { sql } from 'kysely';
import { describe, expect, it } from 'vitest';
import { BREEDERS } from '../src/prepare.ts';
import { checkArchive, restore } from '../src/services/archive/restore.ts';
import { asBreeder } from '../src/store/database.ts';
import { migrate } from '../src/store/migrate.ts';
import { freshDatabase } from './bench.test.kit.ts';

/**
 * Logs as earlier versions of this program wrote them, every kind of event in every variant among them. Each must open
 * for good, and tell the same: what stands beside it changes only where a rule of the fold is changed on purpose, as
 * when a colony came to live in all rooms that its workers reach. A new version adds its own
 * (YC_WRITE_LOG in kinds.test.ts, or a backup of the demo) and never changes one; YC_WRITE_LOG=told writes what a new
 * one tells.
 */
const dir = fileURLToPath(new URL('./logs', import.meta.url));
const files = readdirSync(dir).filter((file) => file.endsWith('.tar.gz'));

describe.each(files)('the log of %s', (file) => {
  it('opens, and tells what it told', async () => {
    const path = join(dir, file);
    const { counts, breeder } = await checkArchive(path);
    const { database } = await freshDatabase();
    await migrate(database);
    await restore(database, path, BREEDERS);
    const told = await asBreeder(database, breeder, async (store) => {
      const { rows: compartments } = await sql`select label, position, status, since from box_state
        join compartment_state using (breeder_id, box_id) order by label_key, box_id, position`.execute(
        store,
      );
      const { rows: attempts } = await sql`select given_on, take_on, miss_on, reason, count(*)::int as count
        from attempt_state group by 1, 2, 3, 4 order by 1, 2, 3, 4`.execute(store);
      const { rows: rounds } = await sql`select number, donor, grafted_on,
        (told->>'grafts')::int as grafts, (told->'accepted'->>'cells')::int as accepted from round_state
        order by grafted_on, number, round_id`.execute(store);
      const { rows } = await sql`select (select count(*)::int from event) as events,
        (select count(*)::int from event_to_settle) as "toSettle"`.execute(store);
      return { ...(rows[0] as object), compartments, attempts, rounds };
    });
    await database.destroy();
    expect(told).toMatchObject({ events: counts.events });
    const expected = path.replace('.tar.gz', '.told.json');
    if (process.env.YC_WRITE_LOG === 'told' && !existsSync(expected))
      writeFileSync(expected, `${JSON.stringify(told)}\n`);
    expect(told).toEqual(JSON.parse(readFileSync(expected, 'utf8')));
  });
});
