import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/**
 * Tells a running process from every other that ever bore its number: by when it started, and in which run of the
 * machine. Undefined where no such process runs. Process ids are given again, after a power cut within minutes.
 */
export function processMark(pid: number): string | undefined {
  if (!Number.isInteger(pid) || pid < 1) return undefined;
  try {
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
    // After the name in brackets, which may hold blanks: the state, and as the 20th from there the start time.
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ') ?? [];
    return fields[0] === 'Z' ? undefined : `${boot} ${fields[19]}`;
  } catch {
    const told = spawnSync('ps', ['-o', 'lstart=', '-p', String(pid)], { encoding: 'utf8' });
    return told.status === 0 ? told.stdout.trim() : undefined;
  }
}

/** A process as it is remembered in a file, and whether that very one still runs. */
export interface ProcessNote {
  pid: number;
  mark: string;
}
export const noteOf = (pid: number): ProcessNote => ({ pid, mark: processMark(pid) ?? '' });
export const stillRuns = ({ pid, mark }: ProcessNote): boolean => processMark(pid) === mark;

/** How a process was called; empty where that cannot be known. */
export function commandOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return '';
  }
}

/** A note in a file, or undefined where there is none that can be read. */
export function readNote(file: string): ProcessNote | undefined {
  try {
    const { pid, mark } = JSON.parse(readFileSync(file, 'utf8')) as Partial<ProcessNote>;
    return typeof pid === 'number' && typeof mark === 'string' ? { pid, mark } : undefined;
  } catch {
    return undefined;
  }
}
