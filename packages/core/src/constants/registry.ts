import { buildingConstants } from './building.ts';
import type { Constant } from './constant.ts';
import { growingConstants } from './growing.ts';
import { leadingConstants } from './leading.ts';
import { airConstants, beesConstants, sunConstants, warmthConstants, winterConstants } from './physics.ts';
import { roundConstants } from './rounds.ts';
import { ruleSwitches } from './switches.ts';
import { watchingConstants } from './watching.ts';

/**
 * Every figure of judgement in one registry. Functions take a `Constants` record as an argument, so that
 * a yard may have its own and a stored judgement can keep those it was made with.
 */
export const registry = {
  ...watchingConstants,
  ...leadingConstants,
  ...roundConstants,
  ...growingConstants,
  ...ruleSwitches,
  ...beesConstants,
  ...airConstants,
  ...warmthConstants,
  ...sunConstants,
  ...winterConstants,
  ...buildingConstants,
} as const;

/** The same by what they are about, as a person looks for them. */
export const constantGroups: readonly { title: string; names: readonly ConstantName[] }[] = [
  { title: 'Watching a compartment', names: namesIn(watchingConstants) },
  { title: 'Playbooks', names: namesIn(leadingConstants) },
  { title: 'Rounds', names: namesIn(roundConstants) },
  { title: 'Growing', names: namesIn(growingConstants) },
  { title: 'Bees', names: namesIn(beesConstants) },
  { title: 'Air', names: namesIn(airConstants) },
  { title: 'Warmth', names: namesIn(warmthConstants) },
  { title: 'Sun and sky', names: namesIn(sunConstants) },
  { title: 'Winter', names: namesIn(winterConstants) },
  { title: 'Workshop', names: namesIn(buildingConstants) },
];

export type ConstantName = keyof typeof registry;
export type Constants = Readonly<Record<ConstantName, number>>;

export const defaultConstants: Constants = Object.freeze(
  Object.fromEntries(Object.entries(registry).map(([name, { value }]) => [name, value])) as Record<
    ConstantName,
    number
  >,
);

/** The defaults with a yard's own values over them. Names that the registry does not know and values out of range are ignored. */
export function constantsWith(overrides: Readonly<Record<string, number>> = {}): Constants {
  const known = knownFigures(overrides);
  return Object.keys(known).length === 0 ? defaultConstants : { ...defaultConstants, ...known };
}

/** Of figures that were changed once, those that are figures still, and lie in range: what was kept before may name others. */
export const knownFigures = (overrides: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(
    Object.entries(overrides).filter(([name, value]) => constantProblem(name, value) === undefined),
  );

/** One sentence where a constant cannot take this value, or undefined where it can. */
export function constantProblem(name: string, value: number): string | undefined {
  if (!Object.hasOwn(registry, name)) return `There is no constant named ${name}.`;
  const { range, unit, meaning } = registry[name as ConstantName];
  if (!(value >= range[0] && value <= range[1])) {
    return `${meaning}: ${value} ${unit} is outside ${range[0]} to ${range[1]}.`;
  }
  return undefined;
}

function namesIn<Name extends ConstantName>(group: Readonly<Record<Name, Constant>>): Name[] {
  return Object.keys(group) as Name[];
}
