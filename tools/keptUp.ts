import type { ChildProcess } from 'node:child_process';
import { type ServerSettings, spawnServer, startServer, stopServer } from './server.ts';

interface Hooks {
  onSpawn: (child: ChildProcess) => void;
  /** It ends again and again: whoever watches over it stops trying. */
  onGivenUp: () => void;
}

/** Ends of so many servers within a minute are no accident any more. */
const MOST_ENDS = 20;
const WITHIN_MS = 60_000;
const PAUSE_MS = 500;

/** A server that is started again when it ends by itself: what it acknowledged is stored, and who asks waits a second. */
export function keptUp({ onSpawn, onGivenUp }: Hooks) {
  let child: ChildProcess | undefined;
  let stopping = false;
  let ends: number[] = [];
  const watch = (settings: ServerSettings): void => {
    child?.once('exit', (code, signal) => {
      if (stopping) return;
      ends = [...ends.filter((at) => at > Date.now() - WITHIN_MS), Date.now()];
      if (ends.length > MOST_ENDS) {
        console.error('The server stops again and again; its log says why above.');
        onGivenUp();
        return;
      }
      console.error(`The server stopped by itself (${signal ?? code}); it is started again.`);
      setTimeout(() => {
        if (stopping) return;
        child = spawnServer(settings);
        watch(settings);
      }, PAUSE_MS);
    });
  };
  return {
    async start(asked: ServerSettings): Promise<void> {
      const settings = {
        ...asked,
        onSpawn(spawned: ChildProcess) {
          child = spawned;
          onSpawn(spawned);
        },
      };
      await startServer(settings);
      watch(settings);
    },
    async stop(): Promise<void> {
      stopping = true;
      await stopServer(child);
    },
  };
}
