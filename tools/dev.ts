import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { startOptions } from './options.ts';
import { startCluster } from './postgres/cluster.ts';
import { root } from './root.ts';
import { main } from './said.ts';
import { refuseTakenPort, startServer, stopServer } from './server.ts';

const WEB_PORT = 5173;

/** The same as `npm start` from source: the server restarts and the page reloads when a file changes. */
await main(async () => {
  const { host, port, dataDir, empty } = startOptions(process.argv.slice(2));
  await refuseTakenPort(host, port);
  const cluster = process.env.DATABASE_URL ? undefined : await startCluster(dataDir);
  const bin = (name: string) => join(root, 'node_modules', '.bin', name);
  const server = await startServer({
    databaseUrl: process.env.DATABASE_URL ?? cluster?.url ?? '',
    host,
    port,
    webDir: '',
    empty,
    logLevel: 'info',
    command: [bin('tsx'), 'watch', '--clear-screen=false', join(root, 'apps', 'server', 'src', 'main.ts')],
  });
  const web = spawn(bin('vite'), ['--port', String(WEB_PORT)], {
    cwd: join(root, 'apps', 'web'),
    stdio: 'inherit',
    env: { ...process.env, YC_API_PORT: String(port) },
  });
  const stop = async () => {
    web.kill();
    await stopServer(server);
    cluster?.close();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => void stop());
});
