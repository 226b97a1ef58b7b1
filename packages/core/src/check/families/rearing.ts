import type { DesignContent, Slot } from '@yellow-cell/contract';
import { excludesQueens, workersPass } from '../../box/gap.ts';
import { isEntrance } from '../../box/model.ts';
import { withoutPart, withPart } from '../../box/parts.ts';
import { EXCLUDER_SLOT_MM } from '../../box/plainParts.ts';
import { bodiesOf } from '../../box/stack.ts';
import { lengthOf } from '../../geometry/block.ts';
import { below } from '../../numbers.ts';
import { limitOf } from '../finding.ts';
import { own } from './own.ts';

/** Families that hold donors, start cells and keep queens (handbook 2, families; handbook 8). */

/** The donor's side is held by an excluder that workers pass, and the other side flies. */
export const donorHolding = own(({ model, design }) => {
  const held = model.compartments.find(({ use }) => use === 'held');
  const beside = model.compartments.find((each) => each !== held && each.frames.length > 0);
  const ways = model.passages.filter(
    ({ between }) =>
      held?.spaces.some((id) => between.includes(id)) && beside?.spaces.some((id) => between.includes(id)),
  );
  const way = ways.some(({ gap_mm }) => excludesQueens(gap_mm));
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
      sentence: way
        ? 'Workers pass the excluder to the donor.'
        : ways.some(({ gap_mm }) => workersPass(gap_mm))
          ? 'What lets workers to the donor lets her out too: nothing holds her.'
          : 'No worker reaches the donor: she starves.',
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
export const allInOne = own(({ model, design }) => {
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
export const starter = own(({ model, design, limits }) => {
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

/** The bank frame stands in the middle in the room of two, and no queen runs free (handbook 8; requirement 54). */
export const bank = own(({ model, design }) => {
  const frames = model.frames;
  const at = frames.findIndex(({ holds }) => holds === 'bank');
  const middle = Math.abs(at - (frames.length - 1) / 2) <= 1;
  const free = model.compartments.filter(({ use }) => use === 'colony' || use === 'mating' || use === 'held');
  const [between, last] = [frames[Math.floor(frames.length / 2)], frames.at(-1)];
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
      ...(between && last
        ? {
            fix: {
              label: 'Make the middle one the bank frame',
              apply: () => withBankAt(design, between.id, frames[at]?.id, last.id),
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

/** The bank frame stands where it was not: one there moves, a new one takes the room of the last too. */
function withBankAt(
  design: DesignContent,
  middle: string,
  now: string | undefined,
  last: string,
): DesignContent {
  const cleared = now === undefined ? withoutPart(design, last) : withPart(design, now, { holds: 'comb' });
  return withPart(cleared, middle, { holds: 'bank' });
}
