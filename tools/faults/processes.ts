import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { commandOf, readNote } from '../postgres/process.ts';

/** What can be killed of a running program, by its data directory. */
export type Victim = 'server' | 'backend' | 'auxiliary' | 'postmaster' | 'allOfPostgres';

export function processesOf(dir: string, victim: Victim): number[] {
  if (victim === 'server') {
    const note = readNote(join(dir, 'server.json'));
    return note ? [note.pid] : [];
  }
  const postmaster = postmasterOf(dir);
  if (postmaster === undefined) return [];
  if (victim === 'postmaster') return [postmaster];
  const children = childrenOf(postmaster);
  if (victim === 'allOfPostgres') return [postmaster, ...children];
  // A backend names its user and where it was asked from; the others what they do.
  const isBackend = (pid: number): boolean => /127\.0\.0\.1\(/.test(commandOf(pid));
  return children.filter((pid) => isBackend(pid) === (victim === 'backend'));
}

function postmasterOf(dir: string): number | undefined {
  try {
    return Number(readFileSync(join(dir, 'data', 'postmaster.pid'), 'utf8').split('\n')[0]);
  } catch {
    return undefined;
  }
}

function childrenOf(parent: number): number[] {
  return readdirSync('/proc')
    .map(Number)
    .filter((pid) => {
      if (!Number.isInteger(pid)) return false;
      try {
        return Number(readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ')[1]) === parent;
      } catch {
        return false;
      }
    });
}
