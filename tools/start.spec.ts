import { type ChildProcess, spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, describe, expect, it } from 'vitest';
import { buildIfChanged } from './build.ts';
import { freePort } from './postgres/cluster.ts';
import { root } from './root.ts';

/** The start command as a user meets it: a process, its words, its data. */
const above = mkdtempSync(join(tmpdir(), 'yellow-cell-start-'));
chmodSync(above, 0o755); // the database may run as another user
const running = new Set<ChildProcess>();

interface Started {
  child: ChildProcess;
  said: () => string;
  ended: Promise<number | null>;
}

function start(args: readonly string[]): Started {
  const child = spawn(process.execPath, [join(root, 'tools', 'run.mjs'), 'start', ...args], {
    cwd: root,
    env: { ...process.env, YC_TODAY: '2026-05-31' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  running.add(child);
  let words = '';
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part) => (words += part));
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  void ended.then(() => running.delete(child));
  return { child, said: () => words, ended };
}

async function untilServed({ said, ended }: Started): Promise<void> {
  let over = false;
  void ended.then(() => {
    over = true;
  });
  while (!said().includes('Yellow Cell is at')) {
    if (over) throw new Error(`it ended: ${said()}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

async function stop({ child, ended }: Started): Promise<void> {
  child.kill('SIGINT');
  await ended;
}

const whatItSays = async (args: readonly string[]): Promise<string> => {
  const started = start(args);
  expect(await started.ended).toBe(1);
  return started.said();
};

buildIfChanged();
afterEach(() => {
  for (const child of running) child.kill('SIGTERM');
});
afterAll(() => rmSync(above, { recursive: true, force: true }));

describe('npm start', () => {
  it('serves, stops all it started on Ctrl-C, and keeps the data', async () => {
    const dir = join(above, 'kept');
    const port = String(await freePort());
    const url = `http://127.0.0.1:${port}/api`;
    const first = start(['--data', dir, '--port', port, '--empty']);
    await untilServed(first);
    const yard = {
      id: '11111111-1111-4111-8111-111111111111',
      name: 'Meadow',
      latitude_deg: 48,
      longitude_deg: 13,
      zone: 'Europe/Vienna',
    };
    const posted = await fetch(`${url}/yards`, {
      method: 'POST',
      body: JSON.stringify(yard),
      headers: { 'content-type': 'application/json' },
    });
    expect(posted.status).toBe(200);
    expect(await whatItSays(['--data', join(above, 'other'), '--port', port])).toContain(
      `Port ${port} is taken`,
    );
    expect(await whatItSays(['--data', dir, '--port', String(await freePort())])).toContain(
      'already runs on the data',
    );
    await stop(first);
    await expect(fetch(`${url}/health`)).rejects.toThrow();
    expect(existsSync(join(dir, 'data', 'postmaster.pid'))).toBe(false);
    expect(existsSync(join(dir, 'lock'))).toBe(false);

    const second = start(['--data', dir, '--port', port]);
    await untilServed(second);
    expect((await (await fetch(`${url}/yards`)).json()).map(({ name }: { name: string }) => name)).toEqual([
      'Meadow',
    ]);
    await stop(second);

    const third = start(['--data', dir, '--port', port, '--empty', '--reset', '--yes']);
    await untilServed(third);
    expect(await (await fetch(`${url}/yards`)).json()).toEqual([]);
    await stop(third);
  });

  it('shows the end of the log of a database that does not start', async () => {
    const dir = join(above, 'broken');
    const port = String(await freePort());
    const first = start(['--data', dir, '--port', port, '--empty']);
    await untilServed(first);
    await stop(first);
    writeFileSync(join(dir, 'data', 'postgresql.conf'), 'no such setting');
    const words = await whatItSays(['--data', dir, '--port', port]);
    expect(words).toContain('does not start');
    expect(words).toContain('syntax error');
  });

  it.each([
    [['--port', '0'], 'a port is a whole number'],
    [['--port', 'eighty'], 'a port is a whole number'],
    [['--colour', 'red'], 'Use: npm start'],
    [['--reset'], 'say --yes'],
  ])('%j gets a sentence', async (args, words) => {
    expect(await whatItSays(['--data', join(above, 'none'), ...args])).toContain(words);
  });
});
