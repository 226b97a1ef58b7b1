import type { NestAnswer } from '@yellow-cell/contract';
import type { SheetGroup } from '@yellow-cell/core';
import { proxy, wrap } from 'comlink';
import { useCallback, useEffect, useState } from 'react';
import type { NestWorker } from './nest.worker.ts';

export interface Nesting {
  found: ReadonlyMap<string, NestAnswer>;
  /** Groups still being laid. */
  working: number;
  stop: () => void;
}

/** Lays every group of a cut list beside the page, one after another, the best so far shown at once. */
export function useNesting(groups: readonly SheetGroup[]): Nesting {
  const [told, setTold] = useState<Told>({ of: groups, found: new Map(), left: 0 });
  const [stoppedFor, setStoppedFor] = useState<readonly SheetGroup[]>();
  const stopped = stoppedFor === groups;
  useEffect(() => {
    const asked = groups.filter(({ question }) => question);
    if (stopped || asked.length === 0) return undefined;
    const { worker, nester } = newNester();
    let wanted = true;
    setTold({ of: groups, found: new Map(), left: asked.length });
    const run = async () => {
      for (const { key, question } of asked) {
        if (!wanted || !question) return;
        const tell = (answer: NestAnswer, done: boolean) => {
          if (wanted)
            setTold((now) => ({
              ...now,
              found: new Map(now.found).set(key, answer),
              left: now.left - (done ? 1 : 0),
            }));
        };
        await nester.nest(question, proxy(tell));
      }
    };
    void run();
    return () => {
      wanted = false;
      worker.terminate();
    };
  }, [groups, stopped]);
  const current = told.of === groups;
  return {
    found: current ? told.found : NONE,
    working: stopped || !current ? 0 : told.left,
    stop: useCallback(() => setStoppedFor(groups), [groups]),
  };
}

function newNester() {
  const worker = new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' });
  return { worker, nester: wrap<NestWorker>(worker) };
}

/** Boxes that one sheet of a group gives: what does not fit is searched for to the end, so it is asked beside the page. */
export async function boxesOfOneSheet(group: SheetGroup, boxes: number): Promise<number> {
  const { worker, nester } = newNester();
  try {
    return await nester.perSheet(group, boxes);
  } finally {
    worker.terminate();
  }
}

interface Told {
  of: readonly SheetGroup[];
  found: ReadonlyMap<string, NestAnswer>;
  left: number;
}
const NONE: ReadonlyMap<string, NestAnswer> = new Map();
