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
  /** Stops the server as a crash would, and starts it again at the same place. */
  restart(): Promise<void>;
  close(): Promise<void>;
}

const STAGE_DAY = '2026-05-31';
const HOST = '127.0.0.1';

interface StageOptions {
  port?: number;
  /** Of the server's process, beside the usual. */
  env?: Record<string, string>;
}

export async function setStage({ port, env = {} }: StageOptions = {}): Promise<Stage> {
  const cluster = await temporaryCluster();
  const at = port ?? (await freePort());
  const start = () =>
    startServer({
      databaseUrl: cluster.url,
      host: HOST,
      port: at,
      webDir,
      today: STAGE_DAY,
      command: [process.execPath, serverFile],
      logLevel: 'error',
      env,
    });
  let server = await start();
  return {
    url: `http://${HOST}:${at}`,
    cluster,
    pid: () => server.pid ?? 0,
    async restart() {
      await stopServer(server);
      server = await start();
    },
    async close() {
      await stopServer(server);
      cluster.close();
    },
  };
}
