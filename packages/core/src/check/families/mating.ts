import type { DesignContent } from '@yellow-cell/contract';
import { columnsOf } from '../../box/columns.ts';
import { withCompartments } from '../../box/editDesign.ts';
import { alongFor } from '../../box/entrances.ts';
import { fitOf } from '../../box/fit.ts';
import { withPart } from '../../box/parts.ts';
import { mm as length } from '../../box/plainParts.ts';
import { LUG_MM } from '../../box/solids.ts';
import { bodiesOf, mainBody } from '../../box/stack.ts';
import { lengthOf } from '../../geometry/block.ts';
import { above, below } from '../../numbers.ts';
import { listOf } from '../../say/words.ts';
import { fixed, limitOf, mm } from '../finding.ts';
import { own } from './own.ts';

/** Families that mate queens and house small colonies (handbook 2, families; handbook 8). */
const H2 = 'Families';

/** A second storey of the like may stand on it: the joint has a bee space. */
export const nucleus = own(({ design, limits }) => {
  const body = mainBody(design);
  const { depth_mm } = body.format;
  const over = body.rebate ? body.rebate.depth.mm - LUG_MM : 0;
  const under = body.depth.mm - over - depth_mm;
  const joint = over + under;
  const { jointLeast, jointMost } = limits;
  const holds = !below(joint, jointLeast) && !above(joint, jointMost);
  return [
    {
      kind: 'storeyStacks',
      severity: 'care',
      holds,
      places: [body.id],
      figure: joint,
      limit: limitOf(limits, above(joint, jointMost) ? 'jointMost' : 'jointLeast'),
      sentence: holds
        ? `A second storey of the like leaves ${mm(joint)} between the frames.`
        : `A second storey of the like would leave ${mm(joint)} between the frames; ${jointLeast} to ${mm(jointMost)} is right.`,
      fix: {
        label: `Make the body ${mm(depth_mm + 12)} deep`,
        apply: () => withPart(design, body.id, { depth: length(depth_mm + 12) }),
      },
    },
  ];
});

/** Entrances of the two halves look to opposite ends. */
export const twoWayNucleus = own(({ model, design }) => {
  const [a, b] = model.compartments;
  const sides = [a, b].map(
    (compartment) => new Set(compartment?.entrances.map(({ opening }) => opening.side)),
  );
  const holds =
    sides[0]?.size === 1 &&
    sides[1]?.size === 1 &&
    ((sides[0].has('front') && sides[1].has('back')) || (sides[0].has('back') && sides[1].has('front')));
  const [from, to] = sides[0]?.has('back') ? (['back', 'front'] as const) : (['front', 'back'] as const);
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
        label: `Let ${a?.name ?? 'one half'} fly at the ${from}, ${b?.name ?? 'the other'} at the ${to}`,
        apply: () => {
          const first = (a?.entrances ?? []).reduce(
            (now, { id, body }) =>
              withPart(now, id, {
                side: from,
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
export const twoWayBody = own(({ model, design }) => {
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
        : `Compartments of ${listOf(counts.map(String))} frames make no pair for winter: two alike of four or more do.`,
      fix: {
        label: 'Make it 4 and 4',
        apply: () => withCompartments(design, [4, 4], mainBody(design).boards[0]?.thickness ?? length(9.5)),
      },
    },
  ];
});

/** The middle compartment has an end of the box to itself. */
export const threeWay = own(({ model, design }) => {
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
export const fourWay = own(({ model, design }) => {
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

/** Printed parts lie on the heated area of the bed, not on the bed (requirement 16). */
export const smallFormat = own(({ design, model }) => {
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
      limit: fixed(Math.max(bed.width.mm, bed.length.mm), 'Machine-made parts'),
      sentence: holds
        ? `The body (${mm(w)} × ${mm(l)}) lies on the heated area.`
        : `The body (${mm(w)} × ${mm(l)}) is ${mm(over)} larger than the heated area: print it in two halves with a joint.`,
    },
  ];
});
