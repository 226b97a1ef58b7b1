import { type BoxView, type Constants, openSteps } from '@yellow-cell/core';
import { useEffect, useSyncExternalStore } from 'react';
import { keep, readKept } from '../app/kept.ts';
import { useAsOf } from '../app/now.ts';

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

/** A yard as far as its clocks go. */
interface Shown {
  boxes: readonly BoxView[];
  constants: Constants;
  yard: { id: string };
}

const SHELF = 'yc-clocks';
const listeners = new Set<() => void>();
type Clocks = Readonly<Record<string, readonly Clock[]>>;
let shown: Clocks | undefined;

function read(): Clocks {
  shown ??= readKept<Clocks>(SHELF) ?? {};
  return shown;
}

/** Puts down what runs in a yard, in place of what ran there when it was last looked at. */
function keepClocks(yard: string, clocks: readonly Clock[]): void {
  const before = read();
  if (JSON.stringify(before[yard] ?? []) === JSON.stringify(clocks)) return;
  shown = { ...before, [yard]: clocks };
  keep(SHELF, shown);
  for (const listener of listeners) listener();
}

export const useClocks = (): Clocks =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, read);

export const runPath = (yard: string, box: string, run: string): string =>
  `/yard/${yard}/box/${box}/run/${run}`;

/** Keeps what runs in the boxes shown; a day other than today says nothing of it. */
export function useKeepClocks(view: Shown): void {
  const { isToday } = useAsOf();
  useEffect(() => {
    if (isToday) keepClocks(view.yard.id, clocksOf(view));
  }, [view, isToday]);
}

/** Clocks of hours, not of weeks, that run in the boxes shown. */
function clocksOf({ boxes, constants, yard }: Shown): Clock[] {
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
