import { serverFile, webDir } from './build.ts';
import { type Cluster, freePort } from './postgres/cluster.ts';
import { temporaryCluster } from './postgres/temporary.ts';
import { startServer, stopServer } from './server.ts';

/** A whole Yellow Cell on data of its own that is thrown away afterwards: for end-to-end tests, pictures and benchmarks. */
export interface Stage {
  url: string;
  cluster: Cluster;
  /** Of the server's process. */
  pid(): number;
  /** Stops the server as a crash would, and starts it again at the same place; on another day where one is named. */
  restart(day?: string): Promise<void>;
  close(): Promise<void>;
}

const STAGE_DAY = '2026-05-31';
const HOST = '127.0.0.1';

interface StageOptions {
  port?: number;
  /** Of the server's process, beside the usual. */
  env?: Record<string, string>;
  /** The day that counts as today. */
  day?: string;
  /** Without the demo. */
  empty?: boolean;
  /** Data that would outlive a crash, as in use; else it is written faster. */
  durable?: boolean;
}

export async function setStage({
  port,
  env = {},
  day = STAGE_DAY,
  empty = false,
  durable = false,
}: StageOptions = {}): Promise<Stage> {
  const cluster = await temporaryCluster(durable);
  const at = port ?? (await freePort());
  let today = day;
  const start = () =>
    startServer({
      databaseUrl: cluster.url,
      host: HOST,
      port: at,
      webDir,
      today,
      empty,
      command: [process.execPath, serverFile],
      logLevel: 'error',
      env,
    });
  let server = await start();
  return {
    url: `http://${HOST}:${at}`,
    cluster,
    pid: () => server.pid ?? 0,
    async restart(next = today) {
      await stopServer(server);
      today = next;
      server = await start();
    },
    async close() {
      await stopServer(server);
      cluster.close();
    },
  };
}
