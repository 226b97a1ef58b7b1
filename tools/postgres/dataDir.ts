import { spawnSync } from 'node:child_process';
import {
  accessSync,
  chmodSync,
  chownSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  statfsSync,
  statSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { Said } from '../said.ts';
import { defaultDataDir } from './place.ts';
import type { DatabaseUser } from './user.ts';

const LEAST_ROOM_BYTES = 200e6;
/** All that this program keeps in a data directory. */
const OURS = /^(data|data\.init|state\.json(\.new)?|server\.json|log|password|lock(\..*)?)$/;

/** Makes a data directory ready for use. One that is not ours is left as it is, to the last bit. */
export function prepareDir(dir: string, user: DatabaseUser): void {
  refuseForeign(dir);
  try {
    if (!existsSync(dir)) makeFor(dir, user);
    // Starts of before made the folder above their data, and closed it to the database's own user.
    if (process.getuid?.() === 0 && dirname(dir) === dirname(defaultDataDir()))
      letThrough(dirname(dir), user);
    const isNew = readdirSync(dir).length === 0;
    if (isNew && process.getuid?.() === 0 && statSync(dir).uid === 0) chownSync(dir, user.uid, user.gid);
    accessSync(dir, constants.W_OK);
  } catch (error) {
    throw new Said(`The data directory ${dir} cannot be used: ${(error as Error).message}`);
  }
  refuseUnreachable(dir, user);
  const { bavail, bsize } = statfsSync(dir);
  if (bavail * bsize < LEAST_ROOM_BYTES)
    throw new Said(
      `There are only ${Math.floor((bavail * bsize) / 1e6)} MB free for ${dir}; the database needs 200 MB.`,
    );
}

/** Only the directory itself is closed to others: the database's user goes to it through those above. */
function makeFor(dir: string, user: DatabaseUser): void {
  const first = mkdirSync(dirname(dir), { recursive: true });
  for (let made = dirname(dir); first !== undefined && made.length >= first.length; made = dirname(made))
    letThrough(made, user);
  mkdirSync(dir, { mode: 0o700 });
}

const letThrough = (dir: string, { uid }: DatabaseUser): void => {
  const { mode, uid: owner } = statSync(dir);
  if (owner !== uid) chmodSync(dir, mode | THROUGH);
};
/** Others may go through a folder, and not list it. */
const THROUGH = 0o011;

/** Looks, and changes nothing: a file, or a folder with anything in it that this program did not make. */
function refuseForeign(dir: string): void {
  const nearest = nearestThere(dir);
  if (!statSync(nearest).isDirectory())
    throw new Said(`${nearest} is a file, no folder. Give another --data; nothing was changed.`);
  if (nearest !== dir) return;
  const found = listed(dir);
  const strange = found.find((name) => !OURS.test(name));
  if (strange !== undefined)
    throw new Said(
      `${dir} holds “${strange}”, which Yellow Cell did not put there. Give a new folder, or an empty one, with --data; nothing was changed.`,
    );
  if (found.includes('data') && !found.includes('state.json'))
    throw new Said(
      `${join(dir, 'data')} was not made by Yellow Cell: ${join(dir, 'state.json')} is missing. Give another --data; nothing was changed.`,
    );
}

function listed(dir: string): string[] {
  try {
    return readdirSync(dir);
  } catch (error) {
    throw new Said(`The data directory ${dir} cannot be read: ${(error as Error).message}`);
  }
}

const nearestThere = (path: string): string =>
  existsSync(path) || dirname(path) === path ? path : nearestThere(dirname(path));

function refuseUnreachable(dir: string, user: DatabaseUser): void {
  const owner = statSync(dir).uid;
  if (owner !== user.uid)
    throw new Said(
      `The data in ${dir} belongs to another user (id ${owner}); the database runs as id ${user.uid}. Give another --data.`,
    );
  if (spawnSync('ls', [dir], { uid: user.uid, gid: user.gid, stdio: 'ignore', cwd: '/' }).status !== 0) {
    throw new Said(
      `The database's user cannot reach ${dir}; a folder above it is closed to others. Give another --data, such as one under /var/lib.`,
    );
  }
}
