import type { ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { buildIfChanged, serverFile, webDir } from './build.ts';
import { type StartOptions, startOptions } from './options.ts';
import { type Cluster, startCluster } from './postgres/cluster.ts';
import { takeLock } from './postgres/lock.ts';
import { main, Said } from './said.ts';
import { reachable, refuseTakenPort, startServer, stopServer } from './server.ts';

/** From a clone to the served page: database, build, server, in that order; Ctrl-C stops all of them again. */
await main(async () => {
  const options = startOptions(process.argv.slice(2));
  await refuseTakenPort(options.host, options.port);
  const ownUrl = process.env.DATABASE_URL;
  if (options.reset) await reset(options, ownUrl);
  buildIfChanged();
  let cluster: Cluster | undefined;
  let server: ChildProcess | undefined;
  let stopping = false;
  const stop = async (code: number) => {
    if (stopping) return;
    stopping = true;
    await stopServer(server);
    cluster?.close();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0));
  try {
    cluster = ownUrl ? undefined : await startCluster(options.dataDir);
    const { host, port, empty, sensors } = options;
    server = await startServer({
      databaseUrl: ownUrl ?? cluster?.url ?? '',
      host,
      port,
      webDir,
      empty,
      sensors,
      command: [process.execPath, serverFile],
    });
    server.once('exit', (code) => {
      if (!stopping) console.error('The server stopped by itself; its log says why above.');
      void stop(code ?? 1);
    });
  } catch (error) {
    await stopServer(server);
    cluster?.close();
    throw error;
  }
  announce(options);
});

function announce({ host, port, dataDir }: StartOptions): void {
  console.log(`\nYellow Cell is at http://${reachable(host)}:${port}   (Ctrl-C stops it)`);
  if (!process.env.DATABASE_URL) console.log(`Its data is in ${dataDir}`);
  const isLoopback = host === 'localhost' || host === '::1' || host.startsWith('127.');
  if (!isLoopback)
    console.log(`Caution: on ${host} anybody on the network can read and write; there are no accounts yet.`);
}

/** Throws away the data, after asking. */
async function reset({ dataDir, yes }: StartOptions, ownUrl: string | undefined): Promise<void> {
  if (ownUrl)
    throw new Said(
      '--reset works on the data that this program keeps itself; a database of your own (DATABASE_URL) is yours to empty.',
    );
  if (!yes) {
    if (!process.stdin.isTTY)
      throw new Said('--reset throws all data away; say --yes too where nobody can be asked.');
    const asking = createInterface({ input: process.stdin, output: process.stdout });
    const answer = await asking.question(`Throw away all yards, boxes and entries in ${dataDir}? (yes/no) `);
    asking.close();
    if (answer.trim().toLowerCase() !== 'yes') throw new Said('Nothing was thrown away.');
  }
  const release = takeLockIfThere(dataDir);
  for (const part of ['data', 'data.init', 'state.json', 'log'])
    rmSync(join(dataDir, part), { recursive: true, force: true });
  release?.();
}

function takeLockIfThere(dataDir: string): (() => void) | undefined {
  try {
    return takeLock(dataDir);
  } catch (error) {
    if (error instanceof Said) throw error;
    return undefined; // no such folder: nothing to throw away
  }
}
