import { parseArgs } from 'node:util';
import { buildIfChanged } from './build.ts';
import { fuzz } from './fuzz/fuzz.ts';
import { main } from './said.ts';
import { setStage } from './stage.ts';

/** `npm run fuzz -- --requests 300000 --seed 1`: spoiled requests at every route of a server with the demo. */
await main(async () => {
  const { values } = parseArgs({
    options: { requests: { type: 'string', default: '300000' }, seed: { type: 'string', default: '1' } },
  });
  buildIfChanged();
  const stage = await setStage();
  try {
    const begun = Date.now();
    const report = await fuzz(stage.url, stage.pid(), Number(values.requests), Number(values.seed));
    console.log(JSON.stringify(report, null, 2));
    const seconds = ((Date.now() - begun) / 1_000).toFixed(0);
    console.log(
      `${report.requests} requests in ${seconds} s, slowest ${report.slowest_ms.toFixed(0)} ms; ${report.wrong.length === 0 ? 'all holds' : `${report.wrong.length} NOT WELL`}`,
    );
    if (report.wrong.length > 0) process.exitCode = 1;
  } finally {
    await stage.close();
  }
});
