import { existsSync } from 'node:fs';
import { BREEDERS, migrate, restore } from '@yellow-cell/server';
import { fileFrom, withDatabase } from './onTheData.ts';
import { main, Said } from './said.ts';

/** A backup into an empty place: `npm run restore -- FILE --data DIR`. */
await main(async () => {
  const [typed = '', ...rest] = process.argv.slice(2);
  if (typed === '' || typed.startsWith('-')) throw new Said('Use: npm run restore -- FILE [--data DIR]');
  const file = fileFrom(typed);
  if (!existsSync(file)) throw new Said(`There is no file ${file}.`);
  await withDatabase(rest, async (database) => {
    await migrate(database);
    await restore(database, file, BREEDERS, ({ done, of }) =>
      process.stderr.write(`\r${done.toLocaleString('en')} of ${of.toLocaleString('en')} lines`),
    );
    console.log('\nRestored. Start the program on it as usual.');
  });
});
