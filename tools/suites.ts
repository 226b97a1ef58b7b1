import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './root.ts';
import { main } from './said.ts';

/** What takes too long for every change, and is run before an issue is closed: `npm run suites`, under an hour. */
const suites: readonly { name: string; args: string[]; env?: Record<string, string> }[] = [
  { name: 'faults', args: ['tools/faults.ts', '--kills', '200', '--seed', '1'] },
  { name: 'fuzz', args: ['tools/fuzz.ts', '--requests', '300000', '--seed', '1'] },
  { name: 'screens', args: ['tools/test.ts', 'end to end'], env: { YC_ALL: '1' } },
  { name: 'kinds', args: ['tools/test.ts', 'kinds'], env: { YC_ALL: '1' } },
];

await main(async () => {
  const wanted = process.argv.slice(2);
  let failed = 0;
  for (const { name, args, env } of suites.filter(
    ({ name: each }) => wanted.length === 0 || wanted.includes(each),
  )) {
    const begun = Date.now();
    console.log(`\n── ${name}`);
    const [file = '', ...rest] = args;
    const { status } = spawnSync(process.execPath, ['--import', 'tsx', join(root, file), ...rest], {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, ...env },
    });
    console.log(
      `── ${name}: ${status === 0 ? 'passed' : 'FAILED'} in ${((Date.now() - begun) / 60_000).toFixed(1)} min`,
    );
    if (status !== 0) failed += 1;
  }
  console.log(failed === 0 ? 'All suites passed.' : `${failed} failed.`);
  if (failed > 0) process.exitCode = 1;
});
