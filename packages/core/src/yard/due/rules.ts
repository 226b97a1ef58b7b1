import type { BoxState, DueKind } from '@yellow-cell/contract';
import { later } from '../../calendar/days.ts';
import type { Constants } from '../../constants/registry.ts';
import { switchOf } from '../../constants/switches.ts';
import type { StandingCompartment } from '../compartments.ts';
import { attemptRules } from './attemptRules.ts';
import { careRules } from './careRules.ts';
import type { Case, Expectation, Rule, Weather } from './expectation.ts';
import { nestRules } from './nestRules.ts';

/** Every rule that raises work (handbook 5, watching a compartment; 6, rules). */
export const rules: readonly Rule[] = [...attemptRules, ...careRules, ...nestRules];

/** What is expected of the colony in a compartment, soonest first. */
export function expectationsOf(
  compartment: StandingCompartment,
  box: BoxState,
  weather: Weather,
  constants: Constants,
): Expectation[] {
  const { colony, attempt } = compartment;
  if (!colony) return [];
  const given: Case = { colony, attempt, compartment, box, weather, constants };
  const raised = rules.flatMap((rule): Expectation[] => {
    if (constants[switchOf(rule.kind)] === 0) return [];
    const work = rule.raise(given);
    return work ? [{ kind: rule.kind, title: rule.title, ...work }] : [];
  });
  return raised
    .flatMap((work) => putOffBy(colony.putOff ?? {}, work) ?? [])
    .sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}

/** Work that was dismissed is not asked for again; what was put off waits for its day. */
function putOffBy(
  putOff: Readonly<Partial<Record<DueKind, string | null>>>,
  work: Expectation,
): Expectation | undefined {
  const until = putOff[work.kind];
  if (until === null) return undefined;
  if (until === undefined || until <= work.from) return work;
  return { ...work, from: until, expected: later(until, work.expected), to: later(until, work.to) };
}
