import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
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

/** A started program with one yard in it. */
async function withYard(dir: string, port: string): Promise<Started> {
  const first = start(['--data', dir, '--port', port, '--empty']);
  await untilServed(first);
  const yard = {
    id: '11111111-1111-4111-8111-111111111111',
    name: 'Meadow',
    latitude_deg: 48,
    longitude_deg: 13,
    zone: 'Europe/Vienna',
  };
  await fetch(`http://127.0.0.1:${port}/api/yards`, {
    method: 'POST',
    body: JSON.stringify(yard),
    headers: { 'content-type': 'application/json' },
  });
  return first;
}
const yardsAt = async (port: string): Promise<string[]> =>
  (await (await fetch(`http://127.0.0.1:${port}/api/yards`)).json()).map(
    ({ name }: { name: string }) => name,
  );

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
    const first = await withYard(dir, port);
    expect(await yardsAt(port)).toEqual(['Meadow']);
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

  it('takes over what a start left that was killed, and says so', async () => {
    const dir = join(above, 'killed');
    const port = String(await freePort());
    const first = await withYard(dir, port);
    const { pid } = JSON.parse(readFileSync(join(dir, 'lock'), 'utf8'));
    process.kill(pid, 'SIGKILL');
    await first.ended;
    expect(await yardsAt(port)).toEqual(['Meadow']); // the server is alone now, and still serves
    const second = start(['--data', dir, '--port', port]);
    await untilServed(second);
    expect(second.said()).toContain('left behind');
    expect(await yardsAt(port)).toEqual(['Meadow']);
    await stop(second);
    await expect(fetch(`http://127.0.0.1:${port}/api/health`)).rejects.toThrow();
  });

  it('brings back a database that crashed, stops in time while it recovers, and starts again with all that was stored', async () => {
    const dir = join(above, 'crashed');
    const port = String(await freePort());
    const first = await withYard(dir, port);
    const postmaster = () => Number(readFileSync(join(dir, 'data', 'postmaster.pid'), 'utf8').split('\n')[0]);
    process.kill(postmaster(), 'SIGKILL');
    const killed = Date.now();
    for (let there = 0; there < 5; ) {
      const { status, headers } = await fetch(`http://127.0.0.1:${port}/api/yards`);
      expect([200, 503]).toContain(status);
      if (status === 503) expect(headers.get('retry-after')).toBe('2');
      there = status === 200 && existsSync(join(dir, 'data', 'postmaster.pid')) ? there + 1 : 0;
      expect(Date.now() - killed).toBeLessThan(10_000);
      await new Promise((resolve) => setTimeout(resolve, 300));
    }
    process.kill(postmaster(), 'SIGKILL');
    const begun = Date.now();
    await stop(first);
    expect(Date.now() - begun).toBeLessThan(20_000);
    const second = start(['--data', dir, '--port', port]);
    await untilServed(second);
    expect(await yardsAt(port)).toEqual(['Meadow']);
    await stop(second);
  });

  const write = (file: string, text: string) => (dir: string) => writeFileSync(join(dir, file), text);
  const otherProcess = JSON.stringify({ pid: process.pid, mark: 'then' });
  it.each([
    [
      'the numbers of processes that are others now, and an empty state.json',
      [
        write('lock', otherProcess),
        write('server.json', otherProcess),
        (dir: string) => write(join('data', 'postmaster.pid'), `${process.pid}\n${dir}/data\n`)(dir),
        write('state.json', ''),
      ],
    ],
    [
      'a lock of an earlier version, half a state.json, and one that was being written',
      [
        (dir: string) => mkdirSync(join(dir, 'lock')),
        write(join('lock', 'pid'), String(process.pid)),
        write('state.json', '{"port":54'),
        write('state.json.new', '{"po'),
      ],
    ],
    ['an empty lock', [write('lock', '')]],
  ])('a power cut may leave %s: it starts, and nothing is lost', async (_, leave) => {
    const dir = join(above, 'cut');
    const port = String(await freePort());
    if (!existsSync(dir)) await stop(await withYard(dir, port));
    for (const each of leave) each(dir);
    const again = start(['--data', dir, '--port', port]);
    await untilServed(again);
    expect(await yardsAt(port)).toEqual(['Meadow']);
    await stop(again);
  });

  it('changes nothing of a folder or a file that is not its own, and says what is wrong', async () => {
    const dir = join(above, 'letters');
    mkdirSync(dir);
    writeFileSync(join(dir, 'letter.txt'), 'dear');
    const before = [statSync(dir).uid, statSync(dir).mtimeMs, readdirSync(dir)];
    const port = ['--port', String(await freePort())];
    expect(await whatItSays(['--data', dir, ...port])).toContain('holds “letter.txt”');
    expect(await whatItSays(['--data', join(dir, 'letter.txt'), ...port])).toContain('is a file');
    expect(await whatItSays(['--data', join(dir, 'letter.txt', 'deeper'), ...port])).toContain('is a file');
    expect([statSync(dir).uid, statSync(dir).mtimeMs, readdirSync(dir)]).toEqual(before);
  });

  it('makes the folders above its data so that the database can go through them', async () => {
    const port = ['--port', String(await freePort())];
    const started = start(['--data', join(above, 'two', 'folders', 'down'), ...port]);
    await untilServed(started);
    const mode = (...of: string[]) => statSync(join(above, 'two', ...of)).mode & 0o777;
    expect([mode() & 0o011, mode('folders') & 0o011]).toEqual([0o011, 0o011]);
    expect(mode('folders', 'down')).toBe(0o700);
    await stop(started);
  });

  const disk = join(above, 'disk');
  mkdirSync(disk);
  const mount = (...options: string[]) => spawnSync('mount', [...options, disk]).status === 0;
  const canMount = process.getuid?.() === 0 && mount('-t', 'tmpfs', '-o', 'size=1m', 'tmpfs');
  afterAll(() => spawnSync('umount', [disk]));
  it.skipIf(!canMount)('says that a disk is full, or read-only', async () => {
    const port = ['--port', String(await freePort())];
    expect(await whatItSays(['--data', join(disk, 'here'), ...port])).toMatch(/MB free|disk is full/);
    rmSync(join(disk, 'here'), { recursive: true, force: true });
    mount('-o', 'remount,ro');
    expect(await whatItSays(['--data', join(disk, 'here'), ...port])).toMatch(/cannot be used|read-only/);
  });

  it.each([
    [['--port', '0'], 'a port is a whole number'],
    [['--port', 'eighty'], 'a port is a whole number'],
    [['--colour', 'red'], 'Use: npm start'],
    [['--reset'], 'say --yes'],
  ])('%j gets a sentence', async (args, words) => {
    const port = args.includes('--port') ? [] : ['--port', String(await freePort())];
    expect(await whatItSays(['--data', join(above, 'none'), ...port, ...args])).toContain(words);
  });
});
