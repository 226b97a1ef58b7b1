import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.ts';
import { main, Said } from './said.ts';

/** Fewer modules than this mean that the check saw nothing, not that all is well. */
const LEAST_MODULES = 150;

/** Holds the code to the layers of docs/architecture.md. */
await main(async () => {
  const cruised = spawnSync(
    join(root, 'node_modules', '.bin', 'depcruise'),
    ['--config', '.dependency-cruiser.cjs', 'packages', 'apps/server/src', 'apps/web/src', 'demo'],
    { cwd: root, encoding: 'utf8' },
  );
  console.log(cruised.stdout.trim());
  const modules = Number(/(\d+) modules/.exec(cruised.stdout)?.[1] ?? 0);
  if (modules < LEAST_MODULES)
    throw new Said(`Only ${modules} modules were looked at; the check itself is broken.`);
  if (cruised.status !== 0) throw new Said('A dependency points the wrong way.');
  refuseContractValues();
});

/** Core takes only types from contract; the compiler leaves no trace of those, so the text is looked at. */
function refuseContractValues(): void {
  const src = join(root, 'packages', 'core', 'src');
  const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter(
    (file) => file.endsWith('.ts') && !file.includes('.test.'),
  );
  const wrong = files.filter((file) =>
    /import (?!type )[^;]*from '@yellow-cell\/contract'/.test(readFileSync(join(src, file), 'utf8')),
  );
  if (wrong.length > 0)
    throw new Said(
      `Core takes a value from contract in ${wrong.join(', ')}; only types may come from there.`,
    );
}
