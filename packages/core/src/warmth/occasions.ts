import type { DesignContent, Side } from '@yellow-cell/contract';
import { deriveBox, isEntrance } from '../box/model.ts';
import { listOf } from '../say/words.ts';
import { atRest } from './atRest.ts';
import { type BeeState, type Conditions, heatOf } from './conditions.ts';
import { scenesOf } from './scene.ts';
import { type ShutRoom, shutRooms, ventsWider } from './shutDesign.ts';
import type { SunPlace } from './sun.ts';

/** What a box is shut for, and what that makes of its bees and its entrances. */
interface Occasion {
  key: 'travel' | 'outing' | 'starter' | 'wasps';
  name: string;
  bees: BeeState;
  brood: boolean;
  shutOn: 'closed' | 'vent';
  /** Crowded: as many bees as all its comb holds. */
  crowded: boolean;
  /** Doors before its panes stand open, to look in. */
  looked: boolean;
  supposes: string;
}
const all: readonly Occasion[] = [
  {
    key: 'travel',
    name: 'A journey',
    bees: 'alarmed',
    brood: true,
    shutOn: 'closed',
    crowded: false,
    looked: false,
    supposes: 'alarmed bees, brood, flight entrances closed',
  },
  {
    key: 'outing',
    name: 'An outing to show them',
    bees: 'resting',
    brood: true,
    shutOn: 'closed',
    crowded: false,
    looked: true,
    supposes: 'bees at rest, brood, flight entrances closed; hours, not overnight',
  },
  {
    key: 'starter',
    name: 'A closed starter',
    bees: 'calm',
    brood: false,
    shutOn: 'closed',
    crowded: true,
    looked: false,
    supposes: 'crowded on all its comb, no open brood, cool and dark',
  },
  {
    key: 'wasps',
    name: 'Closed for wasps or robbers',
    bees: 'resting',
    brood: true,
    shutOn: 'vent',
    crowded: false,
    looked: false,
    supposes: 'bees at rest, brood, flight entrances turned to vent',
  },
];

export interface ShutFor {
  key: Occasion['key'];
  name: string;
  supposes: string;
  /** Of the compartment that gets hottest. */
  inside_C: number;
  /** Until the first compartment fans, and is in danger; null: not within `SHUT_HOURS`. */
  fanning_min: number | null;
  danger_min: number | null;
  /** The same danger with the most heat that such bees give: they are safe for at least so long. */
  least_min: number | null;
  /** Until the air of the first compartment harms them; null: not within `SHUT_HOURS`. */
  stale_min: number | null;
  /** What speaks against it, in a sentence. */
  warning: string | null;
}

/** How long a box can stay shut for each of the things that it is shut for, under the same air and sun. */
export const shutFor = (design: DesignContent, conditions: Conditions): ShutFor[] =>
  all.map((occasion) => answerFor(occasion, design, conditions));

export interface ShutHere {
  shade: ShutFor;
  /** In the sun as it stands there now, with that side to it that suffers first; undefined while it is down. */
  sun?: ShutFor;
}

/** The same for one thing that it is shut for, in the shade and in the sun of a place, whichever way the box is turned. */
export function shutHere(
  design: DesignContent,
  key: ShutFor['key'],
  conditions: Conditions,
  sun: SunPlace,
): ShutHere | undefined {
  const occasion = all.find((each) => each.key === key);
  if (!occasion) return undefined;
  const shade = answerFor(occasion, design, { ...conditions, sun: undefined });
  if (sun.altitude_deg <= 0) return { shade };
  const turned = TURNS_DEG.map((turn_deg) =>
    answerFor(occasion, design, {
      ...conditions,
      sun: { place: sun, front_deg: (sun.bearing_deg + turn_deg) % 360, paint: 'wood' },
    }),
  );
  return { shade, sun: turned.reduce((worst, each) => (isWorse(each, worst) ? each : worst)) };
}
/** Each of its four sides to the sun in turn. */
const TURNS_DEG = [0, 90, 180, 270];
const isWorse = (a: ShutFor, b: ShutFor): boolean =>
  (a.least_min ?? Number.POSITIVE_INFINITY) < (b.least_min ?? Number.POSITIVE_INFINITY) ||
  (a.least_min === b.least_min && a.inside_C > b.inside_C);

function answerFor(
  { key, name, bees, brood, shutOn, crowded, looked, supposes }: Occasion,
  design: DesignContent,
  conditions: Conditions,
): ShutFor {
  const sides = airySides(design);
  const { constants } = conditions;
  const of = (heat_Wkg: number): Conditions => ({
    ...conditions,
    heat_Wkg,
    brood,
    shutOn,
    doorsOpen: looked || conditions.doorsOpen === true,
    constants: crowded ? { ...constants, covered: 1 } : constants,
  });
  const shutWith = (heat_Wkg: number) => shutIn(design, of(heat_Wkg));
  const heat_Wkg = heatOf(bees, constants);
  const most_Wkg = bees === 'alarmed' ? Math.max(heat_Wkg, constants.heatAlarmedMost_Wkg) : heat_Wkg;
  const usual = shutWith(heat_Wkg);
  const most = most_Wkg === heat_Wkg ? usual : shutWith(most_Wkg);
  return {
    key,
    name,
    supposes,
    inside_C: Math.max(...usual.map(({ shut }) => shut.steady_C)),
    fanning_min: firstOf(usual, FANNING),
    danger_min: firstOf(usual, DANGER),
    least_min: firstOf(most, DANGER),
    stale_min: leastOf(usual.map(({ shut }) => shut.breath.minutesTo[HARMED]?.minutes ?? null)),
    warning:
      airless(usual) ??
      (said([
        tooSmall(usual, { outside_C: conditions.outside_C, danger_C: constants.danger_C }, () =>
          ventsWider(design, of(heat_Wkg)),
        ),
        key === 'travel' && sides.size < 2 ? travelWarning(sides) : null,
      ]) ||
        null),
  };
}

const said = (sentences: readonly (string | null)[]): string =>
  sentences.filter((each) => each !== null).join(' ');

/** A vent that lets too little through says so, and how much more would do; where none would, that. */
function tooSmall(
  rooms: readonly ShutIn[],
  { outside_C, danger_C }: { outside_C: number; danger_C: number },
  wider: () => number | undefined,
): string | null {
  if (firstOf(rooms, DANGER) === null) return null;
  if (outside_C >= danger_C) return `The air outside is over ${danger_C} °C itself: no vent helps.`;
  const times = wider();
  return times === undefined
    ? `Its vents are too small for this, and where they stand wider ones would hardly help: give it air high up as well as low, or shade and an early end.`
    : `Its vents are too small for this: about ${times < 3 ? times.toFixed(1) : Math.ceil(times)} times as much would keep it under ${danger_C} °C.`;
}
interface ShutIn {
  name: string;
  shut: ShutRoom;
}
function shutIn(design: DesignContent, conditions: Conditions): ShutIn[] {
  const { scene } = scenesOf(design, conditions);
  const shutOf = shutRooms(scene, atRest(scene));
  return scene.living.map((each) => ({ name: each.name, shut: shutOf(each) }));
}
/** Which of the limits. */
const [FANNING, DANGER] = [0, 1];
const HARMED = 1;
const firstOf = (compartments: readonly ShutIn[], limit: number): number | null =>
  leastOf(compartments.map(({ shut }) => shut.minutesTo[limit]?.minutes ?? null));
function leastOf(minutes: readonly (number | null)[]): number | null {
  const some = minutes.filter((each) => each !== null);
  return some.length > 0 ? Math.min(...some) : null;
}

/** However cool it stays, a compartment without any air is none to shut bees in. */
function airless(compartments: readonly ShutIn[]): string | null {
  const names = compartments.filter(({ shut }) => shut.flow_m3s === 0).map(({ name }) => name.toLowerCase());
  if (names.length === 0) return null;
  if (compartments.length === 1)
    return 'Shut, it has no air at all, and the bees would smother: give it a mesh, or a disc on vent.';
  return `Shut, ${listOf(names)} ${names.length === 1 ? 'has' : 'have'} no air at all, and the bees would smother: give ${names.length === 1 ? 'it' : 'each'} a mesh, or a disc on vent.`;
}

function travelWarning(sides: ReadonlySet<Side | 'below'>): string {
  const only = [...sides].join('');
  return `Shut, it has air on one side alone (${only}): one that travels wants it on two, as a load beside it may cover one.`;
}

/** Where a shut box still has air: vents, discs on vent, a mesh floor. */
function airySides(design: DesignContent): Set<Side | 'below'> {
  const sides = new Set<Side | 'below'>();
  for (const opening of deriveBox(design).openings)
    if (!isEntrance(opening) || opening.opening.state === 'vent') sides.add(opening.opening.side);
  if (design.floor.kind === 'mesh') sides.add('below');
  return sides;
}
