import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Said } from '../said.ts';

/** One starter at a time for a data directory: an atomic `mkdir` with the process id in it; a stale one is taken over. */
export function takeLock(dir: string): () => void {
  const lock = join(dir, 'lock');
  const pidFile = join(lock, 'pid');
  try {
    mkdirSync(lock);
  } catch {
    const holder = holderOf(pidFile);
    if (holder !== undefined)
      throw new Said(
        `Yellow Cell already runs on the data in ${dir} (process ${holder}). Stop it first, or give another --data.`,
      );
  }
  writeFileSync(pidFile, String(process.pid));
  return () => rmSync(lock, { recursive: true, force: true });
}

function holderOf(pidFile: string): number | undefined {
  try {
    const pid = Number(readFileSync(pidFile, 'utf8'));
    process.kill(pid, 0);
    return pid === process.pid ? undefined : pid;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
      ? Number(readFileSync(pidFile, 'utf8'))
      : undefined;
  }
}
