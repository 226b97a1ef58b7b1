import { createServer } from 'node:http';
import { setStage } from '../tools/stage.ts';
import { stageAt } from './address.ts';

const { port, controlPort } = stageAt(Number(process.argv[2] ?? 0));

/** The application on the demo, with a door through which a test stops and starts its database or its server. */
const stage = await setStage({ port });
const control = createServer(async (request, response) => {
  if (request.url === '/stop-database') stage.cluster.stop();
  if (request.url === '/start-database') await stage.cluster.restart();
  if (request.url === '/restart-server') await stage.restart();
  response.end('done');
}).listen(controlPort, '127.0.0.1');

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, async () => {
    control.close();
    await stage.close();
    process.exit(0);
  });
}
