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
  plan: Plan;
  /** The earliest day of the last step, where each clock is as short as it can be. */
  earliest: Day;
  /** Days between that and the day wanted; below 0 it cannot be. */
  inHand_d: number;
  /** Days since the next step's latest day; 0 where that is still to come. */
  behind_d: number;
}

/** Steps that a clock begins or ends with: the latest day of each. */
export interface Plan {
  latest: ReadonlyMap<string, Day>;
  /** True where each clock may take its longest, and `changeSlack_d` are kept before the last step; else each is as short as it can be, and none is kept. */
  roomy: boolean;
}

const DAY_MS = 86_400_000;

/** The roomy plan where there is time for it from a day on; else the one by which it just can be. */
export function planFor(playbook: PlaybookName, by: Day, from: Day, constants: Constants): Plan {
  const roomy = latestDays(playbook, by, (step) => longest_d(step, constants), constants.changeSlack_d);
  if ([...roomy.values()].every((day) => day >= from)) return { latest: roomy, roomy: true };
  return { latest: latestDays(playbook, by, (step) => shortest_d(step, constants), 0), roomy: false };
}

function latestDays(
  playbook: PlaybookName,
  by: Day,
  takes_d: (step: Step) => number,
  slack_d: number,
): ReadonlyMap<string, Day> {
  const { steps } = playbooks[playbook];
  const latest = new Map<string, Day>();
  let limit = by;
  for (const [index, step] of [...steps.entries()].reverse()) {
    if (index === steps.length - 2) limit = plusDays(limit, -slack_d);
    for (const after of steps)
      if (after.clock?.after === step.id)
        limit = earlier(limit, plusDays(latest.get(after.id) ?? limit, -takes_d(after)));
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
  run?: Pick<Run, 'begun' | 'steps'>,
): Towards {
  const plan = planFor(playbook, by, run?.begun.on ?? today, constants);
  const earliest = earliestDay(playbook, today, constants, run?.steps);
  const next = playbooks[playbook].steps.find(({ id }) => plan.latest.has(id) && !run?.steps[id]);
  const due = (next && plan.latest.get(next.id)) ?? by;
  return {
    plan,
    earliest,
    inHand_d: daysBetween(earliest, by),
    behind_d: Math.max(0, daysBetween(due, today)),
  };
}

/** Where a run stands towards the day wanted of it; nothing where none is, or it has ended. */
export const towardsOf = (run: Run, now: string, constants: Constants): Towards | undefined =>
  run.by === undefined || run.ended
    ? undefined
    : towardsDay(run.playbook, run.by, dayOf(now, run.begun.zone), constants, run);

/** Whether the day wanted can be kept, in a sentence. */
export function towardsSentence({ earliest, inHand_d, behind_d, plan }: Towards, by: Day): string {
  const hand = `with ${countOf(inHand_d, 'day')} in hand`;
  if (inHand_d < 0)
    return `It cannot be by ${showDay(by)}: the earliest is ${showDay(earliest)}, ${countOf(-inHand_d, 'day')} later.`;
  if (behind_d > 0)
    return `${countOf(behind_d, 'day')} behind its plan: by ${showDay(by)} it can still be, ${hand}.`;
  return `By ${showDay(by)} it can be, ${hand}${plan.roomy ? '' : ': if combs are drawn in the shortest time, and nothing comes between'}.`;
}

const longest_d = ({ clock }: Step, constants: Constants): number => {
  const name = clock?.to ?? clock?.from;
  return name ? Math.ceil(span_ms(name, constants) / DAY_MS) : 0;
};
const shortest_d = ({ clock }: Step, constants: Constants): number =>
  clock?.from ? Math.ceil(span_ms(clock.from, constants) / DAY_MS) : 0;
