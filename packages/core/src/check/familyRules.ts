import type { DesignContent, Family, Slot } from '@yellow-cell/contract';
import { columnsOf, placesIn } from '../box/columns.ts';
import { withCompartments } from '../box/editDesign.ts';
import { alongFor } from '../box/entrances.ts';
import { fitOf } from '../box/fit.ts';
import { isEntrance } from '../box/model.ts';
import { withoutPart, withPart } from '../box/parts.ts';
import { EXCLUDER_SLOT_MM, mm as length } from '../box/plainParts.ts';
import { LUG_MM } from '../box/solids.ts';
import { bodiesOf, mainBody } from '../box/stack.ts';
import { lengthOf } from '../geometry/block.ts';
import { above, below } from '../numbers.ts';
import { type Finding, fixed, limitOf, mm, nameOf, type Rule, type Scene } from './finding.ts';

/** What each family alone is held to, beside the rules for all (handbook 2, families; handbook 8). */
const H2 = 'Handbook 2, families';
const H8 = 'Handbook 8';

type Part = Omit<Finding, 'places'> & { places?: readonly string[] };
const one =
  (rule: (scene: Scene) => Part[]): Rule =>
  (scene) =>
    rule(scene).map((part) => ({ places: [], ...part }));

/** A second storey of the like may stand on it: the joint has a bee space. */
const nucleus = one(({ design }) => {
  const body = mainBody(design);
  const { depth_mm } = body.format;
  const over = body.rebate ? body.rebate.depth.mm - LUG_MM : 0;
  const under = body.depth.mm - over - depth_mm;
  const joint = over + under;
  const holds = !below(joint, 6) && !above(joint, 13);
  return [
    {
      kind: 'storeyStacks',
      severity: 'care',
      holds,
      places: [body.id],
      figure: joint,
      limit: fixed(joint > 13 ? 13 : 6, 'Handbook 2, formats'),
      sentence: holds
        ? `A second storey of the like leaves ${mm(joint)} between the frames.`
        : `A second storey of the like would leave ${mm(joint)} between the frames; 6 to 13 mm is right.`,
      fix: {
        label: `Make the body ${mm(depth_mm + 12)} deep`,
        apply: () => withPart(design, body.id, { depth: length(depth_mm + 12) }),
      },
    },
  ];
});

/** Entrances of the two halves look to opposite ends. */
const twoWayNucleus = one(({ model, design }) => {
  const [a, b] = model.compartments;
  const sides = [a, b].map(
    (compartment) => new Set(compartment?.entrances.map(({ opening }) => opening.side)),
  );
  const holds =
    sides[0]?.size === 1 &&
    sides[1]?.size === 1 &&
    ((sides[0].has('front') && sides[1].has('back')) || (sides[0].has('back') && sides[1].has('front')));
  const to = sides[0]?.has('back') ? 'front' : 'back';
  return [
    {
      kind: 'oppositeEnds',
      severity: 'care',
      holds,
      places: [...(a?.spaces ?? []), ...(b?.spaces ?? [])],
      sentence: holds
        ? 'The halves fly at opposite ends.'
        : 'The halves do not fly at opposite ends: queens back from mating take the wrong one.',
      fix: {
        label: `Move the entrances of ${b?.name ?? 'the second half'} to the ${to}`,
        apply: () => {
          const first = (a?.entrances ?? []).reduce(
            (now, { id, body }) =>
              withPart(now, id, {
                side: to === 'back' ? 'front' : 'back',
                along: length(columnMiddle(now, body.body.id, a?.bays[0])),
              }),
            design,
          );
          return (b?.entrances ?? []).reduce(
            (now, { id, body }) =>
              withPart(now, id, { side: to, along: length(columnMiddle(now, body.body.id, b?.bays[0])) }),
            first,
          );
        },
      },
    },
  ];
});

function columnMiddle(design: DesignContent, bodyId: string, bay: string | undefined): number {
  const body = bodiesOf(design).find(({ id }) => id === bodyId);
  const column = body && columnsOf(body).find(({ bays }) => bays.some(({ id }) => id === bay));
  return body && column ? alongFor(body, column, 'front') : 0;
}

/** A pair that can winter: two alike, four frames or more each. */
const twoWayBody = one(({ model, design }) => {
  const counts = model.compartments.map(({ frames }) => frames.length);
  const holds = counts.length === 2 && counts[0] === counts[1] && (counts[0] ?? 0) >= 4;
  return [
    {
      kind: 'pairAlike',
      severity: 'care',
      holds,
      figure: Math.min(...counts),
      limit: fixed(4, H2),
      unit: 'frames',
      sentence: holds
        ? `Both have ${counts[0]} frames: a pair can winter here, each warm at the other's side.`
        : `Compartments of ${counts.join(' and ')} frames make no pair for winter: two alike of four or more do.`,
      fix: {
        label: 'Make it 4 and 4',
        apply: () => withCompartments(design, [4, 4], mainBody(design).boards[0]?.thickness ?? length(9.5)),
      },
    },
  ];
});

/** The middle compartment has an end of the box to itself. */
const threeWay = one(({ model, design }) => {
  const [left, middle, right] = model.compartments;
  const own = (middle?.entrances ?? []).map(({ opening }) => opening.side);
  const others = [left, right].flatMap((each) => each?.entrances.map(({ opening }) => opening.side) ?? []);
  const shared = own.filter((side) => others.includes(side));
  const free = (['front', 'back'] as const).find((side) => !others.includes(side));
  return [
    {
      kind: 'middleEnd',
      severity: 'care',
      holds: own.length > 0 && shared.length === 0,
      places: middle?.spaces ?? [],
      sentence:
        own.length > 0 && shared.length === 0
          ? `The middle compartment has the ${own[0]} to itself.`
          : 'The middle compartment shares its end with a neighbour: queens back from mating mistake it.',
      ...(free && middle
        ? {
            fix: {
              label: `Move its entrances to the ${free}`,
              apply: () =>
                middle.entrances.reduce((now, { id }) => withPart(now, id, { side: free }), design),
            },
          }
        : {}),
    },
  ];
});

/** Two dividers out give two like halves, all out a plain body. */
const fourWay = one(({ model, design }) => {
  const body = mainBody(design);
  const all = fitOf(body.insideWidth.mm, Math.floor(body.insideWidth.mm / body.format.pitch_mm), body.format);
  const centre = model.boards[1];
  const halves = centre ? [centre.x[0], body.insideWidth.mm - centre.x[1]] : [];
  const fits = halves.map((width) =>
    fitOf(width, Math.floor((width - 3) / body.format.pitch_mm), body.format),
  );
  const holds =
    model.boards.length === 3 &&
    fits.length === 2 &&
    fits[0]?.frames === fits[1]?.frames &&
    fits.every(({ slack_mm }) => slack_mm >= 3);
  return [
    {
      kind: 'converts',
      severity: 'note',
      holds,
      places: centre ? [centre.board.id] : [],
      sentence: holds
        ? `The outer dividers out give ${fits[0]?.frames} and ${fits[1]?.frames} frames; all out give ${all.frames}.`
        : 'With the outer dividers out the halves are not alike: it does not become a pair.',
    },
  ];
});

/** The donor's side is held by an excluder that workers pass, and the other side flies. */
const donorHolding = one(({ model, design }) => {
  const held = model.compartments.find(({ use }) => use === 'held');
  const beside = model.compartments.find((each) => each !== held && each.frames.length > 0);
  const way = model.passages.some(
    ({ between, gap_mm }) =>
      gap_mm >= 4.1 - 1e-9 &&
      gap_mm <= 4.5 + 1e-9 &&
      held?.spaces.some((id) => between.includes(id)) &&
      beside?.spaces.some((id) => between.includes(id)),
  );
  const board = model.boards[0]?.board;
  const flies =
    beside?.entrances.some(({ opening }) => opening.state === 'open' || opening.state === 'reduced') ?? false;
  const first = beside?.entrances[0]?.id;
  return [
    {
      kind: 'workersPass',
      severity: 'danger',
      holds: way,
      places: board ? [board.id] : [],
      sentence: way ? 'Workers pass the excluder to the donor.' : 'No worker reaches the donor: she starves.',
      ...(board
        ? {
            fix: {
              label: 'Set an excluder into the divider',
              apply: () => withPart(design, board.id, { slot: EXCLUDER_SLOT_MM }),
            },
          }
        : {}),
    },
    {
      kind: 'flyingSide',
      severity: 'danger',
      holds: flies,
      places: beside?.spaces ?? [],
      sentence: flies
        ? `${beside?.name ?? 'The other side'} flies and carries stores.`
        : 'The flying side is shut: never leave it so.',
      ...(first
        ? { fix: { label: 'Open it', apply: () => withPart(design, first, { state: 'open' }) } }
        : {}),
    },
  ];
});

/** Donor and brood on one side of an excluder partition, grafts on the other, an entrance each. */
const allInOne = one(({ model, design }) => {
  const queen = model.compartments.find(({ use }) => use === 'colony' || use === 'held');
  const grafts = model.compartments.find(({ use }) => use === 'grafts');
  const board = model.boards.find(({ board: each }) => each.kind === 'excluder')?.board;
  const doors = [queen, grafts].every((each) => (each?.entrances.length ?? 0) > 0);
  return [
    {
      kind: 'excluderPartition',
      severity: 'danger',
      holds: Boolean(queen && grafts && board && board.window === null && board.slot !== null),
      places: board ? [board.id] : [],
      sentence:
        board && board.window === null
          ? 'The whole partition is an excluder: nurses pass to the grafts everywhere.'
          : 'The partition between queen and grafts is no whole excluder: too few nurses pass.',
      ...(board
        ? {
            fix: {
              label: 'Make the whole partition an excluder',
              apply: () => withPart(design, board.id, { window: null, slot: EXCLUDER_SLOT_MM }),
            },
          }
        : {}),
    },
    {
      kind: 'doorEach',
      severity: 'care',
      holds: doors,
      places: [...(queen?.spaces ?? []), ...(grafts?.spaces ?? [])],
      sentence: doors
        ? 'Both sides have an entrance of their own.'
        : 'One side has no entrance of its own: its drones clog the excluder.',
    },
  ];
});

/** Closed, fed, and with mesh enough to breathe. */
const starter = one(({ model, design, limits }) => {
  const floor =
    design.floor.mesh === null
      ? 0
      : (lengthOf(model.stack.bodies[0]?.inside.x ?? [0, 0]) *
          lengthOf(model.stack.bodies[0]?.inside.y ?? [0, 0])) /
        100;
  const vents = bodiesOf(design)
    .flatMap((body) => body.vents)
    .reduce((sum, { width, tall }) => sum + (width.mm * tall.mm) / 100, 0);
  const area = floor + vents;
  const fed =
    model.frames.some(({ holds }) => holds === 'feeder') ||
    design.layers.some(
      (layer) => layer.kind === 'sheet' && layer.holes.some(({ closedBy }) => closedBy === 'jar'),
    );
  const bar = model.frames.some(({ holds }) => holds === 'grafts');
  const flying = model.openings
    .filter(isEntrance)
    .filter(({ opening }) => opening.state !== 'closed' && opening.state !== 'vent');
  const last = model.frames.findLast(({ holds }) => holds === 'comb');
  const hold = (holds: Slot['holds']) => (last ? withPart(design, last.id, { holds }) : design);
  return [
    {
      kind: 'starterAir',
      severity: 'danger',
      holds: !below(area, limits.starterMesh_cm2),
      places: ['floor'],
      figure: area,
      limit: limitOf(limits, 'starterMesh_cm2'),
      unit: 'cm²',
      sentence: below(area, limits.starterMesh_cm2)
        ? `Only ${Math.round(area)} cm² of mesh: crowded bees overheat in it.`
        : `${Math.round(area)} cm² of mesh lets the crowd breathe.`,
      fix: {
        label: 'Give it a mesh floor',
        apply: () => ({ ...design, floor: { ...design.floor, kind: 'mesh', mesh: 2.5 } }),
      },
    },
    {
      kind: 'starterFed',
      severity: 'danger',
      holds: fed,
      sentence: fed
        ? 'A feeder stands in it.'
        : 'No feeder: shut in, the bees starve and give up the grafts.',
      fix: { label: 'Put a feeder in the last place', apply: () => hold('feeder') },
    },
    {
      kind: 'graftBar',
      severity: 'fault',
      holds: bar,
      sentence: bar ? 'There is a place for the graft bar.' : 'There is no place for the graft bar.',
      fix: { label: 'Keep the last place for it', apply: () => hold('grafts') },
    },
    {
      kind: 'starterShut',
      severity: 'care',
      holds: flying.length === 0,
      places: flying.map(({ id }) => id),
      sentence:
        flying.length === 0
          ? 'It is shut: nobody flies home from it.'
          : 'It is open: bees fly home and the starter thins out.',
      fix: {
        label: 'Shut its entrances',
        apply: () => flying.reduce((now, { id }) => withPart(now, id, { state: 'closed' }), design),
      },
    },
  ];
});

/** Four outside squares make one full-size body. */
const quarter = one(({ model, design }) => {
  const small = model.stack.bodies.filter(
    ({ body }) =>
      body.beside ||
      model.stack.bodies.some(
        (next) =>
          next.body.beside && next.z[0] === model.stack.bodies.find((each) => each.body.id === body.id)?.z[0],
      ),
  );
  const sizes = (small.length > 0 ? small : model.stack.bodies).map(
    ({ outside }) => [lengthOf(outside.x), lengthOf(outside.y)] as const,
  );
  const base = model.stack.bodies.find(({ body }) => !small.some((each) => each.body.id === body.id));
  const [w, l] = base
    ? [lengthOf(base.outside.x), lengthOf(base.outside.y)]
    : [FULL_SQUARE_MM, FULL_SQUARE_MM];
  const off = Math.max(...sizes.flatMap(([x, y]) => [Math.abs(2 * x - w), Math.abs(2 * y - l)]));
  const first = small[0] ?? model.stack.bodies[0];
  return [
    {
      kind: 'fourMakeOne',
      severity: 'fault',
      holds: off < 0.5,
      places: small.map(({ body }) => body.id),
      figure: off,
      limit: fixed(0.5, 'Requirement 6'),
      sentence:
        off < 0.5
          ? `Four of them make one ${mm(w)} × ${mm(l)}.`
          : `Two side by side miss the full size by ${mm(off)}: bees and rain get in.`,
      ...(first
        ? {
            fix: {
              label: `Make each ${mm(w / 2)} × ${mm(l / 2)} outside`,
              apply: () =>
                small.reduce(
                  (now, { body }) =>
                    withPart(now, body.id, {
                      insideWidth: length(w / 2 - 2 * body.wall.mm),
                      insideLength: length(l / 2 - 2 * body.wall.mm),
                    }),
                  design,
                ),
            },
          }
        : {}),
    },
  ];
});
const FULL_SQUARE_MM = 460;

/** Printed parts lie on the heated area of the bed, not on the bed (requirement 16). */
const smallFormat = one(({ design, model }) => {
  const { bed } = design;
  const outside = model.stack.bodies.map(({ outside: { x, y } }) => [lengthOf(x), lengthOf(y)] as const);
  const [w, l] = outside.reduce(
    (most, each) => (each[0] * each[1] > most[0] * most[1] ? each : most),
    [0, 0],
  );
  if (!bed) {
    return [{ kind: 'printBed', severity: 'note', holds: true, sentence: 'Nothing of it is printed.' }];
  }
  const half = (a: number, b: number) => a <= bed.width.mm && b <= bed.length.mm;
  const holds = half(w, l) || half(l, w);
  const over = Math.min(
    Math.max(w - bed.width.mm, l - bed.length.mm),
    Math.max(l - bed.width.mm, w - bed.length.mm),
  );
  return [
    {
      kind: 'printBed',
      severity: 'fault',
      holds,
      figure: Math.max(w, l),
      limit: fixed(Math.max(bed.width.mm, bed.length.mm), 'Requirement 16'),
      sentence: holds
        ? `The body (${mm(w)} × ${mm(l)}) lies on the heated area.`
        : `The body (${mm(w)} × ${mm(l)}) is ${mm(over)} larger than the heated area: print it in two halves with a joint.`,
    },
  ];
});

/** Orientation is marked before anything is glued (requirement 24); seams are taped and frames guided before bees travel. */
const foldedSheet = one(({ design }) => {
  const folding = design.folding ?? { seamsTaped: false, marked: false, guided: false };
  const check = (
    kind: string,
    field: 'marked' | 'seamsTaped' | 'guided',
    severity: Finding['severity'],
    yes: string,
    no: string,
    label: string,
  ): Part => ({
    kind,
    severity,
    holds: folding[field],
    sentence: folding[field] ? yes : no,
    fix: { label, apply: () => ({ ...design, folding: { ...folding, [field]: true } }) },
  });
  return [
    check(
      'foldMarked',
      'marked',
      'fault',
      'Outside and way up are marked on the sheet.',
      'Outside and way up are not marked: glued wrong, the door ends at the top.',
      'Mark it before gluing',
    ),
    check(
      'seamsTaped',
      'seamsTaped',
      'danger',
      'All seams are taped.',
      'Seams are not taped: bees come out on the way.',
      'Tape every seam',
    ),
    check(
      'framesGuided',
      'guided',
      'danger',
      'The feet of the frames are guided.',
      'Frames can swing and crush the queen.',
      'Guide their feet',
    ),
  ];
});

/** What is looked at through glass: a queen shown above an excluder, whole boxes with a frame left out, walls with doors. */
const observation = one(({ model, design }) => {
  const panes = model.stack.bodies.filter(({ body }) => body.glass.length > 0);
  const single = panes.filter(({ body }) => body.bays.reduce((sum, bay) => sum + placesIn([bay]), 0) === 1);
  const plain = model.stack.bodies.filter(
    ({ body }) => body.glass.length === 0 && body.bays.some(({ frames }) => frames.length > 0),
  );
  if (panes.length > 0 && single.length === panes.length && plain.length > 0) {
    const sheet = model.stack.sheets.find(
      ({ sheet: each }) =>
        each.what === 'excluder' || each.holes.some(({ closedBy }) => closedBy === 'excluder'),
    );
    const open = model.stack.sheets
      .flatMap(({ sheet: each }) => each.holes)
      .find(({ closedBy }) => closedBy === 'nothing');
    return [
      {
        kind: 'viewing',
        severity: 'danger',
        holds: sheet !== undefined,
        places: single.map(({ body }) => body.id),
        sentence: sheet
          ? 'An excluder keeps the shown queen above the nucleus.'
          : 'Nothing keeps the shown queen above: she walks down into the nucleus.',
        ...(open
          ? {
              fix: {
                label: 'Lay an excluder over the opening',
                apply: () => withPart(design, open.id, { closedBy: 'excluder' }),
              },
            }
          : {}),
      },
    ];
  }
  if (plain.length > 0) {
    const body = plain[0]?.body ?? mainBody(design);
    const room = Math.floor(body.insideWidth.mm / body.format.pitch_mm);
    const count = body.bays.reduce((sum, bay) => sum + placesIn([bay]), 0);
    return [
      {
        kind: 'viewing',
        severity: 'care',
        holds: count <= room - 1,
        places: [body.id],
        figure: count,
        limit: fixed(room - 1, 'Handbook 2, fit of frames'),
        unit: 'frames',
        sentence:
          count <= room - 1
            ? `${count} frames of ${room}: each can be lifted through the fixed top.`
            : `${count} frames fill it: none can be lifted through a fixed top; leave one out.`,
        fix: {
          label: 'Leave one frame out',
          apply: () => withCompartments(design, [room - 1], length(9.5), body.id),
        },
      },
    ];
  }
  const doors = panes.every(({ body }) => body.doors);
  return [
    {
      kind: 'viewing',
      severity: 'care',
      holds: doors,
      places: panes.map(({ body }) => body.id),
      sentence: doors
        ? 'Insulated doors shut over the panes.'
        : 'The panes have no doors: the nest is lit and loses warmth all day.',
      fix: {
        label: 'Hang insulated doors',
        apply: () => panes.reduce((now, { body }) => withPart(now, body.id, { doors: true }), design),
      },
    },
  ];
});

/** The bank frame stands in the middle in the room of two, and no queen runs free (handbook 8; requirement 54). */
const bank = one(({ model, design }) => {
  const frames = model.frames;
  const at = frames.findIndex(({ holds }) => holds === 'bank');
  const middle = Math.abs(at - (frames.length - 1) / 2) <= 1;
  const free = model.compartments.filter(({ use }) => use === 'colony' || use === 'mating' || use === 'held');
  const last = frames.at(-1);
  return [
    {
      kind: 'bankPlace',
      severity: 'care',
      holds: at !== -1 && middle,
      places: frames[at] ? [frames[at].id] : [],
      sentence:
        at === -1
          ? 'There is no bank frame.'
          : middle
            ? 'The bank frame stands in the middle, in the room of two.'
            : 'The bank frame does not stand in the middle: nurses do not reach the cages from both sides.',
      ...(at === -1 && last
        ? {
            fix: {
              label: 'Make the middle one the bank frame',
              apply: () => withBank(design, frames[Math.floor(frames.length / 2)]?.id ?? '', last.id),
            },
          }
        : {}),
    },
    {
      kind: 'noFreeQueen',
      severity: 'danger',
      holds: free.length === 0,
      places: free.flatMap(({ spaces }) => spaces),
      sentence:
        free.length === 0
          ? 'No queen runs free in it.'
          : 'A free queen is meant to live in it: she kills those in the cages.',
      fix: {
        label: 'Keep it queenless',
        apply: () =>
          free.flatMap(({ bays }) => bays).reduce((now, id) => withPart(now, id, { use: 'bank' }), design),
      },
    },
  ];
});

const withBank = (design: DesignContent, middle: string, last: string): DesignContent =>
  withPart(withoutPart(design, last), middle, { holds: 'bank' });

/** Cheeks take the smaller frames below; the larger ones above are shut off by a fitted excluder with an entrance between. */
const changer = one(({ model, design }) => {
  const lower = bodiesOf(design).find(({ cheeks }) => cheeks);
  const upper = model.stack.bodies.at(-1);
  const doors = model.openings.filter(isEntrance).filter(({ body }) => body.body.id === upper?.body.id);
  const format = lower?.bays.find((bay) => bay.format)?.format;
  const spare =
    lower && format
      ? (lower.insideLength.mm - 2 * (lower.cheeks?.inset.mm ?? 0) - format.bodyLength_mm) / 2
      : 0;
  const holds = lower !== undefined && format !== undefined && !below(spare, 6) && !above(spare, 9.5);
  return [
    {
      kind: 'cheeksFit',
      severity: 'fault',
      holds,
      places: lower ? [lower.id] : [],
      figure: spare,
      limit: fixed(spare > 9.5 ? 9.5 : 6, 'Handbook 2, what a gap does'),
      sentence: holds
        ? `The cheeks leave ${mm(spare)} at the ends of the smaller frames.`
        : `The cheeks leave ${mm(spare)} at the ends of the smaller frames; 6 to 9.5 mm is bee space.`,
      ...(lower?.cheeks && format
        ? {
            fix: {
              label: 'Set the cheeks to 7.5 mm',
              apply: () =>
                withPart(design, lower.id, {
                  cheeks: {
                    inset: length((lower.insideLength.mm - format.bodyLength_mm - 15) / 2),
                    thickness: lower.cheeks?.thickness ?? length(35),
                  },
                }),
            },
          }
        : {}),
    },
    {
      kind: 'doorBetween',
      severity: 'care',
      holds: doors.length > 0,
      places: upper ? [upper.body.id] : [],
      sentence:
        doors.length > 0
          ? 'The upper body has an entrance of its own above the excluder.'
          : `The upper body has no entrance of its own (${H8}, changing format).`,
    },
  ];
});

/** Nothing but air, if that, reaches the void behind a follower. */
const followerReduced = one(({ model, design }) => {
  const voids = model.spaces.filter(({ kind }) => kind === 'void');
  const doors = model.openings.filter(({ serves }) =>
    serves.some(({ space }) => voids.some(({ id }) => id === space)),
  );
  const ways = model.passages.filter(
    ({ between, gap_mm, reason }) =>
      gap_mm >= 4.1 - 1e-9 &&
      reason !== 'slots' &&
      between.some((id) => voids.some((each) => each.id === id)),
  );
  const holes = ways.filter(({ reason }) => reason === 'hole' || reason === 'joint');
  return [
    {
      kind: 'voidShut',
      severity: 'care',
      holds: voids.length > 0 && doors.length === 0 && holes.length === 0,
      places: [...voids.map(({ id }) => id), ...doors.map(({ id }) => id)],
      sentence:
        voids.length === 0
          ? 'No follower closes the cavity.'
          : doors.length > 0
            ? `An entrance opens into the void ${nameOf(model, voids[0]?.id ?? '').toLowerCase()}: robbers and mice live there.`
            : holes.length > 0
              ? 'A feeder spans the follower: a few bees, rarely the queen, get into the empty side.'
              : 'Nothing opens into the void behind the follower.',
      ...(doors.length > 0
        ? {
            fix: {
              label: 'Plug that entrance',
              apply: () => doors.reduce((now, { id }) => withoutPart(now, id), design),
            },
          }
        : {}),
    },
  ];
});

const byFamily: Readonly<Record<Family, Rule>> = {
  nucleus,
  twoWayNucleus,
  twoWayBody,
  threeWay,
  fourWay,
  donorHolding,
  allInOne,
  starter,
  quarter,
  smallFormat,
  foldedSheet,
  observation,
  bank,
  changer,
  followerReduced,
};

export const familyRules: readonly Rule[] = [(scene) => byFamily[scene.design.family](scene)];
