import { parseArgs } from 'node:util';
import { buildIfChanged } from './build.ts';
import { tryFaults, wrongIn } from './faults/faults.ts';
import { main } from './said.ts';

/** `npm run faults -- --kills 200 --seed 1`: the program under load, killed part by part. */
await main(async () => {
  const { values } = parseArgs({
    options: { kills: { type: 'string', default: '200' }, seed: { type: 'string', default: '1' } },
  });
  buildIfChanged();
  const report = await tryFaults(Number(values.kills), Number(values.seed));
  console.log(JSON.stringify(report, null, 2));
  const wrong = wrongIn(report);
  for (const sentence of wrong) console.log(sentence);
  const kills = Object.values(report.kills).reduce((sum, count) => sum + count, 0);
  console.log(
    `${kills} kills, ${report.acknowledged} acknowledged, ${report.lost} lost, ${report.doubled} doubled; ${wrong.length === 0 ? 'all holds' : 'NOT WELL'}`,
  );
  if (wrong.length > 0) process.exitCode = 1;
});
