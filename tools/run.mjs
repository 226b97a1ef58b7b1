// The door of every npm command: plain JavaScript without packages, since it runs before any are installed.
// It sees to Node and the npm packages, then hands over to the command's TypeScript.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const [command = '', ...rest] = process.argv.slice(2);

const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Yellow Cell needs Node 20.19 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

const lock = createHash('sha256')
  .update(readFileSync(join(root, 'package-lock.json')))
  .digest('hex');
const stamp = join(root, 'node_modules', '.installed-from');
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  console.error('Installing the npm packages…');
  const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';
  const installed = spawnSync(npm, ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  if (installed.status !== 0) {
    console.error(
      'The npm packages could not be installed; npm says why above. Is the registry in reach, and is there room on the disk?',
    );
    process.exit(1);
  }
  writeFileSync(stamp, lock);
}

// Signals go on to the command, which stops what it started; this process only waits for it.
const ran = spawn(process.execPath, ['--import', 'tsx', join(root, 'tools', `${command}.ts`), ...rest], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => ran.kill(signal));
ran.on('exit', (code) => process.exit(code ?? 1));
