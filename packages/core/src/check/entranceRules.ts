import type { DesignContent, Entrance } from '@yellow-cell/contract';
import { columnsOf } from '../box/columns.ts';
import { differClearly, markUnlike } from '../box/drift.ts';
import { alongFor, withEntranceAdded } from '../box/entrances.ts';
import { workersPass } from '../box/gap.ts';
import { isEntrance, type ServedOpening } from '../box/model.ts';
import { withPart } from '../box/parts.ts';
import { mm as length } from '../box/plainParts.ts';
import {
  compartmentOf,
  type Finding,
  fixed,
  limitOf,
  mm,
  namesOf,
  type Rule,
  type Scene,
} from './finding.ts';

const HOME = 'Finding home';
type Door = ServedOpening & { opening: Entrance };

const doorsOf = ({ model }: Scene): Door[] => model.openings.filter(isEntrance);
const served = (door: ServedOpening): string[] =>
  door.serves.filter(({ clear_mm }) => workersPass(clear_mm)).map(({ space }) => space);

/** Each entrance serves exactly one compartment (requirement 9). */
const servesOne: Rule = (scene) =>
  doorsOf(scene).map((door): Finding => {
    const { model, design } = scene;
    const spaces = served(door);
    const compartments = [...new Set(spaces.flatMap((id) => compartmentOf(model, id)?.name ?? []))];
    const holds = compartments.length === 1;
    return {
      kind: 'servesOne',
      severity: compartments.length === 0 ? 'fault' : 'danger',
      holds,
      places: [door.id],
      figure: compartments.length,
      limit: fixed(1, HOME),
      unit: 'compartments',
      sentence: holds
        ? `The entrance at the ${door.opening.side} serves ${compartments[0] ?? namesOf(model, spaces)} alone.`
        : compartments.length === 0
          ? `The entrance at the ${door.opening.side} opens into no compartment.`
          : `The entrance at the ${door.opening.side} serves ${namesOf(model, spaces)}: both colonies use it.`,
      ...(holds ? {} : { fix: moveFix(design, door) }),
    };
  });

/** To the middle of the nearest compartment along its wall. */
function moveFix(design: DesignContent, { opening, body, id }: Door): NonNullable<Finding['fix']> {
  const columns = columnsOf(body.body).filter(({ bays }) => bays.some(({ frames }) => frames.length > 0));
  const places = columns.map((column) => alongFor(body.body, column, opening.side));
  const nearest = places.reduce<number | undefined>(
    (best, place) =>
      best === undefined || Math.abs(place - opening.along.mm) < Math.abs(best - opening.along.mm)
        ? place
        : best,
    undefined,
  );
  const to = nearest ?? opening.along.mm;
  const height = Math.min(
    Math.max(opening.height.mm, opening.tall.mm / 2 + 5),
    body.body.depth.mm - opening.tall.mm,
  );
  return {
    label: `Move it ${mm(Math.abs(to - opening.along.mm))} along, to the middle of its compartment`,
    apply: () => withPart(design, id, { along: length(to), height: length(height) }),
  };
}

/** A compartment that no flight entrance serves. */
const hasFlight: Rule = (scene) =>
  scene.model.compartments
    .filter(({ use }) => use !== 'nothing' && use !== 'held' && use !== 'stores')
    .map((compartment): Finding => {
      const { model, design } = scene;
      const colony = coloniesWith(scene, compartment.spaces[0] ?? '');
      const shut = design.family === 'starter' || design.family === 'foldedSheet';
      const flies = doorsOf(scene).some(
        (door) => FLIGHT.includes(door.opening.state) && served(door).some((id) => colony.includes(id)),
      );
      const home = model.spaces.find(({ id }) => id === compartment.spaces[0]);
      return {
        kind: 'hasFlight',
        severity: 'danger',
        holds: flies || shut,
        places: compartment.spaces,
        sentence: flies
          ? `Bees of ${compartment.name} can fly.`
          : shut
            ? `${compartment.name} is shut on purpose: it needs feed, water and air for the time.`
            : `No flight entrance serves ${compartment.name}.`,
        ...(home?.body && home.bays[0]
          ? {
              fix: {
                label: 'Drill it an entrance',
                apply: () =>
                  withEntranceAdded(
                    design,
                    home.body?.body.id ?? '',
                    home.bays[0]?.id ?? '',
                    freeSide(scene),
                  ),
              },
            }
          : {}),
      };
    });

const FLIGHT: readonly Entrance['state'][] = ['open', 'reduced', 'workersOnly'];

function freeSide(scene: Scene): Entrance['side'] {
  const used = doorsOf(scene).map(({ opening }) => opening.side);
  return (['front', 'back'] as const).find((side) => !used.includes(side)) ?? 'front';
}

function coloniesWith({ model }: Scene, space: string): string[] {
  const group = new Set([space]);
  for (let grown = true; grown; ) {
    grown = false;
    for (const { between, gap_mm } of model.passages) {
      if (!workersPass(gap_mm) || group.has(between[0]) === group.has(between[1])) continue;
      group.add(between[0]).add(between[1]);
      grown = true;
    }
  }
  return [...group];
}

/** Like marks in one box, and entrances that are mistaken for one another (requirement 11). */
const toldApart: Rule = (scene) => {
  const { model, design, limits } = scene;
  const pairs = new Map<string, Finding>();
  for (const { between, risk, apart_mm } of model.drifts) {
    const [a, b] = between.map((id) => doorsOf(scene).find((door) => door.id === id));
    // A door that two compartments use is another rule's matter.
    if (!a || !b || served(a).length !== 1 || served(b).length !== 1) continue;
    const names = [a, b].map((door) => compartmentOf(model, served(door)[0] ?? '')?.name ?? '');
    const key = [...names].sort().join('|');
    const same =
      a.opening.mark !== null && b.opening.mark !== null && !differClearly(a.opening.mark, b.opening.mark);
    const unmarked = a.opening.mark === null || b.opening.mark === null;
    const holds = risk === 'lowest' || risk === 'low' ? !same : false;
    const known = pairs.get(key);
    if (known && !known.holds) continue;
    const where =
      apart_mm === undefined
        ? `${a.opening.side} and ${b.opening.side}`
        : `both ${a.opening.side}, ${mm(apart_mm)} apart`;
    const others = doorsOf(scene).filter((door) => !served(door).some((id) => served(b).includes(id)));
    pairs.set(key, {
      kind: 'toldApart',
      severity: risk === 'high' ? 'care' : 'note',
      holds,
      places: [a.id, b.id],
      ...(apart_mm === undefined ? {} : { figure: apart_mm, limit: limitOf(limits, 'driftNear') }),
      sentence: holds
        ? `Bees can tell ${names[0]} from ${names[1]} (${where}; drift ${risk}).`
        : `${names[0]} and ${names[1]} are easily taken for one another: ${where}, ${unmarked ? 'without marks on both' : same ? 'marks alike' : 'even with their marks'} (drift ${risk}).`,
      ...(holds
        ? {}
        : {
            fix: {
              label: `Give ${names[1]} ${markWords(markUnlike(others.map(({ opening }) => opening.mark)))}`,
              apply: () =>
                marked(scene, served(b), markUnlike(others.map(({ opening }) => opening.mark)), design),
            },
          }),
    });
  }
  return [...pairs.values()];
};

export const markWords = ({ shape, colour }: NonNullable<Entrance['mark']>): string =>
  `the ${shape}, ${colour}`;

function marked(
  scene: Scene,
  spaces: readonly string[],
  mark: Entrance['mark'],
  design: DesignContent,
): DesignContent {
  return doorsOf(scene)
    .filter((door) => served(door).some((id) => spaces.includes(id)))
    .reduce((now, { id }) => withPart(now, id, { mark }), design);
}

/** The vaporiser that the breeder owns goes in by one entrance at least (requirement 3). */
const vaporiserFits: Rule = (scene) => {
  const { vaporiser } = scene.design;
  if (!vaporiser) return [];
  return scene.model.compartments.map((compartment): Finding => {
    const widest = compartment.entrances.reduce<Door | undefined>(
      (a, b) => (!a || b.opening.width.mm > a.opening.width.mm ? b : a),
      undefined,
    );
    const width = widest?.opening.width.mm ?? 0;
    const holds = width >= vaporiser.mm;
    return {
      kind: 'vaporiserFits',
      severity: 'care',
      holds,
      places: widest ? [widest.id] : compartment.spaces,
      figure: width,
      limit: fixed(vaporiser.mm, 'Entrances'),
      sentence: holds
        ? `The vaporiser (${mm(vaporiser.mm)}) goes into ${compartment.name}.`
        : `The widest entrance of ${compartment.name} is ${mm(width)}; the vaporiser needs ${mm(vaporiser.mm)}.`,
      ...(widest && !holds
        ? {
            fix: {
              label: `Make it ${mm(vaporiser.mm + 2)} wide`,
              apply: () =>
                withPart(scene.design, widest.id, { width: length(vaporiser.mm + 2), shape: 'slot' }),
            },
          }
        : {}),
    };
  });
};

/** A hole must lie inside the wall it is drilled in. */
const insideWall: Rule = ({ model, design }) =>
  model.openings.map(({ id, opening, body, z }): Finding => {
    const low = body.number === 0 ? 0 : body.z[0];
    const over = Math.max(low - z[0], z[1] - body.z[1]);
    const holds = over <= 1e-9;
    const height = low + opening.tall.mm / 2 + 1 - body.z[0];
    return {
      kind: 'holeInWall',
      severity: 'fault',
      holds,
      places: [id],
      figure: Math.max(0, over),
      limit: fixed(0, 'Entrances'),
      sentence: holds
        ? 'The hole lies inside its wall.'
        : `The hole at the ${opening.side} runs ${mm(over)} past the edge of its wall.`,
      ...(holds
        ? {}
        : {
            fix: {
              label: 'Move it inside the wall',
              apply: () => withPart(design, id, { height: length(height) }),
            },
          }),
    };
  });

export const entranceRules: readonly Rule[] = [hasFlight, servesOne, insideWall, toldApart, vaporiserFits];
