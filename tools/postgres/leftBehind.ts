import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { noteOf, readNote, stillRuns } from './process.ts';

const fileIn = (dir: string): string => join(dir, 'server.json');
const ENDS_MS = 8_000;
const POLL_MS = 100;

/** Remembers the server that works on this data, for a starter after one that was killed. */
export function noteServer(dir: string, pid: number | undefined): () => void {
  if (pid !== undefined) writeFileSync(fileIn(dir), JSON.stringify(noteOf(pid)));
  return () => rmSync(fileIn(dir), { force: true });
}

/** A server whose starter was killed goes on alone, where nobody stops it: it is ended, and that is said. */
export async function endServerLeftBehind(dir: string): Promise<void> {
  const note = readNote(fileIn(dir));
  if (note && stillRuns(note)) {
    console.error(
      `A server left behind by a start that was killed (process ${note.pid}) is ended and taken over.`,
    );
    process.kill(note.pid, 'SIGTERM');
    const until = Date.now() + ENDS_MS;
    while (stillRuns(note) && Date.now() < until)
      await new Promise((resolve) => setTimeout(resolve, POLL_MS));
    if (stillRuns(note)) process.kill(note.pid, 'SIGKILL');
  }
  rmSync(fileIn(dir), { force: true });
}
