import type { Run } from '@yellow-cell/contract';
import { endOfDay } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { BEGUN, type Step } from './playbook.ts';
import { playbooks } from './playbooks.ts';
import { span_ms } from './span.ts';
import { planFor } from './towardsDay.ts';

/** Where a step stands: done or left out, to be done now, or later. */
export type Standing = 'done' | 'skipped' | 'now' | 'later';

export interface StepProgress {
  step: Step;
  is: Standing;
  /** Instants between which it is to be done, as far as its clock runs. */
  from?: string;
  to?: string;
}

const plus = (at: string, ms: number): string => new Date(Date.parse(at) + ms).toISOString();

/**
 * Steps in their order: those before the present one are done or left out, the first that is neither is to be done now.
 * What is done again and again never holds up the next step; it is to be done so long after the last time.
 */
export function progressOf(run: Run, constants: Constants): StepProgress[] {
  let open = run.ended === undefined;
  const latest =
    run.by === undefined ? undefined : planFor(run.playbook, run.by, run.begun.on, constants).latest;
  return playbooks[run.playbook].steps.map((step): StepProgress => {
    const told = run.steps[step.id];
    const window = until(windowOf(run, step, constants), latest?.get(step.id), run.begun.zone);
    if (told) return { step, is: told.skipped === undefined ? 'done' : 'skipped', ...window };
    if (!open) return { step, is: 'later', ...window };
    open = false;
    return { step, is: 'now', ...window };
  });
}

type Window = Pick<StepProgress, 'from' | 'to'>;
function windowOf(run: Run, { id, clock, every }: Step, constants: Constants): Window {
  const last = run.steps[id]?.at;
  if (every !== undefined)
    return last === undefined || run.ended ? {} : { from: plus(last, span_ms(every, constants)) };
  if (!clock) return {};
  const start = clock.after === BEGUN ? run.begun.at : run.steps[clock.after]?.at;
  if (start === undefined) return {};
  return {
    ...(clock.from ? { from: plus(start, span_ms(clock.from, constants)) } : {}),
    ...(clock.to ? { to: plus(start, span_ms(clock.to, constants)) } : {}),
  };
}

/** A window that ends on a day at the latest; one that cannot begin by then is left, and the day wanted says that it cannot be. */
function until(window: Window, day: string | undefined, zone: string): Window {
  if (day === undefined) return window;
  const end = endOfDay(day, zone);
  if (window.from !== undefined && window.from > end) return window;
  return window.to !== undefined && window.to < end ? window : { ...window, to: end };
}

/** Before its time, in it, or past it. */
export function phaseOf({ from, to }: StepProgress, now: string): 'early' | 'open' | 'late' {
  if (from !== undefined && now < from) return 'early';
  return to !== undefined && now > to ? 'late' : 'open';
}

/** What is to be done of a run: its present step, and what comes round again. */
export const openSteps = (run: Run, constants: Constants): StepProgress[] =>
  run.ended
    ? []
    : progressOf(run, constants).filter(({ is, step }) => is === 'now' || (is === 'done' && step.every));

/** How often each mark of a step was said. */
export function countsOf({ marks = [] }: Pick<Run, 'marks'>, step: string): Readonly<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const each of marks) if (each.step === step) counts[each.mark] = (counts[each.mark] ?? 0) + 1;
  return counts;
}
