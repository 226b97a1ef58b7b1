import type {
  EntranceState,
  Occupant,
  Passer,
  Problem,
  ReachAnswer,
  ReachQuestion,
  ReachWarning,
  ReachWarningKind,
} from '@yellow-cell/contract';
import { gap } from '../box/gap.ts';
import { refuse } from '../problems.ts';
import { listOf } from '../say/words.ts';
import { groupSpaces } from './groups.ts';

/** Who a state of an entrance lets through (handbook 2, entrances). */
export const LETS_OUT: Readonly<Record<EntranceState, readonly Passer[]>> = {
  open: ['air', 'worker', 'queen', 'drone'],
  reduced: ['air', 'worker', 'queen', 'drone'],
  workersOnly: ['air', 'worker'],
  vent: ['air'],
  closed: [],
};

/** Groups of spaces, and what stands and flies in them, as every rule sees it. */
interface Scene {
  colonies: string[][];
  territories: string[][];
  droneRooms: string[][];
  question: ReachQuestion;
}

/**
 * Who can go where in a box of spaces joined by gaps, and what would happen to those in it (handbook 2,
 * passages). Throws `ProblemsError`.
 */
export function reach(question: ReachQuestion): ReachAnswer {
  refuse(reachProblems(question));
  const groupsFor = (passer: Passer) =>
    groupSpaces(
      question.spaces,
      question.passages.filter(({ gap_mm }) => gap({ gap_mm }).passes.includes(passer)),
    );
  const scene: Scene = {
    colonies: groupsFor('worker'),
    territories: groupsFor('queen'),
    droneRooms: groupsFor('drone'),
    question,
  };
  return {
    colonies: scene.colonies,
    territories: scene.territories,
    warnings: rules.flatMap((rule) => rule(scene)),
  };
}

type Rule = (scene: Scene) => ReachWarning[];

const warning = (kind: ReachWarningKind, spaces: readonly string[], sentence: string): ReachWarning => ({
  kind,
  spaces: [...spaces],
  sentence,
});

function countIn({ question }: Scene, spaces: readonly string[], ...wanted: Occupant[]): number {
  return question.occupants.filter(
    (occupant) => spaces.includes(occupant.in) && wanted.includes(occupant.what),
  ).length;
}

function hasExit({ question }: Scene, spaces: readonly string[], passer: Passer): boolean {
  return question.entrances.some(
    ({ to, state }) => LETS_OUT[state].includes(passer) && to.some((space) => spaces.includes(space)),
  );
}

const named = (spaces: readonly string[]): string => listOf(spaces);

const twoQueens: Rule = (scene) =>
  scene.territories
    .filter((territory) => countIn(scene, territory, 'queen', 'virgin') >= 2)
    .map((territory) =>
      warning(
        'twoQueens',
        territory,
        `Two queens can meet in ${named(territory)}; they fight until one is dead.`,
      ),
    );

const queenMeetsCell: Rule = (scene) =>
  scene.territories
    .filter(
      (territory) =>
        countIn(scene, territory, 'queen', 'virgin') >= 1 && countIn(scene, territory, 'ripeCell') >= 1,
    )
    .map((territory) =>
      warning(
        'queenMeetsCell',
        territory,
        `A queen can reach the ripe cell in ${named(territory)} and will tear it down.`,
      ),
    );

const queenMeetsGrafts: Rule = (scene) =>
  scene.territories
    .filter(
      (territory) =>
        countIn(scene, territory, 'queen', 'virgin') >= 1 && countIn(scene, territory, 'grafts') >= 1,
    )
    .map((territory) =>
      warning(
        'queenMeetsGrafts',
        territory,
        `A queen can reach the grafts in ${named(territory)}: they are given up or torn down.`,
      ),
    );

/** A virgin is smaller than a laying queen: a gap that holds the one does not hold the other for certain. */
const virginBehindExcluder: Rule = (scene) =>
  scene.colonies
    .filter((colony) => {
      const parts = scene.territories.filter((territory) => colony.includes(territory[0] ?? ''));
      const withVirgin = parts.filter((territory) => countIn(scene, territory, 'virgin', 'ripeCell') >= 1);
      return withVirgin.some((territory) =>
        parts.some(
          (other) =>
            other !== territory && countIn(scene, other, 'queen', 'virgin', 'ripeCell', 'grafts') >= 1,
        ),
      );
    })
    .map((colony) =>
      warning(
        'virginBehindExcluder',
        colony,
        `Only an excluder parts a virgin, or a cell about to give one, from others in ${named(colony)}; a virgin slips through.`,
      ),
    );

const noFlight: Rule = (scene) =>
  scene.colonies
    .filter(
      (colony) =>
        scene.question.occupants.some((occupant) => colony.includes(occupant.in)) &&
        !hasExit(scene, colony, 'worker'),
    )
    .map((colony) =>
      warning(
        'noFlight',
        colony,
        `No entrance lets the bees of ${named(colony)} out: give feed, water and air, and a day to open.`,
      ),
    );

const noMatingFlight: Rule = (scene) =>
  scene.territories
    .filter((territory) => countIn(scene, territory, 'virgin') >= 1 && !hasExit(scene, territory, 'queen'))
    .map((territory) =>
      warning('noMatingFlight', territory, `The virgin in ${named(territory)} has no way out to mate.`),
    );

const sharedEntrance: Rule = ({ colonies, question }) =>
  question.entrances.flatMap(({ to, state }) => {
    if (!LETS_OUT[state].includes('worker')) return [];
    const served = colonies.filter((colony) => colony.some((space) => to.includes(space)));
    const spaces = [...new Set(to)].sort();
    return served.length < 2
      ? []
      : [
          warning(
            'sharedEntrance',
            spaces,
            `One entrance opens to two colonies, ${named(spaces)}: bees and queens go astray.`,
          ),
        ];
  });

const dronesShutIn: Rule = (scene) =>
  scene.droneRooms
    .filter((room) => countIn(scene, room, 'drones') >= 1 && !hasExit(scene, room, 'drone'))
    .map((room) =>
      warning(
        'dronesShutIn',
        room,
        `Drones in ${named(room)} find no way out; they die and clog the excluder.`,
      ),
    );

const rules: readonly Rule[] = [
  twoQueens,
  queenMeetsCell,
  queenMeetsGrafts,
  virginBehindExcluder,
  noFlight,
  noMatingFlight,
  sharedEntrance,
  dronesShutIn,
];

/** Names that name no space, or one twice. */
export function reachProblems(question: ReachQuestion): Problem[] {
  return [
    ...spaceProblems(question),
    ...passageProblems(question),
    ...occupantProblems(question),
    ...doorProblems(question),
  ];
}

type Asked<F extends keyof ReachQuestion> = Pick<ReachQuestion, F>;

export const spaceProblems = ({ spaces }: Asked<'spaces'>): Problem[] =>
  spaces.flatMap((name, index) =>
    spaces.indexOf(name) === index
      ? []
      : [{ path: `spaces.${index}`, value: name, sentence: `The space “${name}” is named twice.` }],
  );

export function passageProblems({ spaces, passages }: Asked<'spaces' | 'passages'>): Problem[] {
  const unknown = unknownIn(spaces);
  return passages.flatMap(({ between: [a, b] }, index) => [
    ...unknown(`passages.${index}.between.0`, a),
    ...unknown(`passages.${index}.between.1`, b),
    ...(a === b
      ? [
          {
            path: `passages.${index}.between`,
            value: [a, b],
            sentence: `A passage joins two spaces, not “${a}” with itself.`,
          },
        ]
      : []),
  ]);
}

export function occupantProblems({ spaces, occupants }: Asked<'spaces' | 'occupants'>): Problem[] {
  const unknown = unknownIn(spaces);
  return occupants.flatMap((occupant, index) => unknown(`occupants.${index}.in`, occupant.in));
}

export function doorProblems({ spaces, entrances }: Asked<'spaces' | 'entrances'>): Problem[] {
  const unknown = unknownIn(spaces);
  return entrances.flatMap(({ to }, index) =>
    to.flatMap((name, at) => unknown(`entrances.${index}.to.${at}`, name)),
  );
}

function unknownIn(spaces: readonly string[]): (path: string, name: string) => Problem[] {
  const known = new Set(spaces);
  return (path, name) =>
    known.has(name) ? [] : [{ path, value: name, sentence: `There is no space “${name}”.` }];
}
