import { METRIC } from '@yellow-cell/core';
import { createDemo, DEMO_BREEDER } from '@yellow-cell/demo';
import { sql } from 'kysely';
import { describe, expect, it } from 'vitest';
import { prepare } from '../src/prepare.ts';
import { realClock } from '../src/services/clock.ts';
import { addBreeder, findBreeder } from '../src/store/breeders.ts';
import { asBreeder, type Database } from '../src/store/database.ts';
import { migrate } from '../src/store/migrate.ts';
import { freshDatabase, TODAY } from './bench.test.kit.ts';

const countEvents = (database: Database, breeder = DEMO_BREEDER) =>
  asBreeder(
    database,
    breeder,
    async (store) =>
      (await store.selectFrom('event').select(sql<number>`count(*)::int`.as('n')).executeTakeFirstOrThrow())
        .n,
  );
const demoSize = () => createDemo('2026-05-31T08:00:00.000Z').entries.length;

describe('preparing a database', () => {
  it('loads the demo once, and not again at the next start', async () => {
    const { database } = await freshDatabase();
    await prepare(database, realClock(TODAY), false);
    const first = await countEvents(database);
    expect(first).toBe(demoSize());
    await prepare(database, realClock('2026-06-20'), false);
    expect(await countEvents(database)).toBe(first);
    await database.destroy();
  });

  it('goes on with a demo that a stopped process left half loaded', async () => {
    const { database } = await freshDatabase();
    await migrate(database);
    const now = '2026-05-31T08:00:00.000Z';
    const row = {
      breeder_id: DEMO_BREEDER,
      name: 'Half',
      demo_anchor: now,
      demo_loaded_at: now,
      loaded: false,
      settings: { person: 'P', measures: METRIC, constants: {} },
      settings_version: 1,
      fold_version: 1,
    };
    await asBreeder(database, DEMO_BREEDER, (store) => addBreeder(store, row));
    await prepare(database, realClock(TODAY), false);
    expect(await countEvents(database)).toBe(demoSize());
    expect((await asBreeder(database, DEMO_BREEDER, findBreeder))?.loaded).toBe(true);
    await database.destroy();
  });

  it('starts empty where asked, and puts no demo into a database that somebody began', async () => {
    const { database } = await freshDatabase();
    const home = await prepare(database, realClock(TODAY), true);
    expect(await countEvents(database, home.breeder)).toBe(0);
    const again = await prepare(database, realClock(TODAY), false);
    expect(again.breeder).toBe(home.breeder);
    expect(await countEvents(database)).toBe(0);
    await database.destroy();
  });

  it('gives the demo a clock of its own out of season, which runs on', async () => {
    const { database } = await freshDatabase();
    const context = await prepare(database, realClock('2026-11-25'), false);
    expect(context.clock.isDemo).toBe(true);
    expect(context.clock.now().slice(0, 10)).toBe('2026-05-31');
    const later = await prepare(database, realClock('2026-11-28'), false);
    expect(later.clock.now().slice(0, 10)).toBe('2026-06-03');
    await database.destroy();
  });
});
