import type { Run } from '@yellow-cell/contract';
import { dayOf, later, plusDays } from '../../calendar/days.ts';
import { showDay, showTime } from '../../calendar/showDay.ts';
import type { Constants } from '../../constants/registry.ts';
import { playbooks } from '../../playbooks/playbooks.ts';
import { openSteps, type StepProgress } from '../../playbooks/progress.ts';
import { meets } from '../roomsOf.ts';
import type { Raised, Rule } from './expectation.ts';

const nextStep: Rule = {
  kind: 'nextStep',
  title: 'The next step of what was begun',
  why: 'What was begun with bees is led to its end, by its own clocks.',
  source: 'Special roles',
  figures: [],
  ofRoom: true,
  raise: ({ box: { runs = [] }, compartment: { bays }, constants }) =>
    runs.filter((run) => meets(run.bays, bays)).flatMap((run) => worksOf(run, constants)),
};

const worksOf = (run: Run, constants: Constants): Raised[] =>
  openSteps(run, constants).flatMap((progress) => (progress.step.waits ? [] : workOf(run, progress)));

/** A step with a clock is due in its window; any other as soon as what comes before it is done, and a day on. */
function workOf(run: Run, { step, from, to }: StepProgress): Raised {
  const { zone } = run.begun;
  const last =
    [run.begun, ...Object.values(run.steps)]
      .map(({ at }) => at)
      .sort()
      .at(-1) ?? run.begun.at;
  const begin = dayOf(from ?? last, zone);
  const end = to === undefined ? plusDays(begin, 1) : dayOf(to, zone);
  const clock = (at: string): string => `${showTime(at, zone)} on ${showDay(dayOf(at, zone))}`;
  const when = [
    from === undefined ? '' : `not before ${clock(from)}`,
    to === undefined ? '' : `by ${clock(to)}`,
  ].filter((each) => each !== '');
  return {
    key: `${run.id} ${step.id}`,
    title: step.title,
    ...(step.pressing ? { pressing: true } : {}),
    from: begin,
    expected: begin,
    to: later(begin, end),
    ...(to === undefined ? {} : { by: to }),
    reason: `“${playbooks[run.playbook].title}”, begun ${showDay(run.begun.on)}${when.length > 0 ? `: ${when.join(', ')}` : ''}.`,
  };
}

export const playbookRules: readonly Rule[] = [nextStep];
