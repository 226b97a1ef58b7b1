import type { PlaybookName, Run } from '@yellow-cell/contract';
import { type Day, dayOf, daysBetween, earlier, later, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import type { Constants } from '../constants/registry.ts';
import { countOf } from '../say/words.ts';
import type { Step } from './playbook.ts';
import { playbooks } from './playbooks.ts';
import { span_ms } from './span.ts';

/** A playbook reckoned back from the day on which its last step is wanted, and forward from what was done of it. */
export interface Towards {
  /** Steps that a clock begins or ends with: the latest day of each, with days in hand before the last. */
  latest: ReadonlyMap<string, Day>;
  /** The earliest day of the last step, where each clock is as short as it can be. */
  earliest: Day;
  /** Days between that and the day wanted; below 0 it cannot be. */
  inHand_d: number;
}

const DAY_MS = 86_400_000;

/** Latest days count the longest that a clock takes, and `changeSlack_d` in hand before the last step. */
export function latestDays(playbook: PlaybookName, by: Day, constants: Constants): ReadonlyMap<string, Day> {
  const { steps } = playbooks[playbook];
  const latest = new Map<string, Day>();
  let limit = by;
  for (const [index, step] of [...steps.entries()].reverse()) {
    if (index === steps.length - 2) limit = plusDays(limit, -constants.changeSlack_d);
    for (const after of steps)
      if (after.clock?.after === step.id)
        limit = earlier(limit, plusDays(latest.get(after.id) ?? limit, -longest_d(after, constants)));
    const bindsOther = steps.some(({ clock }) => clock?.after === step.id);
    if (bindsOther || step.clock || index === steps.length - 1) latest.set(step.id, limit);
  }
  return latest;
}

/** The earliest day of the last step: from today, and from what was told of a run already. */
export function earliestDay(
  playbook: PlaybookName,
  today: Day,
  constants: Constants,
  told: Run['steps'] = {},
): Day {
  const days = new Map<string, Day>();
  let day = today;
  for (const step of playbooks[playbook].steps) {
    const start = step.clock && days.get(step.clock.after);
    const done = told[step.id]?.on;
    if (!done && start) day = later(day, plusDays(start, shortest_d(step, constants)));
    days.set(step.id, done ?? day);
  }
  return day;
}

export function towardsDay(
  playbook: PlaybookName,
  by: Day,
  today: Day,
  constants: Constants,
  told?: Run['steps'],
): Towards {
  const earliest = earliestDay(playbook, today, constants, told);
  return {
    latest: latestDays(playbook, by, constants),
    earliest,
    inHand_d: daysBetween(earliest, by),
  };
}

/** Where a run stands towards the day wanted of it; nothing where none is, or it has ended. */
export const towardsOf = (run: Run, now: string, constants: Constants): Towards | undefined =>
  run.by === undefined || run.ended
    ? undefined
    : towardsDay(run.playbook, run.by, dayOf(now, run.begun.zone), constants, run.steps);

/** Whether the day wanted can be kept, in a sentence. */
export function towardsSentence({ earliest, inHand_d }: Towards, by: Day, constants: Constants): string {
  if (inHand_d < 0)
    return `It cannot be by ${showDay(by)}: the earliest is ${showDay(earliest)}, ${countOf(-inHand_d, 'day')} later.`;
  if (inHand_d < constants.changeSlack_d)
    return `By ${showDay(by)} it can be with ${countOf(inHand_d, 'day')} in hand: nothing may come between. The earliest is ${showDay(earliest)}.`;
  return `By ${showDay(by)} it can be, with ${countOf(inHand_d, 'day')} in hand.`;
}

const longest_d = ({ clock }: Step, constants: Constants): number => {
  const name = clock?.to ?? clock?.from;
  return name ? Math.ceil(span_ms(name, constants) / DAY_MS) : 0;
};
const shortest_d = ({ clock }: Step, constants: Constants): number =>
  clock?.from ? Math.ceil(span_ms(clock.from, constants) / DAY_MS) : 0;
