import { randomUUID } from 'node:crypto';
import { usualWorkshop } from '@yellow-cell/core';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { logEntries } from '../src/services/logEntries.ts';
import { asBreeder } from '../src/store/database.ts';
import { latestMigration, migrate, migrationLevel } from '../src/store/migrate.ts';
import { up as longWords } from '../src/store/migrations/009-long-words.ts';
import { up as ofItsOwn } from '../src/store/migrations/011-workshop.ts';
import { findWorkshop } from '../src/store/workshop.ts';
import { entry, freshDatabase, freshServer, type Ground, ground, storyOfBox } from './bench.test.kit.ts';

const OTHER = 'c0000000-0000-4000-8000-000000000009';
let server: Awaited<ReturnType<typeof freshServer>>;
let place: Ground;
beforeAll(async () => {
  server = await freshServer();
  place = await ground(server.context);
  await logEntries(server.context, storyOfBox(place, '2026-05-10').entries);
});
afterAll(() => server.close());

const tables = async () => {
  const { rows } = await sql<{ name: string; forced: boolean; enabled: boolean; owner: string }>`
    select relname as name, relforcerowsecurity as forced, relrowsecurity as enabled, pg_get_userbyid(relowner) as owner
    from pg_class join pg_namespace n on n.oid = relnamespace
    where relkind = 'r' and nspname = 'public' and relname not like 'kysely%'`.execute(server.database);
  return rows;
};

describe('migrations', () => {
  it('bring an empty database to the latest level, and a second time change nothing', async () => {
    const { database } = await freshDatabase();
    expect(await migrationLevel(database)).toBeNull();
    await migrate(database);
    await migrate(database);
    expect(await migrationLevel(database)).toBe(latestMigration);
    await database.destroy();
  });

  it('find notes and queens of before words were kept, and keep every table apart still', async () => {
    const words = async () => {
      const { rows } = await server.context.within((store) =>
        sql`select what, word, id from search_word order by what, word, id`.execute(store),
      );
      return rows;
    };
    const { box, of, entries } = storyOfBox(place, '2026-05-10', 'Old');
    const given = { box, colony: of.colony, queen: randomUUID(), what: 'mated', caged: false } as const;
    const queen = entry('queenGiven', '2026-05-11', { ...given, mother: { name: 'Sable' } });
    await logEntries(server.context, [...entries.slice(0, -1), { ...queen, note: 'Kept well, and Calm' }]);
    const kept = await words();
    expect(kept).toContainEqual(expect.objectContaining({ what: 'note', word: 'calm' }));
    expect(kept).toContainEqual(expect.objectContaining({ what: 'queen', word: 'sable' }));
    await sql`truncate search_word`.execute(server.database);
    await longWords(server.database as never);
    expect(await words()).toEqual(kept);
  });
});

describe('a workshop that stood in the settings', () => {
  it('has tables of its own after the migration, whoever of the breeders it is of', async () => {
    const { database, context } = server;
    const workshop = { ...usualWorkshop, currency: 'kr', fittings: { disc: 3 } };
    await sql`drop table workshop, stock_sheet, equipment`.execute(database);
    await context.within((store) =>
      sql`update breeder set settings = (settings::jsonb || ${JSON.stringify({ workshop })}::jsonb)::json`.execute(
        store,
      ),
    );
    await ofItsOwn(database as never);
    expect(await context.within(findWorkshop)).toEqual({ ...workshop, version: 1 });
    expect(await asBreeder(database, OTHER, findWorkshop)).toBeUndefined();
    const settings = await context.within((store) =>
      store.selectFrom('breeder').select('settings').execute(),
    );
    expect(JSON.stringify(settings)).not.toContain('kerf_mm');
  });
});

describe('breeders', () => {
  it('are apart in every table, for its owner too', async () => {
    const all = await tables();
    expect(all.length).toBeGreaterThanOrEqual(12);
    for (const { name, forced, enabled } of all)
      expect({ name, forced, enabled }).toEqual({ name, forced: true, enabled: true });
  });

  it('see nothing of each other', async () => {
    for (const { name } of await tables()) {
      const mine = await server.context.within((store) =>
        sql`select * from ${sql.table(name)}`.execute(store),
      );
      const theirs = await asBreeder(server.database, OTHER, (store) =>
        sql`select * from ${sql.table(name)}`.execute(store),
      );
      expect({ name, theirs: theirs.rows }).toEqual({ name, theirs: [] });
      if (['event', 'design', 'yard', 'box_state'].includes(name))
        expect(mine.rows.length).toBeGreaterThan(0);
    }
  });

  it('cannot write as another', async () => {
    const stolen = asBreeder(server.database, OTHER, (store) =>
      store
        .insertInto('yard')
        .values({
          breeder_id: server.context.breeder,
          id: OTHER,
          name: 'X',
          latitude_deg: 0,
          longitude_deg: 0,
          zone: 'UTC',
          version: 1,
        })
        .execute(),
    );
    await expect(stolen).rejects.toThrow(/row-level security/);
  });

  it('work under a role that is neither owner nor superuser', async () => {
    const { rows } = await server.context.within((store) =>
      sql<{
        name: string;
        super: boolean;
      }>`select current_user as name, rolsuper as super from pg_roles where rolname = current_user`.execute(
        store,
      ),
    );
    const owners = new Set((await tables()).map(({ owner }) => owner));
    expect(rows[0]?.super).toBe(false);
    expect(owners.has(rows[0]?.name ?? '')).toBe(false);
  });
});

describe('the log', () => {
  it('cannot be edited, by the application or by the owner', async () => {
    await expect(
      server.context.within((store) => sql`update event set note = 'x'`.execute(store)),
    ).rejects.toThrow(/permission denied/);
    await expect(server.context.within((store) => sql`delete from event`.execute(store))).rejects.toThrow(
      /permission denied/,
    );
    await expect(
      server.context.within(async (store) => {
        await sql`reset role`.execute(store);
        await sql`update event set note = 'x'`.execute(store);
      }),
    ).rejects.toThrow(/append-only/);
  });
});
