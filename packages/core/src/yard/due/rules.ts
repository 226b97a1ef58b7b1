import type { BoxState, Colony, DueKind } from '@yellow-cell/contract';
import { later, plusDays } from '../../calendar/days.ts';
import type { Constants } from '../../constants/registry.ts';
import { switchOf } from '../../constants/switches.ts';
import type { StandingCompartment } from '../compartments.ts';
import { raisesIn } from '../roles/roles.ts';
import { attemptRules } from './attemptRules.ts';
import { careRules } from './careRules.ts';
import type { Case, Expectation, Rule, Weather } from './expectation.ts';
import { nestRules } from './nestRules.ts';
import { playbookRules } from './playbookRules.ts';
import { tooColdToOpen } from './weather.ts';
import { winterRules } from './winterRules.ts';

/** Every rule that raises work (handbook 5, watching a compartment; 6, rules). */
export const rules: readonly Rule[] = [
  ...attemptRules,
  ...careRules,
  ...nestRules,
  ...playbookRules,
  ...winterRules,
];

/** What is expected of the bees in a room by what it serves as, soonest first; of a colony of several rooms, in that of its queen. */
export function expectationsOf(
  compartment: StandingCompartment,
  box: BoxState,
  weather: Weather,
  constants: Constants,
): Expectation[] {
  const { attempt, role, shares } = compartment;
  const colony = compartment.colony ?? compartment.left;
  if (!colony) return [];
  const given: Case = { colony, attempt, compartment, box, weather, constants };
  return rules
    .filter(({ kind }) => constants[switchOf(kind)] !== 0 && raisesIn(role, kind))
    .filter(({ ofRoom }) => shares === undefined || ofRoom)
    .flatMap((rule): Expectation[] => {
      const { kind, title, pressing } = rule;
      const raised = rule.raise(given) ?? [];
      return [raised].flat().map((work) => ({ kind, title, ...(pressing ? { pressing } : {}), ...work }));
    })
    .map((work) => heldBack(work, weather, constants))
    .flatMap((work) => putOffBy(colony.putOff ?? [], work) ?? [])
    .sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}

/** These open a colony, and can wait for a mild day. */
const OPENS: readonly DueKind[] = [
  'searchWildCells',
  'lookForEggs',
  'scorePattern',
  'lookAfterCombining',
  'markUnlike',
  'seeEvidence',
  'settleSuspicion',
  'crowded',
  'weak',
];
/** Out of season inspections are held back (requirement 62): `heldBack_d` at a time, as long as days stay cold. */
function heldBack(work: Expectation, weather: Weather, constants: Constants): Expectation {
  const cold = OPENS.includes(work.kind) ? tooColdToOpen(weather, constants) : undefined;
  if (!cold) return work;
  const until = plusDays(cold.on, constants.heldBack_d);
  if (work.from >= until) return work;
  return {
    ...work,
    from: until,
    expected: later(until, work.expected),
    to: later(until, work.to),
    reason: `${work.reason} Held back while days reach ${cold.mean_C.toFixed(0)} °C: the short check alone.`,
  };
}

/** Work that was dismissed is not asked for again; what was put off waits for its day. */
function putOffBy(putOff: NonNullable<Colony['putOff']>, work: Expectation): Expectation | undefined {
  const until = putOff.find((each) => each.work === work.kind && each.key === work.key)?.until;
  if (until === null) return undefined;
  if (until === undefined || until <= work.from) return work;
  const { by: _, ...rest } = work;
  return { ...rest, from: until, expected: later(until, work.expected), to: later(until, work.to) };
}
