import { createWriteStream, existsSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { backup, type Context } from '@yellow-cell/server';
import { fileFrom, onTheData } from './onTheData.ts';
import { main, Said } from './said.ts';

/** All that is recorded, into one file: `npm run backup -- FILE`, whether the program runs or not. */
await main(async () => {
  const [typed = '', ...rest] = process.argv.slice(2);
  if (typed === '' || typed.startsWith('-')) throw new Said('Use: npm run backup -- FILE [--data DIR]');
  const file = fileFrom(typed);
  if (existsSync(file))
    throw new Said(`${file} is there already; give another name, so that nothing is written over.`);
  const keep = async (context: Context) => {
    let lines = 0;
    await pipeline(
      backup(context, ({ done, of }) => {
        lines = of;
        process.stderr.write(`\r${done.toLocaleString('en')} of ${of.toLocaleString('en')} lines`);
      }),
      createWriteStream(file, { flags: 'wx', mode: 0o600 }),
    );
    console.log(`\nKept in ${file}: ${lines.toLocaleString('en')} lines, as of one moment.`);
    console.log('Try it now and then: npm run restore -- FILE --data DIR, with a new folder, and look.');
  };
  await onTheData(rest, keep, { alongside: true });
});
