import type { Run } from '@yellow-cell/contract';
import type { ConstantName, Constants } from '../constants/registry.ts';
import { BEGUN, type Step } from './playbook.ts';
import { playbooks } from './playbooks.ts';

/** Where a step stands: done or left out, to be done now, or later. */
export type Standing = 'done' | 'skipped' | 'now' | 'later';

export interface StepProgress {
  step: Step;
  is: Standing;
  /** Instants between which it is to be done, as far as its clock runs. */
  from?: string;
  to?: string;
}

const MS = { min: 60_000, h: 3_600_000, d: 86_400_000 } as const;
/** What a figure of the registry comes to, by the unit in its name. */
export function span_ms(name: ConstantName, constants: Constants): number {
  const unit = name.slice(name.lastIndexOf('_') + 1) as keyof typeof MS;
  return constants[name] * MS[unit];
}

const plus = (at: string, ms: number): string => new Date(Date.parse(at) + ms).toISOString();

/**
 * Steps in their order: those before the present one are done or left out, the first that is neither is to be done now.
 * What is done again and again never holds up the next step; it is to be done so long after the last time.
 */
export function progressOf(run: Run, constants: Constants): StepProgress[] {
  let open = run.ended === undefined;
  return playbooks[run.playbook].steps.map((step): StepProgress => {
    const told = run.steps[step.id];
    const window = windowOf(run, step, constants);
    if (told) return { step, is: told.skipped === undefined ? 'done' : 'skipped', ...window };
    if (!open) return { step, is: 'later', ...window };
    open = false;
    return { step, is: 'now', ...window };
  });
}

function windowOf(
  run: Run,
  { id, clock, every }: Step,
  constants: Constants,
): { from?: string; to?: string } {
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
