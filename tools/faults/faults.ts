import { type ChildProcess, spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededRandom } from '@yellow-cell/core';
import { openDatabase, prepare, READ_TABLES, realClock, rebuild } from '@yellow-cell/server';
import pg from 'pg';
import { freePort, startCluster } from '../postgres/cluster.ts';
import { root } from '../root.ts';
import { beginLoad } from './load.ts';
import { processesOf, type Victim } from './processes.ts';

export interface FaultReport {
  kills: Record<Victim, number>;
  acknowledged: number;
  /** Acknowledged and not in the log; in the log more than once; in the log and never sent. */
  lost: number;
  doubled: number;
  foreign: number;
  odd: readonly string[];
  /** Until the program answered again, in ms: the middle and the longest. */
  back_ms: { median: number; most: number };
  neverBack: number;
  stop_ms: number;
  rebuildIdentical: boolean;
}

const VICTIMS: readonly Victim[] = [
  'server',
  'server',
  'backend',
  'backend',
  'backend',
  'auxiliary',
  'auxiliary',
  'postmaster',
  'allOfPostgres',
];
const WRITERS = 6;
const BACK_MS = 60_000;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Kills parts of a running program at random while writers log, and counts what became of what was acknowledged. */
export async function tryFaults(kills: number, seed: number): Promise<FaultReport> {
  const above = mkdtempSync(join(tmpdir(), 'yellow-cell-faults-'));
  chmodSync(above, 0o755);
  const dir = join(above, 'data');
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  const program = startProgram(dir, port);
  try {
    await untilUp(url, BACK_MS);
    const load = await beginLoad(url, WRITERS);
    const random = seededRandom(seed);
    const killed = Object.fromEntries(VICTIMS.map((victim) => [victim, 0])) as Record<Victim, number>;
    const back: number[] = [];
    let neverBack = 0;
    for (let done = 0; done < kills; ) {
      await pause(100 + random() * 900);
      const victim = VICTIMS[Math.floor(random() * VICTIMS.length)] as Victim;
      const found = processesOf(dir, victim);
      const chosen =
        victim === 'allOfPostgres'
          ? found
          : found.length > 0
            ? [found[Math.floor(random() * found.length)]]
            : [];
      if (chosen.length === 0) continue;
      for (const pid of chosen) killOne(pid ?? 0);
      killed[victim] += 1;
      done += 1;
      const took = await untilUp(url, BACK_MS);
      if (program.exitCode !== null) throw new Error('The start command ended by itself.');
      if (took === undefined) neverBack += 1;
      else back.push(took);
    }
    await load.stop();
    const begun = Date.now();
    await stopProgram(program);
    const stop_ms = Date.now() - begun;
    const { ids, rebuildIdentical } = await readBack(dir);
    const counts = new Map<string, number>();
    for (const id of ids) counts.set(id, (counts.get(id) ?? 0) + 1);
    back.sort((a, b) => a - b);
    return {
      kills: killed,
      acknowledged: load.acknowledged.size,
      lost: [...load.acknowledged].filter((id) => !counts.has(id)).length,
      doubled: [...counts.values()].filter((count) => count > 1).length,
      foreign: [...counts.keys()].filter((id) => !load.sent.has(id)).length,
      odd: load.odd,
      back_ms: { median: back[Math.floor(back.length / 2)] ?? 0, most: back.at(-1) ?? 0 },
      neverBack,
      stop_ms,
      rebuildIdentical,
    };
  } finally {
    await stopProgram(program);
    rmSync(above, { recursive: true, force: true });
  }
}

function startProgram(dir: string, port: number): ChildProcess {
  return spawn(
    process.execPath,
    ['--import', 'tsx', join(root, 'tools', 'start.ts'), '--data', dir, '--port', String(port), '--empty'],
    { cwd: root, stdio: 'ignore', env: { ...process.env, LOG_LEVEL: 'silent' } },
  );
}

async function stopProgram(program: ChildProcess): Promise<void> {
  if (program.exitCode !== null || program.signalCode !== null) return;
  const ended = new Promise((resolve) => program.once('exit', resolve));
  program.kill('SIGINT');
  await ended;
}

function killOne(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It ended by itself a moment before.
  }
}

/** Milliseconds until it answers, reads its database and says so; undefined where it never does. */
async function untilUp(url: string, most: number): Promise<number | undefined> {
  const begun = Date.now();
  while (Date.now() - begun < most) {
    try {
      if ((await fetch(`${url}/api/yards`, { signal: AbortSignal.timeout(5_000) })).ok)
        return Date.now() - begun;
    } catch {
      // Nobody listens at the moment.
    }
    await pause(50);
  }
  return undefined;
}

/** Every event id that the log holds, read past the program; and whether a rebuild changes any read row. */
async function readBack(dir: string): Promise<{ ids: string[]; rebuildIdentical: boolean }> {
  const cluster = await startCluster(dir);
  const admin = new pg.Client({ connectionString: cluster.adminUrl.replace(/[^/]+$/, 'yellow_cell') });
  const database = openDatabase(cluster.url, () => undefined);
  try {
    await admin.connect();
    const ids = (await admin.query('select id::text from event')).rows.map(({ id }) => id as string);
    const rows = async () => {
      const found = [];
      for (const table of READ_TABLES)
        found.push(
          (
            await admin.query(
              `select md5(string_agg(to_jsonb(t)::text, '' order by to_jsonb(t)::text)) from ${table} t`,
            )
          ).rows[0],
        );
      return JSON.stringify(found);
    };
    const before = await rows();
    const context = await prepare(database, realClock(), true);
    await context.within((store) => rebuild(store, context.breeder));
    return { ids, rebuildIdentical: (await rows()) === before };
  } finally {
    await admin.end();
    await database.destroy();
    cluster.close();
  }
}

/** What must hold of it, as sentences where it does not. */
export function wrongIn(report: FaultReport): string[] {
  const { lost, doubled, foreign, odd, neverBack, stop_ms, rebuildIdentical, acknowledged } = report;
  return [
    lost > 0 ? `${lost} acknowledged entries are lost.` : '',
    doubled > 0 ? `${doubled} entries stand twice.` : '',
    foreign > 0 ? `${foreign} entries were never sent.` : '',
    odd.length > 0 ? `${odd.length} answers are neither 200 nor 503: ${odd[0]}` : '',
    neverBack > 0 ? `${neverBack} times it did not come up again by itself.` : '',
    stop_ms > 20_000 ? `It took ${stop_ms} ms to stop.` : '',
    rebuildIdentical ? '' : 'A rebuild gives other rows.',
    acknowledged < 10 ? 'Hardly anything was logged: nothing was tried.' : '',
  ].filter(Boolean);
}
