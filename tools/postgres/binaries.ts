import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { forbidMainCluster, installDebianPackages } from '../packages.ts';
import { Said } from '../said.ts';

const DEBIAN_DIR = '/usr/lib/postgresql';
const INSTALLED_VERSION = '15';
const PACKAGE = `postgresql-${INSTALLED_VERSION}`;

const otherVersion = (dataDir: string, made: string): string =>
  `The data in ${dataDir} was made by PostgreSQL ${made}, which is not installed. Install postgresql-${made}, or give another --data.`;

/** The folder with initdb and pg_ctl; where a data directory exists, of the version that made it. */
export function postgresBinaries(dataDir: string): string {
  const made = madeByVersion(dataDir);
  const found = findBinaries(made);
  if (found) return found;
  if (made && made !== INSTALLED_VERSION) throw new Said(otherVersion(dataDir, made));
  forbidMainCluster();
  installDebianPackages([PACKAGE], 'PostgreSQL');
  const installed = findBinaries(made);
  if (installed) return installed;
  throw new Said('PostgreSQL was installed but its programs were not found; set PG_BINDIR to their folder.');
}

function madeByVersion(dataDir: string): string | undefined {
  const file = join(dataDir, 'PG_VERSION');
  try {
    return existsSync(file) ? readFileSync(file, 'utf8').trim() : undefined;
  } catch {
    return undefined; // not ours to read: starting it will say so
  }
}

function findBinaries(version: string | undefined): string | undefined {
  return candidates().find(
    (dir) =>
      existsSync(join(dir, 'initdb')) &&
      existsSync(join(dir, 'pg_ctl')) &&
      (!version || majorOf(dir) === version),
  );
}

function candidates(): string[] {
  if (process.env.PG_BINDIR) return [process.env.PG_BINDIR];
  const debian = existsSync(DEBIAN_DIR)
    ? readdirSync(DEBIAN_DIR)
        .sort((a, b) => Number(b) - Number(a))
        .map((version) => join(DEBIAN_DIR, version, 'bin'))
    : [];
  const configured = spawnSync('pg_config', ['--bindir'], { encoding: 'utf8' });
  return configured.status === 0 ? [...debian, configured.stdout.trim()] : debian;
}

function majorOf(dir: string): string | undefined {
  const told = spawnSync(join(dir, 'initdb'), ['--version'], { encoding: 'utf8' }).stdout ?? '';
  return /(\d+)[.\d]*/.exec(told)?.[1];
}
