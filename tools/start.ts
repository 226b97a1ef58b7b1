import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { buildIfChanged, serverFile, webDir } from './build.ts';
import { keptUp } from './keptUp.ts';
import { type StartOptions, startOptions } from './options.ts';
import { type Cluster, claimDataDir, openCluster } from './postgres/cluster.ts';
import { noteServer } from './postgres/leftBehind.ts';
import { main, Said } from './said.ts';
import { reachable, refuseTakenPort } from './server.ts';

const PARENT_MS = 1_000;

/** From a clone to the served page: data, database, build, server, in that order; Ctrl-C stops all of them again. */
await main(async () => {
  const options = startOptions(process.argv.slice(2));
  const ownUrl = process.env.DATABASE_URL;
  if (options.reset) await reset(options, ownUrl);
  const claim = ownUrl ? undefined : await claimDataDir(options.dataDir);
  let cluster: Cluster | undefined;
  let forget = (): void => undefined;
  let stopping = false;
  const server = keptUp({
    onSpawn(child) {
      if (claim) forget = noteServer(claim.dir, child.pid);
    },
    onGivenUp: () => void stop(1),
  });
  const stopAll = async () => {
    stopping = true;
    await server.stop();
    forget();
    if (cluster) cluster.close();
    else claim?.release();
  };
  const stop = async (code: number) => {
    if (stopping) return;
    await stopAll();
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0));
  stopWithParent(() => void stop(0));
  try {
    await refuseTakenPort(options.host, options.port);
    buildIfChanged();
    cluster = claim && (await openCluster(claim));
    const { host, port, empty, sensors, origins } = options;
    await server.start({
      databaseUrl: ownUrl ?? cluster?.url ?? '',
      host,
      port,
      webDir,
      empty,
      sensors,
      origins,
      command: [process.execPath, serverFile],
    });
    cluster?.keepUp();
  } catch (error) {
    await stopAll();
    throw error;
  }
  announce(options);
});

/** Whoever started this was killed, and can hand on no signal any more: nobody else would stop what runs. */
function stopWithParent(stop: () => void): void {
  const parent = process.ppid;
  setInterval(() => process.ppid !== parent && stop(), PARENT_MS).unref();
}
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
  if (!existsSync(dataDir)) return;
  const { release } = await claimDataDir(dataDir);
  for (const part of ['data', 'data.init', 'state.json', 'log'])
    rmSync(join(dataDir, part), { recursive: true, force: true });
  release();
}
