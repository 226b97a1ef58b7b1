import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { closeSync, existsSync, fsyncSync, openSync, readFileSync, renameSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { Said } from '../said.ts';
import { asUser, type DatabaseUser } from './user.ts';

/** Where a cluster listens, and with what password its administrator and the application's login come in. */
export interface State {
  port: number;
  password: string;
}

export const ADMIN = 'yellow_cell_admin';
export const LOGIN = 'yellow_cell';

const fileIn = (dir: string): string => join(dir, 'state.json');
export const newPassword = (): string => randomBytes(24).toString('hex');

/** What was kept; undefined where the file is empty or damaged. */
export function readState(dir: string): State | undefined {
  try {
    const { port, password } = JSON.parse(readFileSync(fileIn(dir), 'utf8')) as Partial<State>;
    return typeof port === 'number' && typeof password === 'string' ? { port, password } : undefined;
  } catch {
    return undefined;
  }
}

/** Whole or not at all, whatever happens meanwhile: written beside it, brought to the disk, and put in its place. */
export function keepState(dir: string, state: State): State {
  const before = existsSync(fileIn(dir)) ? readState(dir) : undefined;
  if (before?.port === state.port && before.password === state.password) return state;
  const beside = `${fileIn(dir)}.new`;
  const file = openSync(beside, 'w', 0o600);
  writeSync(file, JSON.stringify(state));
  fsyncSync(file);
  closeSync(file);
  renameSync(beside, fileIn(dir));
  return state;
}

/** The password was lost with its file. The data's own owner may set another while nothing runs on it. */
export function resetPassword(dir: string, binaries: string, user: DatabaseUser): string {
  const password = newPassword();
  const data = join(dir, 'data');
  const statements = [ADMIN, LOGIN].map(
    (role) =>
      `do $$ begin if exists (select from pg_roles where rolname = '${role}') then alter role ${role} password '${password}'; end if; end $$;\n`,
  );
  const set = spawnSync(join(binaries, 'postgres'), ['--single', '-D', data, 'postgres'], {
    ...asUser(user),
    input: statements.join(''),
    encoding: 'utf8',
  });
  if (set.status !== 0 || /ERROR|FATAL/.test(set.stderr))
    throw new Said(
      `${fileIn(dir)} is damaged, and no new password could be set in ${data}:\n${set.stderr.trim()}`,
    );
  return password;
}
