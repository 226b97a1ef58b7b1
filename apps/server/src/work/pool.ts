import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import type { CalendarTask } from './calendar.ts';
import type { PaperTask } from './paper.ts';
import type { Answered, Task } from './worker.ts';

/** Work of more than a moment, done by other threads: limited in time, and ended when its asker has gone. */
export interface Pool {
  compute(subject: string, question: string, gone: AbortSignal): Promise<Answered>;
  paper(task: PaperTask, gone: AbortSignal): Promise<Uint8Array>;
  calendar(task: CalendarTask, gone: AbortSignal): Promise<string>;
  /** Starts the threads before anybody waits for them. */
  warm(): void;
  close(): Promise<void>;
}

/** The work would take longer than anybody waits. */
export class TookTooLong extends Error {}
/** More work waits than can be done soon. */
export class TooMuchWork extends Error {}
/** Nobody waits for the answer any more. */
export class AskerGone extends Error {}

const MOST_MS = 30_000;
const THREADS = 2;
const MOST_WAITING = 40;
const MEMORY_MB = 1_024;
const NICE = 10;

/** Built, the worker is a file beside the server. */
const isSource = import.meta.url.endsWith('.ts');
const workerFile = fileURLToPath(new URL(isSource ? './fromSource.mjs' : './worker.js', import.meta.url));

export function openPool({ mostMs = MOST_MS } = {}): Pool {
  let threads: Piscina<Task, Answered | Uint8Array | string> | undefined;
  const opened = () => {
    threads ??= new Piscina({
      filename: workerFile,
      execArgv: [],
      minThreads: THREADS,
      maxThreads: THREADS,
      maxQueue: MOST_WAITING,
      // Where the machine has fewer cores than work, those who only want a page come first.
      niceIncrement: NICE,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
    });
    return threads;
  };
  const run = async (task: Task, gone: AbortSignal): Promise<Answered | Uint8Array | string> => {
    const late = AbortSignal.timeout(mostMs);
    try {
      return await opened().run(task, { signal: AbortSignal.any([gone, late]) });
    } catch (error) {
      if (gone.aborted) throw new AskerGone('Nobody waits for this any more.');
      if (late.aborted)
        throw new TookTooLong(
          `This took longer than ${mostMs / 1_000} s and was stopped; ask for less at once.`,
        );
      if (/task queue is at limit/i.test((error as Error).message))
        throw new TooMuchWork('More is being worked out than can be done soon; try again in a moment.');
      throw error;
    }
  };
  return {
    compute: (subject, question, gone) =>
      run({ what: 'compute', subject, question }, gone) as Promise<Answered>,
    paper: (task, gone) => run({ what: 'paper', task }, gone) as Promise<Uint8Array>,
    calendar: (task, gone) => run({ what: 'calendar', task }, gone) as Promise<string>,
    warm: () => void opened(),
    close: async () => threads?.destroy(),
  };
}
