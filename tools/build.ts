import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { noticesText, notPermissive, shippedPackages } from './notices.ts';
import { root } from './root.ts';
import { Said } from './said.ts';

const SOURCES = ['packages', 'apps', 'demo', 'package-lock.json'];
const STAMP = join(root, 'apps', 'server', 'dist', 'built-from');
export const webDir = join(root, 'apps', 'web', 'dist');
export const serverFile = join(root, 'apps', 'server', 'dist', 'main.js');

/** Builds the web application and the server where their sources changed since the last build. */
export function buildIfChanged(): void {
  const from = fingerprint();
  if (existsSync(STAMP) && existsSync(join(webDir, 'index.html')) && readFileSync(STAMP, 'utf8') === from)
    return;
  console.error('Building…');
  for (const app of ['web', 'server']) {
    const built = spawnSync(
      process.execPath,
      [join(root, 'node_modules', 'vite', 'bin', 'vite.js'), 'build', '--logLevel', 'warn'],
      {
        cwd: join(root, 'apps', app),
        // Whoever asks for the build may run with another: a test runner, say.
        env: { ...process.env, NODE_ENV: 'production' },
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    );
    if (built.status !== 0) throw new Said(`The ${app} could not be built; the reason stands above.`);
  }
  const shipped = shippedPackages();
  const [odd] = notPermissive(shipped);
  if (odd)
    throw new Said(
      `${odd.name} is under “${odd.license}”, which asks for more than its notice: do without, or look.`,
    );
  writeFileSync(join(webDir, 'third-party.txt'), noticesText(shipped));
  writeFileSync(STAMP, from);
}

/** Changes with any source file's name, size or time. */
function fingerprint(): string {
  const hash = createHash('sha256');
  for (const path of SOURCES.flatMap((source) => filesUnder(join(root, source)))) {
    const { size, mtimeMs } = statSync(path);
    hash.update(`${path} ${size} ${mtimeMs}\n`);
  }
  return hash.digest('hex');
}

function filesUnder(path: string): string[] {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .filter((name) => name !== 'node_modules' && name !== 'dist')
    .flatMap((name) => filesUnder(join(path, name)));
}
