import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { Said } from './said.ts';

const isRoot = () => process.getuid?.() === 0;

/** Installs Debian packages, with sudo where the user is not root; says which to install where it cannot. */
export function installDebianPackages(names: readonly string[], what: string): void {
  const list = names.join(' ');
  const cannot = `${what} is missing. Install it with: apt-get install ${list}`;
  if (!works('apt-get', ['--version'])) throw new Said(cannot);
  const sudo = isRoot() ? [] : ['sudo'];
  if (!isRoot() && !works('sudo', ['-n', 'true']) && !process.stdin.isTTY) {
    throw new Said(`${cannot} (this user has no right to do it without a password).`);
  }
  console.error(`Installing ${list} from Debian's packages…`);
  const apt = [...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get'];
  const run = (args: readonly string[]) =>
    spawnSync(apt[0] as string, [...apt.slice(1), ...args], { stdio: ['inherit', 'ignore', 'inherit'] })
      .status;
  run(['update', '-qq']);
  if (run(['install', '-y', '-qq', '--no-install-recommends', ...names]) !== 0)
    throw new Said(`${cannot} (apt-get says why above).`);
}

/** Keeps Debian's PostgreSQL package from starting a server of its own; only matters before it is installed. */
export function forbidMainCluster(): void {
  const dir = '/etc/postgresql-common/createcluster.d';
  const setting = 'create_main_cluster = false\n';
  if (isRoot()) {
    mkdirSync(dir, { recursive: true });
    writeFileSync(`${dir}/yellow-cell.conf`, setting);
    return;
  }
  spawnSync('sudo', ['mkdir', '-p', dir], { stdio: 'inherit' });
  spawnSync('sudo', ['tee', `${dir}/yellow-cell.conf`], {
    input: setting,
    stdio: ['pipe', 'ignore', 'inherit'],
  });
}

function works(command: string, args: readonly string[]): boolean {
  return spawnSync(command, args, { stdio: 'ignore' }).status === 0;
}
