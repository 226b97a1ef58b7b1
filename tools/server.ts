import { type ChildProcess, spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { Said } from './said.ts';

export interface ServerSettings {
  databaseUrl: string;
  host: string;
  port: number;
  webDir: string;
  empty?: boolean;
  /** What runs the server: the built file, or its source under a watcher. */
  command: readonly string[];
  logLevel?: string;
  today?: string | undefined;
  sensors?: string | undefined;
  origins?: readonly string[];
  /** Of its process, beside the usual. */
  env?: Record<string, string>;
  /** Told as soon as it runs, before it is ready. */
  onSpawn?: (child: ChildProcess) => void;
}

const SAY_AFTER_MS = 20_000;
/** A server that does not end in this time has nothing left to lose: what it acknowledged is stored. */
const STOP_MS = 10_000;
const POLL_MS = 100;

/** Starts the server as a process of its own and waits until it is migrated, loaded and answers. */
export async function startServer(settings: ServerSettings): Promise<ChildProcess> {
  const child = spawnServer(settings);
  await untilReady(child, settings);
  return child;
}

export function spawnServer({
  databaseUrl,
  host,
  port,
  webDir,
  empty = false,
  command,
  logLevel = 'warn',
  today,
  sensors,
  origins = [],
  env = {},
  onSpawn,
}: ServerSettings): ChildProcess {
  const [program = process.execPath, ...args] = command;
  const child = spawn(program, args, {
    // A group of its own: Ctrl-C reaches the starter, which stops the server and then the database, in that order.
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: {
      ...process.env,
      ...env,
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
      HOST: host,
      PORT: String(port),
      YC_WEB: webDir,
      YC_EMPTY: empty ? '1' : '0',
      LOG_LEVEL: process.env.LOG_LEVEL ?? logLevel,
      ...(today ? { YC_TODAY: today } : {}),
      ...(sensors ? { YC_SENSORS: sensors } : {}),
      YC_ORIGINS: origins.join(' '),
    },
  });
  onSpawn?.(child);
  return child;
}

/** What takes its time (a database that recovers, read rows made anew) is waited for as long as the server lives. */
async function untilReady(child: ChildProcess, { host, port }: ServerSettings): Promise<void> {
  let ended = false;
  child.once('exit', () => {
    ended = true;
  });
  const started = Date.now();
  for (let said = false; !(await isReady(host, port)); ) {
    if (ended) throw new Said('The server stopped while it was starting; its log says why above.');
    if (!said && Date.now() - started > SAY_AFTER_MS) {
      console.error('The server is still making its data ready; with a large log this takes minutes…');
      said = true;
    }
    await new Promise((resolve) => setTimeout(resolve, POLL_MS));
  }
}

/** Asks the server to stop and waits until it has. */
export async function stopServer(child: ChildProcess | undefined): Promise<void> {
  if (!child || child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  const late = setTimeout(() => child.kill('SIGKILL'), STOP_MS);
  await ended;
  clearTimeout(late);
}

async function isReady(host: string, port: number): Promise<boolean> {
  try {
    return (await fetch(`http://${reachable(host)}:${port}/api/health`)).ok;
  } catch {
    return false;
  }
}

/** The address at which this machine reaches a server that listens on `host`. */
export const reachable = (host: string): string =>
  host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host.includes(':') ? `[${host}]` : host;

export async function refuseTakenPort(host: string, port: number): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    const probe = createServer();
    probe.once('error', ({ code }: NodeJS.ErrnoException) => reject(new Said(sentenceFor(code, host, port))));
    probe.listen(port, host, () => probe.close(() => resolve()));
  });
}

function sentenceFor(code: string | undefined, host: string, port: number): string {
  if (code === 'EADDRINUSE')
    return `Port ${port} is taken by another program. Stop it, or choose another with --port.`;
  if (code === 'EACCES')
    return `This user may not listen on port ${port}. Choose one above 1023 with --port.`;
  if (code === 'EADDRNOTAVAIL')
    return `This machine has no address ${host}. Give one of its own with --host.`;
  return `The server cannot listen on ${host}:${port} (${code}).`;
}
