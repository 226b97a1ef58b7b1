import { rebuild } from '@yellow-cell/server';
import { onTheData } from './onTheData.ts';
import { main } from './said.ts';

/** Recomputes all read tables from the event log. */
await main(() =>
  onTheData(process.argv.slice(2), async (context) => {
    const { boxes } = await context.within((store) => rebuild(store, context.breeder));
    console.log(`Rebuilt from the log: ${boxes} boxes.`);
  }),
);
