import { openDatabase, prepare, realClock, rebuild } from '@yellow-cell/server';
import { startOptions } from './options.ts';
import { startCluster } from './postgres/cluster.ts';
import { main } from './said.ts';

/** Recomputes all read tables from the event log. */
await main(async () => {
  const { dataDir, empty } = startOptions(process.argv.slice(2));
  const cluster = process.env.DATABASE_URL ? undefined : await startCluster(dataDir);
  const database = openDatabase(process.env.DATABASE_URL ?? cluster?.url ?? '', (error) =>
    console.error(error.message),
  );
  try {
    const context = await prepare(database, realClock(process.env.YC_TODAY), empty);
    const { boxes } = await context.within((store) => rebuild(store, context.breeder));
    console.log(`Rebuilt from the log: ${boxes} boxes.`);
  } finally {
    await database.destroy();
    cluster?.close();
  }
});
