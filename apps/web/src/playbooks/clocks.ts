import { openSteps } from '@yellow-cell/core';
import { useEffect, useSyncExternalStore } from 'react';
import { useAsOf } from '../app/now.ts';
import type { YardView } from '../yard/useYard.ts';

/** A clock that runs in some box, kept on the device so that every screen can show it. */
export interface Clock {
  key: string;
  title: string;
  /** Of its own screen. */
  path: string;
  zone: string;
  from?: string;
  to?: string;
}

const SHELF = 'yellow-cell-clocks';
const listeners = new Set<() => void>();
let shown: { text: string; clocks: Readonly<Record<string, readonly Clock[]>> } = { text: '', clocks: {} };

function read(): typeof shown.clocks {
  const text = localStorage.getItem(SHELF) ?? '{}';
  if (text !== shown.text) {
    try {
      shown = { text, clocks: JSON.parse(text) };
    } catch {
      shown = { text, clocks: {} };
    }
  }
  return shown.clocks;
}

/** Puts down what runs in a yard, in place of what ran there when it was last looked at. */
function keepClocks(yard: string, clocks: readonly Clock[]): void {
  const text = JSON.stringify({ ...read(), [yard]: clocks });
  if (text === shown.text) return;
  localStorage.setItem(SHELF, text);
  for (const listener of listeners) listener();
}

export const useClocks = (): Readonly<Record<string, readonly Clock[]>> =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, read);

export const runPath = (yard: string, box: string, run: string): string =>
  `/yard/${yard}/box/${box}/run/${run}`;

/** Keeps what runs in the boxes shown; a day other than today says nothing of it. */
export function useKeepClocks(view: YardView): void {
  const { isToday } = useAsOf();
  useEffect(() => {
    if (isToday) keepClocks(view.yard.id, clocksOf(view));
  }, [view, isToday]);
}

/** Clocks of hours, not of weeks, that run in the boxes shown. */
function clocksOf({ boxes, constants, yard }: YardView): Clock[] {
  return boxes.flatMap(({ box }) =>
    (box.runs ?? []).flatMap((run) =>
      openSteps(run, constants)
        .filter(({ from, to }) => from !== undefined || to !== undefined)
        .map(
          ({ step, from, to }): Clock => ({
            key: `${run.id} ${step.id}`,
            title: `${box.label}: ${step.title}`,
            path: runPath(yard.id, box.id, run.id),
            zone: run.begun.zone,
            ...(from === undefined ? {} : { from }),
            ...(to === undefined ? {} : { to }),
          }),
        ),
    ),
  );
}
