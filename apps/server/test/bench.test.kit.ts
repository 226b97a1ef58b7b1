import { randomUUID } from 'node:crypto';
import type { Design, Entry, EntryOf, EventKind, NewDesign, NewYard } from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import { bayIdsOf, type Day, instantOf, standardDesign } from '@yellow-cell/core';
import { sql } from 'kysely';
import pg from 'pg';
import { inject } from 'vitest';
import { buildApp } from '../src/app.ts';
import { prepare } from '../src/prepare.ts';
import { realClock } from '../src/services/clock.ts';
import type { Context } from '../src/services/context.ts';
import { createDesign } from '../src/services/designs.ts';
import { createYard } from '../src/services/yards.ts';
import { type Database, openDatabase } from '../src/store/database.ts';
import { READ_TABLES } from '../src/store/readTables.ts';

export const TODAY = '2026-05-31';
const ZONE = 'Europe/Vienna';

/** A database of its own for a test file, owned by the application's login. */
export async function freshDatabase(): Promise<{ url: string; database: Database }> {
  const name = `test_${randomUUID().slice(0, 8)}`;
  const admin = new pg.Client({ connectionString: inject('adminUrl') });
  await admin.connect();
  await admin.query(`create database ${name} owner yellow_cell`);
  await admin.end();
  const url = inject('loginUrl').replace(/[^/]+$/, name);
  return { url, database: openDatabase(url, () => undefined) };
}

export async function freshServer({ demo = false } = {}) {
  const { url, database } = await freshDatabase();
  const ready: { context?: Context } = {};
  const app = await buildApp({ database, ready });
  const context = await prepare(database, realClock(TODAY), !demo);
  ready.context = context;
  const close = async () => {
    await app.close();
    await database.destroy();
  };
  return { app, database, context, ready, url, close };
}

export function threeWay(): NewDesign {
  const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [3, 3, 3] });
  return { id: randomUUID(), name: 'Three-way', version: { id: randomUUID(), content, note: '' } };
}

export interface Ground {
  design: Design;
  yard: NewYard;
  bays: readonly string[];
}

/** A yard and a design to build boxes from. */
export async function ground(context: Context): Promise<Ground> {
  const yard = { id: randomUUID(), name: 'Meadow', latitude_deg: 48, longitude_deg: 13, zone: ZONE };
  await createYard(context, yard);
  const design = await createDesign(context, threeWay());
  return { design, yard, bays: design.versions.flatMap(({ content }) => bayIdsOf(content)) };
}

let count = 0;
export function entry<K extends EventKind>(
  kind: K,
  on: Day,
  payload: EntryOf<K>['payload'],
  more: { hour?: number; corrects?: string; id?: string } = {},
): Entry {
  const { hour = 9, corrects, id = randomUUID() } = more;
  return {
    id,
    kind,
    kindVersion: kindVersionOf(kind),
    occurredAt: instantOf(on, hour, 0, ZONE),
    zone: ZONE,
    person: 'P',
    device: 'phone',
    deviceSeq: ++count,
    payload,
    ...(corrects ? { corrects } : {}),
  } as Entry;
}

/** The entries of one box: built, placed, its first compartment stocked and given a cell. */
export function storyOfBox({ design, yard, bays }: Ground, cellOn: Day, label = 'B1') {
  const box = randomUUID();
  const of = { box, colony: randomUUID(), attempt: randomUUID() };
  const entries = [
    entry('boxBuilt', '2026-04-01', { box, label, design: design.id, version: 1 }),
    entry('boxPlaced', '2026-04-02', {
      box,
      yard: yard.id,
      stand: '1',
      east_m: 1,
      north_m: 1,
      bearing_deg: 180,
    }),
    entry('stocked', '2026-04-20', {
      box,
      colony: of.colony,
      bays: bays.slice(0, 1),
      frames: { sealedBrood: 1, stores: 1, drawn: 1 },
      shakes: 1,
      openBrood: false,
    }),
    entry('cellGiven', cellOn, of),
  ];
  return { box, of, entries };
}

/** Every read row of a breeder, however the rows are ordered. */
export const readRows = (context: Context): Promise<Record<string, unknown[]>> =>
  context.within(async (store) => {
    const found: Record<string, unknown[]> = {};
    for (const table of READ_TABLES)
      found[table] = (
        await sql`select to_jsonb(t) as row from ${sql.table(table)} t order by to_jsonb(t)::text`.execute(
          store,
        )
      ).rows;
    return found;
  });
