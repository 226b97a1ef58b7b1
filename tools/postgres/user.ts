import { spawnSync } from 'node:child_process';
import { Said } from '../said.ts';

/** Who runs the database. PostgreSQL refuses to run as root, so root hands it to the `postgres` user of the package. */
export interface DatabaseUser {
  uid: number;
  gid: number;
}

export function databaseUser(): DatabaseUser {
  const uid = process.getuid?.() ?? -1;
  const gid = process.getgid?.() ?? -1;
  if (uid !== 0) return { uid, gid };
  const [postgresUid, postgresGid] = ['-u', '-g'].map((flag) =>
    Number(spawnSync('id', [flag, 'postgres'], { encoding: 'utf8' }).stdout),
  );
  if (!postgresUid || !postgresGid) {
    throw new Said(
      'PostgreSQL will not run as root, and there is no user “postgres” to run it. Make one with: adduser --system --group postgres',
    );
  }
  return { uid: postgresUid, gid: postgresGid };
}

/** How its programs are run: as that user, from a folder that it can read. */
export const asUser = ({ uid, gid }: DatabaseUser) =>
  process.getuid?.() === 0 ? { uid, gid, cwd: '/' } : { cwd: '/' };
