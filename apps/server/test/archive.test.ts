import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { gunzipSync, gzipSync } from 'node:zlib';
import type { KeptWorkshop } from '@yellow-cell/contract';
import { usualWorkshop } from '@yellow-cell/core';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { postgresBinaries } from '../../../tools/postgres/binaries.ts';
import { BREEDERS, prepare } from '../src/prepare.ts';
import { backup } from '../src/services/archive/backup.ts';
import { restore } from '../src/services/archive/restore.ts';
import { realClock } from '../src/services/clock.ts';
import { logEntries } from '../src/services/logEntries.ts';
import { changeWorkshop } from '../src/services/workshop.ts';
import { asBreeder, type Database } from '../src/store/database.ts';
import { migrate } from '../src/store/migrate.ts';
import { findWorkshop, workshopOutOfSettings } from '../src/store/workshop.ts';
import { entry, freshDatabase, freshServer, TODAY } from './bench.test.kit.ts';

const dir = mkdtempSync(join(tmpdir(), 'yellow-cell-archive-'));
const whole = join(dir, 'whole.tar.gz');
let server: Awaited<ReturnType<typeof freshServer>>;
beforeAll(async () => {
  server = await freshServer({ demo: true });
  const { breeder, within } = server.context;
  const yard = (await within((store) => store.selectFrom('yard').select('id').executeTakeFirst()))?.id ?? '';
  const bloom = entry('bloomSeen', TODAY, { yard, plant: 'Grüße „🐝“', what: 'full' });
  const unknown = entry('weighed', TODAY, { box: randomUUID(), weight_kg: 20, felt: true });
  await logEntries(server.context, [{ ...bloom, note: 'one\nand two' }, unknown], true);
  const reading = { box: 'B1', measure: 'weight_kg', at: '2026-05-30T10:00:00Z', value: 31.25, raw: '31.25' };
  await within((store) =>
    store
      .insertInto('sensor_reading')
      .values({ breeder_id: breeder, flag: null, ...reading })
      .execute(),
  );
  const line = { kind: 'frame', name: 'Deep frames', count: 40, finish: '', condition: 'good' } as const;
  const register = [{ ...line, id: randomUUID(), place: 'loft', missing: '', comb: 'drawn' as const }];
  await changeWorkshop(server.context, { ...usualWorkshop, register, version: 0 });
  await pipeline(backup(server.context), createWriteStream(whole));
});
afterAll(async () => {
  await server.close();
  rmSync(dir, { recursive: true, force: true });
});

/** Every row of every table of a breeder, however it is ordered. */
async function allRows(database: Database, breeder: string) {
  return asBreeder(database, breeder, async (store) => {
    const { rows: tables } = await sql<{ name: string }>`select tablename as name from pg_tables
      where schemaname = 'public' and tablename not like 'kysely%' order by 1`.execute(store);
    const found: Record<string, unknown[]> = {};
    for (const { name } of tables)
      found[name] = (
        await sql`select to_jsonb(t) as row from ${sql.table(name)} t order by to_jsonb(t)::text`.execute(
          store,
        )
      ).rows;
    return found;
  });
}

async function emptyPlace(): Promise<Database> {
  const { database } = await freshDatabase();
  await migrate(database);
  return database;
}

describe('an archive', () => {
  it('restored into an empty place gives every row again, and the program works on with it', async () => {
    const database = await emptyPlace();
    await restore(database, whole, BREEDERS);
    const before = await allRows(server.database, server.context.breeder);
    expect(before.event?.length).toBeGreaterThan(900);
    expect(before.event_to_settle?.length).toBeGreaterThan(0);
    expect(await allRows(database, server.context.breeder)).toEqual(before);
    const context = await prepare(database, realClock(TODAY), false);
    expect(context.breeder).toBe(server.context.breeder);
    await expect(restore(database, whole, BREEDERS)).rejects.toThrow(/something already/);
    await database.destroy();
  });

  it('made before the workshop had tables of its own brings it in its settings', async () => {
    const { context } = server;
    const before = await context.within(findWorkshop);
    const { version: _, ...workshop } = before as KeptWorkshop;
    const old = join(dir, 'old.tar.gz');
    await context
      .within(async (store) => {
        for (const table of ['workshop', 'stock_sheet', 'equipment'] as const)
          await store.deleteFrom(table).execute();
        await sql`update breeder set settings = (settings::jsonb || ${JSON.stringify({ workshop })}::jsonb)::json`.execute(
          store,
        );
      })
      .then(() => pipeline(backup(context), createWriteStream(old)));
    const gone = ['"workshop": 0,', '"stock": 0,', '"register": 0,'];
    const text = gone.reduce(
      (said, line) => {
        expect(said).toContain(line);
        return said.replace(line, ' '.repeat(line.length));
      },
      gunzipSync(readFileSync(old)).toString('latin1').replace('"formatVersion": 2', '"formatVersion": 1'),
    );
    writeFileSync(old, gzipSync(Buffer.from(text, 'latin1')));
    const database = await emptyPlace();
    await restore(database, old, BREEDERS);
    const { workshop: rows, breeder } = await allRows(database, context.breeder);
    expect(rows).toHaveLength(1);
    expect(JSON.stringify(breeder)).not.toContain('kerf_mm');
    expect(await asBreeder(database, context.breeder, findWorkshop)).toEqual(before);
    await database.destroy();
    await context.within(workshopOutOfSettings);
    expect(await context.within(findWorkshop)).toEqual(before);
  });

  const bytes = () => readFileSync(whole);
  const unzipped = () => gunzipSync(bytes());
  const changed = (from: string, to: string) => {
    const text = unzipped().toString('latin1');
    expect(text).toContain(from);
    return gzipSync(Buffer.from(text.replace(from, to), 'latin1'));
  };
  it.each([
    ['cut off', () => bytes().subarray(0, bytes().length - 2_000)],
    ['with ten bytes changed', () => Buffer.from(bytes()).fill(7, 9_000, 9_010)],
    ['with a word changed', () => changed('"felt":true', '"felt":tru3')],
    ['with a count changed', () => changed('"yards": ', '"yards":1')],
    ['of a newer program', () => changed('"formatVersion": 2', '"formatVersion": 3')],
    ['of another program', () => changed('"yellowCell": "backup"', '"otherHive_": "backup"')],
    ['that is no archive', () => Buffer.from('PK not this')],
    ['that is empty', () => Buffer.alloc(0)],
    ['without its end', () => gzipSync(unzipped().subarray(0, 512 * 20))],
  ])('%s is refused before anything is written', async (_, make) => {
    const file = join(dir, randomUUID());
    writeFileSync(file, make());
    const database = await emptyPlace();
    await expect(restore(database, file, BREEDERS)).rejects.toThrow(
      /damaged, or no backup.*Nothing was written/,
    );
    for (const breeder of BREEDERS)
      for (const rows of Object.values(await allRows(database, breeder))) expect(rows).toEqual([]);
    await database.destroy();
  });

  it('goes out and in over HTTP, told as it goes on', async () => {
    const out = await server.app.inject('/api/backup');
    expect([out.statusCode, out.headers['content-type']]).toEqual([200, 'application/gzip']);
    const empty = await freshServer();
    const headers = { 'content-type': 'application/gzip' };
    const send = (payload: Buffer) =>
      empty.app.inject({ method: 'POST', url: '/api/restore', payload, headers });
    expect((await send(Buffer.from('no'))).statusCode).toBe(422);
    const lines = (await send(out.rawPayload)).body
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line));
    expect(lines.at(-2)).toEqual({ done: lines[0].of, of: lines[0].of });
    expect(lines.at(-1)).toEqual({ restored: true });
    const count = async (app: typeof empty.app) => (await app.inject('/api/designs')).json().length;
    expect(await count(empty.app)).toBe(await count(server.app));
    expect((await send(out.rawPayload)).body).toContain('something already');
    await empty.close();
  });
});

it('the database’s own tool dumps all breeders, and its dump opens again', async () => {
  const bin = postgresBinaries('');
  const dump = join(dir, 'dump.sql');
  execFileSync(join(bin, 'pg_dump'), [
    '--role=yellow_cell_dump',
    '--enable-row-security',
    '-f',
    dump,
    server.url,
  ]);
  const { database, url } = await freshDatabase();
  execFileSync(join(bin, 'psql'), ['-q', '-v', 'ON_ERROR_STOP=1', '-f', dump, url], { stdio: 'ignore' });
  expect(await allRows(database, server.context.breeder)).toEqual(
    await allRows(server.database, server.context.breeder),
  );
  const context = await prepare(database, realClock(TODAY), false);
  await expect(
    context.within((store) => sql.raw('set local role yellow_cell_dump; delete from event').execute(store)),
  ).rejects.toThrow();
  await database.destroy();
});
