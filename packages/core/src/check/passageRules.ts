import type { BayUse, DesignContent, Occupant, ReachQuestion } from '@yellow-cell/contract';
import { isRim } from '../box/divideRim.ts';
import { gap } from '../box/gap.ts';
import { isEntrance, reachQuestionOf } from '../box/model.ts';
import { withoutPart, withPart } from '../box/parts.ts';
import type { Passage } from '../box/passages.ts';
import { mm as length } from '../box/plainParts.ts';
import { below } from '../numbers.ts';
import { reach } from '../reach/reach.ts';
import {
  boardName,
  compartmentOf,
  type Finding,
  fixed,
  limitOf,
  mm,
  nameOf,
  namesOf,
  type Rule,
  type Scene,
} from './finding.ts';

const PASSING = 'Passages';

/** Who is meant to live where, as `reach` understands it. */
const OCCUPANTS: Readonly<Record<BayUse, readonly Occupant[]>> = {
  colony: ['queen'],
  held: ['queen'],
  mating: ['virgin'],
  grafts: ['grafts'],
  bees: [],
  bank: [],
  stores: [],
  nothing: [],
};

export function meantOccupants({ model }: Scene): ReachQuestion['occupants'] {
  return model.compartments.flatMap(({ spaces, use }) =>
    OCCUPANTS[use].map((what) => ({ in: spaces[0] ?? '', what })),
  );
}

/** A board that is meant to close lets somebody past it. */
const leaks: Rule = (scene) => {
  const { model, design } = scene;
  return model.boards.map(({ board, body }): Finding => {
    const ways = model.passages.filter(({ part, reason }) => part === board.id && reason !== 'slots');
    const worst = ways.reduce<Passage | undefined>((a, b) => (!a || b.gap_mm > a.gap_mm ? b : a), undefined);
    const meant = board.kind === 'open' || board.kind === 'dummy';
    const passes = worst ? gap({ gap_mm: worst.gap_mm }).passes : [];
    const holds = meant || !passes.includes('worker');
    const between = ways[0]?.between ?? [];
    const queen = passes.includes('queen');
    const name = boardName(model, board.id);
    const lowest = body.number === 0;
    return {
      kind: 'boardCloses',
      severity: queen ? 'danger' : 'care',
      holds,
      places: [board.id],
      figure: worst?.gap_mm ?? 0,
      limit: fixed(4.1, PASSING),
      sentence: holds
        ? meant
          ? `${name} leaves bees a way round it, as it should.`
          : `${name} closes on all its edges.`
        : `${queen ? 'A queen' : 'Workers'} can walk ${WAY[worst?.reason ?? 'under']} ${name.charAt(0).toLowerCase()}${name.slice(1)}: ${mm(worst?.gap_mm ?? 0)}. ${namesOf(model, between)} are one ${queen ? 'queen territory' : 'colony'}.`,
      ...(worst && !holds ? { fix: fixFor(design, board.id, worst, lowest ? design.floor.lip.mm : 0) } : {}),
    };
  });
};

const WAY: Readonly<Record<Passage['reason'], string>> = {
  under: 'under',
  over: 'over',
  rebate: 'through the lug rebate past',
  end: 'round the end of',
  groove: 'through the groove of',
  slots: 'through',
  entrance: 'round',
  joint: 'past',
  hole: 'over',
  cheek: 'past',
};

function fixFor(
  design: DesignContent,
  board: string,
  { reason, gap_mm }: Passage,
  lip: number,
): NonNullable<Finding['fix']> {
  const closed = { ears: true, up: length(0), down: length(lip), ends: length(0) };
  switch (reason) {
    case 'under':
      return {
        label: `Make it ${mm(gap_mm)} deeper`,
        apply: () => withPart(design, board, { down: length(lip) }),
      };
    case 'over':
      return {
        label: `Make it ${mm(gap_mm)} higher`,
        apply: () => withPart(design, board, { up: length(0), ears: true }),
      };
    case 'rebate':
      return {
        label: 'Give it ears that fill the rebates',
        apply: () => withPart(design, board, { ears: true }),
      };
    case 'groove': {
      const groove = groovesOf(design).find(({ id }) => id === grooveOf(design, board));
      return {
        label: 'Cut the groove 0.5 mm wider than the board, no more',
        apply: () => (groove ? withPart(design, groove.id, { play: length(0.5) }) : design),
      };
    }
    default:
      return { label: 'Make it close on all its edges', apply: () => withPart(design, board, closed) };
  }
}

const bodies = ({ layers }: DesignContent) =>
  layers.flatMap((layer) => (layer.kind === 'body' ? [layer] : []));
const groovesOf = (design: DesignContent) => bodies(design).flatMap(({ grooves }) => grooves);
const grooveOf = (design: DesignContent, board: string): string =>
  bodies(design)
    .flatMap(({ boards }) => boards)
    .find(({ id }) => id === board)?.groove ?? '';

/** A hole in a cover, or an entrance, that lies across a board: both sides use it, and a queen walks round (handbook 2). */
const holesAcross: Rule = ({ model, design }) => {
  const bored = [
    ...model.openings.map(({ id }) => id),
    ...design.layers.flatMap((layer) => (layer.kind === 'sheet' ? layer.holes.map(({ id }) => id) : [])),
  ];
  return bored.map((id): Finding => {
    const across = model.passages.find(
      ({ part, reason, between }) =>
        part === id && (reason === 'entrance' || reason === 'hole') && sameLevel(model, between),
    );
    const opening = model.openings.find((each) => each.id === id);
    const word = opening ? ('state' in opening.opening ? 'entrance' : 'vent') : 'hole in the cover';
    const queen = across ? gap({ gap_mm: across.gap_mm }).passes.includes('queen') : false;
    if (across && opening && isEntrance(opening) && isCheek(model, across.between))
      return {
        kind: 'holeAcross',
        severity: 'care',
        holds: false,
        places: [id],
        figure: across.gap_mm,
        limit: fixed(0, PASSING),
        sentence: `The entrance opens ${namesOf(model, across.between)} to one another: bees build behind the cheek, and a queen is lost there.`,
        fix: {
          label: 'Lead it through the cheek in a tunnel',
          apply: () => withPart(design, id, { tunnel: true }),
        },
      };
    return {
      kind: 'holeAcross',
      severity: queen ? 'danger' : 'care',
      holds: !across,
      places: [id],
      ...(across ? { figure: across.gap_mm, limit: fixed(0, PASSING) } : {}),
      sentence: across
        ? `The ${word} lies across a board between ${namesOf(model, across.between)}: both use it${queen ? ', and a queen can walk round' : ''} (${mm(across.gap_mm)}).`
        : `The ${word} lies clear of every board.`,
      ...(across ? { fix: { label: `Plug the ${word}`, apply: () => withoutPart(design, id) } } : {}),
    };
  });
};

const isCheek = ({ spaces }: Scene['model'], between: Passage['between']): boolean =>
  spaces.some(({ id, kind }) => kind === 'cheek' && between.includes(id));

function sameLevel({ spaces }: Scene['model'], [a, b]: Passage['between']): boolean {
  const [one, other] = [a, b].map((id) => spaces.find((space) => space.id === id));
  return one?.block.z[0] === other?.block.z[0];
}

/** What `reach` warns of with those in the box for whom it is meant. */
const meant: Rule = (scene) => {
  const { model } = scene;
  const question = reachQuestionOf(model, meantOccupants(scene));
  const { warnings } = reach(question);
  const kinds = [
    'twoQueens',
    'queenMeetsCell',
    'queenMeetsGrafts',
    'virginBehindExcluder',
    'dronesShutIn',
  ] as const;
  return kinds.flatMap((kind): Finding[] => {
    const found = warnings.filter((warning) => warning.kind === kind);
    if (found.length === 0) {
      return [{ kind, severity: 'danger', holds: true, places: [], sentence: HOLDS[kind] }];
    }
    return found.map(({ spaces, sentence }) => ({
      kind,
      severity: 'danger',
      holds: false,
      places: spaces,
      sentence: inWords(scene, spaces, sentence),
    }));
  });
};

const HOLDS = {
  twoQueens: 'No two queens can meet.',
  queenMeetsCell: 'No queen reaches a ripe cell.',
  queenMeetsGrafts: 'No queen reaches grafts.',
  virginBehindExcluder: 'No virgin is trusted to an excluder.',
  dronesShutIn: 'No drones are shut in.',
} as const;

/** Ids become the names that the breeder reads. */
export function inWords({ model }: Scene, ids: readonly string[], sentence: string): string {
  return [...ids]
    .sort((a, b) => b.length - a.length)
    .reduce((text, id) => text.replaceAll(id, nameOf(model, id)), sentence);
}

/** A confined queen with any way out that a queen passes (requirement 14). */
const heldQueen: Rule = ({ model, design }) => {
  const { territories } = reach(reachQuestionOf(model, []));
  return model.compartments
    .filter(({ use }) => use === 'held')
    .flatMap((compartment): Finding[] => {
      const home = compartment.spaces;
      const territory = territories.find((group) => home.some((id) => group.includes(id))) ?? [];
      // A rim over her own room alone is part of it; one over another's joins them, and that is in reach too.
      const rims = new Set(model.spaces.flatMap(({ id, body }) => (body && isRim(body.body) ? [id] : [])));
      const away = territory.filter((id) => !home.includes(id) && !rims.has(id));
      const out = model.openings.filter(
        ({ opening, serves }) =>
          'state' in opening &&
          (opening.state === 'open' || opening.state === 'reduced') &&
          serves.some(({ space }) => territory.includes(space)),
      );
      return [
        {
          kind: 'heldInside',
          severity: 'danger',
          holds: away.length === 0,
          places: [...home, ...away],
          sentence:
            away.length === 0
              ? `The queen held in ${compartment.name} has no way past its boards.`
              : `The queen held in ${compartment.name} can walk to ${namesOf(model, away)}.`,
        },
        {
          kind: 'heldEntrance',
          severity: 'danger',
          holds: out.length === 0,
          places: out.length === 0 ? home : out.map(({ id }) => id),
          sentence:
            out.length === 0
              ? `No entrance lets the queen held in ${compartment.name} out.`
              : `An entrance of ${compartment.name} is open: the queen held there can leave.`,
          fix: {
            label: 'Turn its disc to vent',
            apply: () => out.reduce((now, { id }) => withPart(now, id, { state: 'vent' }), design),
          },
        },
      ];
    });
};

const hasQueen = (use: BayUse): boolean => OCCUPANTS[use].length > 0 && use !== 'grafts';

/** What stands between two colonies that each are meant to have a queen (requirement 13). */
const betweenColonies: Rule = ({ model, design, limits }) =>
  model.boards.flatMap(({ board }): Finding[] => {
    const left = model.spaces.find(({ column }) => column?.right?.board.id === board.id);
    const right = model.spaces.find(({ column }) => column?.left?.board.id === board.id);
    const [a, b] = [left, right].map((space) => compartmentOf(model, space?.id ?? ''));
    if (!a || !b || !left || !right) return [];
    // A dummy makes one compartment of both sides: then it is what each side is meant for that counts.
    if (
      ![left, right].every(({ bays }) => bays.some(({ use, frames }) => hasQueen(use) && frames.length > 0))
    )
      return [];
    const weak = board.kind === 'open' || board.kind === 'dummy';
    const screen = board.kind === 'screen';
    const single = screen && below(board.thickness.mm, limits.screenApart);
    return [
      {
        kind: 'betweenColonies',
        severity: 'danger',
        holds: !weak,
        places: [board.id],
        sentence: weak
          ? `${boardName(model, board.id)} between ${left.name} and ${right.name} leaves both one colony: two queens meet.`
          : `What stands between ${left.name} and ${right.name} keeps their queens apart.`,
        fix: { label: 'Make it a tight divider', apply: () => withPart(design, board.id, tight(design)) },
      },
      ...(screen
        ? [
            {
              kind: 'screenTouch',
              severity: 'danger',
              holds: !single,
              places: [board.id],
              figure: board.thickness.mm,
              limit: limitOf(limits, 'screenApart'),
              sentence: single
                ? `Queens can touch through the single screen between ${a.name} and ${b.name}.`
                : `The two meshes between ${a.name} and ${b.name} stand ${mm(board.thickness.mm)} apart.`,
              fix: {
                label: 'Use two meshes 8 mm apart',
                apply: () => withPart(design, board.id, { thickness: length(8) }),
              },
            } satisfies Finding,
          ]
        : []),
    ];
  });

const tight = (design: DesignContent) => ({
  kind: 'tight' as const,
  slot: null,
  window: null,
  ears: true,
  up: length(0),
  down: length(design.floor.lip.mm),
  ends: length(0),
});

export const passageRules: readonly Rule[] = [meant, leaks, holesAcross, heldQueen, betweenColonies];
