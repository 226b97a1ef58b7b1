import { buildApp } from './app.ts';
import { readConfig } from './config.ts';
import { prepare } from './prepare.ts';
import { realClock } from './services/clock.ts';
import { type SensorFeed, watchSensors } from './services/sensors.ts';
import { isDatabaseGone, openDatabase } from './store/database.ts';
import { openPool } from './work/pool.ts';

const RETRY_MS = 1_000;
const SAY_EACH_MS = 5_000;

const config = readConfig(process.env);
const ready: Parameters<typeof buildApp>[0]['ready'] = {};
const database = openDatabase(config.databaseUrl, (error) =>
  app.log.warn({ err: error }, 'idle database connection lost'),
);
const feed: SensorFeed | undefined = config.sensors
  ? { url: config.sensors, polledAt: null, problem: null }
  : undefined;
const pool = openPool();
const app = await buildApp({
  database,
  pool,
  webDir: config.webDir,
  logLevel: config.logLevel,
  ready,
  feed,
  real: realClock(config.today),
  place: { host: config.host, origins: config.origins },
});
let stopWatching = (): void => undefined;

let stopping = false;
async function stop(exitCode: number): Promise<void> {
  if (stopping) return;
  stopping = true;
  stopWatching();
  await app.close();
  await database.destroy();
  process.exit(exitCode);
}
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => void stop(0));

/** A database that starts, or recovers from a crash, is waited for. */
async function onceDatabaseIsThere<T>(work: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!isDatabaseGone(error) || stopping) throw error;
      app.log.warn({ err: error }, 'waiting for the database');
      await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
    }
  }
}

/** Says every few seconds how far the log is told again: of a large one, that takes minutes. */
function toldNowAndThen(): (entries: number) => void {
  let next = Date.now() + SAY_EACH_MS;
  return (entries) => {
    if (Date.now() < next) return;
    next = Date.now() + SAY_EACH_MS;
    app.log.warn({ entries }, 'the log is told again for this version');
  };
}

try {
  await app.listen({ host: config.host, port: config.port });
  pool.warm();
  ready.context = await onceDatabaseIsThere(() =>
    prepare(database, realClock(config.today), config.empty, toldNowAndThen()),
  );
  if (feed) stopWatching = watchSensors(feed, ready.context, () => new Date());
  app.log.info('ready');
} catch (error) {
  app.log.fatal({ err: error }, 'could not start');
  await stop(1);
}
