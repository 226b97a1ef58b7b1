import type { Body, DesignContent, Family } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { familyDesigns } from '../families/build.ts';
import { designChanges } from './designChanges.ts';
import { designProblems } from './designProblems.ts';
import { isRim, withRimDivided } from './divideRim.ts';
import { withDummy } from './dummy.ts';
import {
  dividerRange,
  withCompartmentCount,
  withDividerAt,
  withEqualSlack,
  withFrameMoved,
  withFramesIn,
  withSizes,
  withThickness,
} from './editDesign.ts';
import { entrancesAsProposed, withEntranceAdded, withProposedEntrances, withVentAdded } from './entrances.ts';
import { handPlacesFor, withHandPlaces } from './handPlace.ts';
import { joinedRooms } from './joinedRooms.ts';
import { layerName } from './layerName.ts';
import { type BoxModel, deriveBox } from './model.ts';
import { newBoard } from './newBoard.ts';
import { withPart } from './parts.ts';
import { mm } from './plainParts.ts';
import { bodiesOf, mainBody } from './stack.ts';
import { withCover, withExcluder, withRim, withStorey } from './stackAdds.ts';
import { namesFor, renamed, withLayerAt, withoutLayer } from './stackMoves.ts';

const round = (value: number): number => Math.round(value * 100) / 100;
const span = ([from, to]: readonly [number, number]): string => `${round(from)}–${round(to)}`;

/** A body's figures in two lines. */
function bodyLines(body: Body): string[] {
  const places = body.grooves.map(({ at }) => round(at.mm)).join(', ');
  const boards = body.boards.map(({ kind, thickness, up, down, ends }) =>
    [kind, thickness.mm, up.mm, down.mm, ends.mm]
      .map((each) => (typeof each === 'number' ? round(each) : each))
      .join(' '),
  );
  const doors = body.entrances.map(
    ({ side, along, height, state }) => `${side} ${round(along.mm)} up ${round(height.mm)} ${state}`,
  );
  const vents = body.vents.map(
    ({ side, along, height }) => `${side} ${round(along.mm)} up ${round(height.mm)}`,
  );
  return [
    `    ${layerName(body)}: ${[body.insideWidth, body.insideLength, body.depth, body.wall].map((each) => round(each.mm)).join(' × ')}, off ${round(body.offset.x.mm)} ${round(body.offset.y.mm)}; frames ${body.bays.map(({ frames }) => frames.length).join(' ')}`,
    ...(boards.length > 0 ? [`      boards at ${places}: ${boards.join('; ')}`] : []),
    ...(doors.length > 0 ? [`      doors ${doors.join('; ')}`] : []),
    ...(vents.length > 0 ? [`      vents ${vents.join('; ')}`] : []),
  ];
}
const layerLines = ({ layers }: DesignContent): string[] =>
  layers.flatMap((layer) => (layer.kind === 'body' ? bodyLines(layer) : [`    ${layerName(layer)}`]));

/** Spaces, passages, gaps and drift that are worked out of a drawing. */
function modelLines(model: BoxModel): string[] {
  return [
    ...model.spaces.map(
      ({ id, kind, name, block }) =>
        `  space ${id} ${kind} ${name}: ${[block.x, block.y, block.z].map(span).join(' × ')}`,
    ),
    ...model.compartments.map(
      ({ name, x, block, frames, entrances }) =>
        `  room ${name}: ${[x, block.y, block.z].map(span).join(' × ')}, ${frames.length} places, ${entrances.length} doors`,
    ),
    ...model.passages.map(
      ({ reason, between, gap_mm }) => `  passage ${reason} ${between.join(' to ')}: ${round(gap_mm)}`,
    ),
    ...model.gaps.map(({ space, gap_mm, where }) => `  gap ${where} ${space}: ${round(gap_mm)}`),
    ...model.drifts.map(({ between, risk }) => `  drift ${between.join(' and ')}: ${risk}`),
    ...joinedRooms(model).map(
      ({ rooms, hasExit }) => `  workers go between rooms ${rooms.join(' ')}, out: ${hasExit}`,
    ),
  ];
}

/** The same without what each gap measures. */
const roomsOf = (design: DesignContent): string[] =>
  modelLines(deriveBox(design)).filter((line) => !/^ {2}(gap|drift)/.test(line));

type Move = readonly [name: string, make: (design: DesignContent) => DesignContent];

/** Every move of the drawing board, on the first thing that it can be made on. */
function movesOf(design: DesignContent): Move[] {
  const body = mainBody(design);
  const [bay] = body.bays;
  const last = body.bays.at(-1);
  const [slot] = bay?.frames ?? [];
  const [board] = body.boards;
  const [entrance] = body.entrances;
  const place = board && handPlacesFor(design, board.id)[0];
  return [
    ['a storey', withStorey],
    ['a rim', (now) => withRim(now)],
    ['a rim of 12', (now) => withRim(now, 12)],
    [
      'a rim, divided like the body below',
      (now) => {
        const rimmed = withRim(now);
        const rim = bodiesOf(rimmed).find(isRim);
        return rim ? withRimDivided(rimmed, rim.id) : rimmed;
      },
    ],
    ['an excluder', withExcluder],
    ['a cover', withCover],
    ...[1, 2, 3, 4].map((count): Move => [`${count} rooms`, (now) => withCompartmentCount(now, count)]),
    ['equal slack', (now) => withEqualSlack(now)],
    ['doors as proposed', (now) => withProposedEntrances(now, body.id)],
    ['boards of 6', (now) => withThickness(now, mm(6))],
    ['an inside 20 wider', (now) => withSizes(now, body.id, { insideWidth: mm(body.insideWidth.mm + 20) })],
    ...(bay
      ? ([
          ['a frame more at the left', (now) => withFramesIn(now, bay.id, bay.frames.length + 1)],
          ['no frame at the left', (now) => withFramesIn(now, bay.id, 0)],
          ['a door at the left', (now) => withEntranceAdded(now, body.id, bay.id, 'left')],
          ['a door in front', (now) => withEntranceAdded(now, body.id, bay.id)],
          ['a vent at the back', (now) => withVentAdded(now, body.id, bay.id, 'back')],
        ] as const satisfies readonly Move[])
      : []),
    ...(slot && last
      ? [['the first frame into the last room', (now) => withFrameMoved(now, slot.id, last.id, 1)] as Move]
      : []),
    ...(board
      ? ([
          ['the first board at 60', (now) => withDividerAt(now, board.id, mm(60))],
          [
            'the first board an excluder in a window of 90 by 700',
            (now) =>
              withPart(now, board.id, {
                kind: 'excluder',
                slot: 4.2,
                window: { width: mm(90), height: mm(700) },
              }),
          ],
          ['the first board a follower', (now) => withPart(now, board.id, { kind: 'follower' })],
          ...(place
            ? [
                [
                  `the first board by hand at ${round(place.at_mm)}, ${place.framesLeft} frames left of it`,
                  (now) =>
                    withHandPlaces(now, [{ board: board.id, groove: 'by-hand', bay: 'beyond', ...place }]),
                ] as Move,
              ]
            : []),
        ] as Move[])
      : []),
    ...(entrance
      ? [['the first door closed', (now) => withPart(now, entrance.id, { state: 'closed' })] as Move]
      : []),
    [
      'a dummy in the last room',
      (now) => {
        const space = deriveBox(now).spaces.findLast(({ bays }) => bays.length > 0);
        return space ? withDummy(now, body.id, space) : now;
      },
    ],
    ...design.layers.map(
      (layer, at): Move => [`without ${layerName(layer)} ${at + 1}`, (now) => withoutLayer(now, layer.id)],
    ),
    [
      'its own first layer once more on top',
      (now) => {
        const [layer] = now.layers;
        return layer ? withLayerAt(now, renamed(layer, namesFor(layer, now, 'again')), 99) : now;
      },
    ],
  ];
}

function drawnOf(design: DesignContent): string {
  const main = mainBody(design);
  const lines = [
    ...layerLines(design),
    `  doors as proposed: ${entrancesAsProposed(design, main.id)}`,
    ...main.boards.flatMap(({ id }, at) => [
      `  board ${at + 1} goes ${span(dividerRange(main, id))}; by hand ${
        handPlacesFor(design, id)
          .map(({ at_mm, frames }) => `${round(at_mm)} (${frames.join(' | ')})`)
          .join(', ') || 'nowhere'
      }`,
    ]),
    ...modelLines(deriveBox(design)),
  ];
  const own = new Set(layerLines(design));
  const had = new Set(modelLines(deriveBox(design)));
  for (const [name, make] of movesOf(design)) {
    const after = make(design);
    const problems = designProblems(after).map(({ path, sentence }) => `    refused at ${path}: ${sentence}`);
    lines.push(
      `+ ${name}`,
      ...designChanges(design, after).map((change) => `    ${change}`),
      ...layerLines(after).filter((line) => !own.has(line)),
      ...(problems.length > 0 ? problems : roomsOf(after).filter((line) => !had.has(line))),
    );
  }
  for (const kind of ['tight', 'excluder', 'screen'] as const)
    for (const body of [main, { ...main, boards: [] }]) {
      const { thickness, down, slot } = newBoard(kind, design, body, { board: 'new', groove: 'place' });
      lines.push(`a new ${kind} board: ${thickness.mm} thick, ${down.mm} below, slot ${slot ?? 'none'}`);
    }
  return `${lines.join('\n')}\n`;
}

describe('a box as it is drawn', () => {
  it.each(Object.keys(familyDesigns) as Family[])(
    'has the spaces, passages and gaps that stand in its file, and so after each move (%s)',
    async (family) => {
      await expect(drawnOf(familyDesigns[family]())).toMatchFileSnapshot(`./drawn/${family}.txt`);
    },
  );
});
