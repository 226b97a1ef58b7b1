import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { Said } from '../said.ts';
import { commandOf, processMark } from './process.ts';
import { asUser, type DatabaseUser } from './user.ts';

export interface Controlled {
  dir: string;
  binaries: string;
  user: DatabaseUser;
  port: number;
  durable: boolean;
  /** Of the administrator, to know when it answers. */
  adminUrl: string;
}

/** Seconds that each way of stopping gets; all of them together stay under 20. */
const FAST_S = 8;
const IMMEDIATE_S = 4;
const POLL_MS = 100;
const SAY_AFTER_MS = 3_000;

/** Starts and stops one PostgreSQL. */
export interface Control {
  start(): Promise<void>;
  runs(): boolean;
  stop(): void;
}

export function controlOf({ dir, binaries, user, port, durable, adminUrl }: Controlled): Control {
  const data = join(dir, 'data');
  const log = join(dir, 'log');
  const settings = ['listen_addresses=127.0.0.1', "unix_socket_directories=''", 'max_connections=50'];
  if (!durable) settings.push('fsync=off', 'synchronous_commit=off', 'full_page_writes=off');
  const options = [`-p ${port}`, ...settings.map((setting) => `-c ${setting}`)].join(' ');
  const control = (...args: string[]) =>
    spawnSync(join(binaries, 'pg_ctl'), ['-D', data, ...args], { ...asUser(user), stdio: 'ignore' }).status;
  const failed = () =>
    new Said(`The database in ${dir} does not start. The end of its log says:\n${endOf(log)}`);
  return {
    async start() {
      forgetStrangersPid(data);
      const begin = () => control('start', '-W', '-l', log, '-o', options) === 0;
      if (!begin()) throw failed();
      const again = () => {
        // What a killed one left in memory is let go of only when the last of its processes has ended.
        const left = /shared memory block.*still in use|lock file .* already exists/.test(endOf(log));
        return left && begin();
      };
      await untilItAnswers(adminUrl, () => postmasterOf(data) !== undefined || again(), failed);
    },
    runs: () => postmasterOf(data) !== undefined,
    stop() {
      if (postmasterOf(data) === undefined) return;
      if (control('stop', '-m', 'fast', '-w', '-t', String(FAST_S)) === 0) return;
      // One that recovers from a crash does not hear that; the next start recovers again, and loses nothing.
      if (control('stop', '-m', 'immediate', '-w', '-t', String(IMMEDIATE_S)) === 0) return;
      const pid = postmasterOf(data);
      if (pid !== undefined) process.kill(pid, 'SIGKILL');
    },
  };
}

/** A database that recovers from a crash takes its time: it is waited for as long as it lives. */
async function untilItAnswers(url: string, lives: () => boolean, failed: () => Said): Promise<void> {
  const started = Date.now();
  for (let said = false; ; ) {
    const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 5_000 });
    client.on('error', () => undefined);
    try {
      await client.connect();
      await client.end();
      return;
    } catch (error) {
      await client.end().catch(() => undefined);
      const { code = '' } = error as NodeJS.ErrnoException;
      const isStarting = code === '57P03' || code === 'ECONNREFUSED' || code === 'ECONNRESET';
      if (!isStarting && !/timeout|terminated/i.test((error as Error).message)) throw error;
    }
    const lived = lives();
    if (!lived && Date.now() - started > SAY_AFTER_MS) throw failed();
    if (!said && Date.now() - started > SAY_AFTER_MS) {
      console.error(
        'The database was not stopped in order, and makes its data whole; this may take minutes…',
      );
      said = true;
    }
    await new Promise((resolve) => setTimeout(resolve, POLL_MS));
  }
}

/** The process that runs on this data; undefined where the one named there is another, or none. */
function postmasterOf(data: string): number | undefined {
  const file = join(data, 'postmaster.pid');
  if (!existsSync(file)) return undefined;
  const pid = Number(readFileSync(file, 'utf8').split('\n')[0]);
  if (processMark(pid) === undefined) return undefined;
  const command = commandOf(pid);
  return command === '' || command.includes(data) ? pid : undefined;
}

/** After a power cut the number of the old process may be another's, whom PostgreSQL would take for its own, and stop. */
function forgetStrangersPid(data: string): void {
  if (postmasterOf(data) === undefined) rmSync(join(data, 'postmaster.pid'), { force: true });
}

function endOf(log: string): string {
  return existsSync(log)
    ? readFileSync(log, 'utf8').trimEnd().split('\n').slice(-12).join('\n')
    : '(there is no log)';
}
