import { linkSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Said } from '../said.ts';
import { commandOf, noteOf, type ProcessNote, readNote, stillRuns } from './process.ts';

/** One starter at a time for a data directory. What a starter left that was killed, or a power cut, is taken over. */
export function takeLock(dir: string): () => void {
  const lock = join(dir, 'lock');
  const own = join(dir, `lock.${process.pid}`);
  writeFileSync(own, JSON.stringify(noteOf(process.pid)));
  try {
    for (;;) {
      try {
        linkSync(own, lock); // fails where there is one: of two starters at once only one makes it
        return () => rmSync(lock, { force: true });
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
      }
      const holder = holderOf(lock);
      if (holder)
        throw new Said(
          `Yellow Cell already runs on the data in ${dir} (process ${holder.pid}). Stop it first, or give another --data.`,
        );
      moveAway(lock, join(dir, `lock.old.${process.pid}`));
    }
  } finally {
    rmSync(own, { force: true });
  }
}

export const isHeld = (dir: string): boolean => holderOf(join(dir, 'lock')) !== undefined;

/** A lock that nobody holds; one that a quicker starter has put in its place meanwhile is put back. */
function moveAway(lock: string, aside: string): void {
  try {
    renameSync(lock, aside);
  } catch {
    return; // another starter was quicker
  }
  if (holderOf(aside)) linkSync(aside, lock);
  rmSync(aside, { recursive: true, force: true });
}

function holderOf(lock: string): ProcessNote | undefined {
  const note = readNote(lock) ?? olderNote(lock);
  return note && stillRuns(note) ? note : undefined;
}

/** Locks were folders with a process id once; such a process counts only where it is a command of this program. */
function olderNote(lock: string): ProcessNote | undefined {
  try {
    if (!statSync(lock).isDirectory()) return undefined;
    const pid = Number(readFileSync(join(lock, 'pid'), 'utf8'));
    return /tools.(start|rebuild)/.test(commandOf(pid)) ? noteOf(pid) : undefined;
  } catch {
    return undefined;
  }
}
