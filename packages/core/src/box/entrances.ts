import type { Body, DesignContent, Entrance, Side, Vent } from '@yellow-cell/contract';
import { lengthOf, middleOf } from '../geometry/block.ts';
import { type Column, columnsOf } from './columns.ts';
import { markUnlike } from './drift.ts';
import { type PartIds, withBody } from './parts.ts';
import { MESH_MM, mm, USUAL } from './plainParts.ts';
import { bodiesOf } from './stack.ts';

/** Each compartment on its own side as far as sides reach (handbook 9, entrances). */
const SIDES: Readonly<Record<number, readonly Side[]>> = {
  1: ['front'],
  2: ['front', 'back'],
  3: ['left', 'front', 'right'],
  4: ['left', 'front', 'back', 'right'],
};
/** Two holes air a compartment far better than one: one low, one high (handbook 2 and 9). Centres from the body's edges, in mm. */
const LOW_MM = 25;
const BELOW_REBATE_MM = 22;
/** A body lower than this has room for the low hole alone. */
const LEAST_DEPTH_FOR_TWO_MM = 120;

const sideFor = (index: number, count: number): Side =>
  SIDES[count]?.[index] ?? (index % 2 === 0 ? 'front' : 'back');

/** The sides that a compartment touches: both ends always, left and right for the outer ones only. */
export function sidesOf(index: number, count: number): Side[] {
  return [
    'front',
    'back',
    ...(index === 0 ? (['left'] as const) : []),
    ...(index === count - 1 ? (['right'] as const) : []),
  ];
}

/** Columns that bees are to live in: neither voids behind a follower nor what lies beyond a dummy. */
const livedIn = (body: Body): Column[] =>
  columnsOf(body).filter(
    ({ bays, left }) => left?.board.kind !== 'dummy' && bays.some(({ frames }) => frames.length > 0),
  );

export type Drilled = Omit<Entrance, 'id'>;

/** The entrances that the program proposes for a body: two for each compartment, each compartment on its own side, each with its mark. */
export function proposedEntrances(body: Body): Drilled[] {
  const columns = livedIn(body);
  const marks: Drilled['mark'][] = [];
  return columns.flatMap((column, index) => {
    const side = sideFor(index, columns.length);
    const mark = columns.length > 1 ? markUnlike(marks) : null;
    marks.push(mark);
    return heightsIn(body).map(
      (height): Drilled => ({
        side,
        along: mm(alongFor(body, column, side)),
        height: mm(height),
        shape: 'round',
        width: mm(holeFor(column)),
        tall: mm(holeFor(column)),
        state: 'open',
        mark,
      }),
    );
  });
}

/** A hole never reaches over a narrow compartment's boards. */
const holeFor = ({ x }: Column): number => Math.min(USUAL.entrance, Math.max(8, lengthOf(x) - 10));

function heightsIn({ depth, rebate }: Body): number[] {
  const low = Math.min(LOW_MM, depth.mm / 2);
  if (depth.mm < LEAST_DEPTH_FOR_TWO_MM) return [low];
  return [low, depth.mm - (rebate?.depth.mm ?? 0) - BELOW_REBATE_MM];
}

export const alongFor = (body: Body, { x }: Pick<Column, 'x'>, side: Side): number =>
  side === 'left' || side === 'right' ? body.insideLength.mm / 2 : middleOf(x);

export function withProposedEntrances(design: DesignContent, id: string): DesignContent {
  return withBody(design, id, (body, ids) => ({
    ...body,
    entrances: proposedEntrances(body).map((drilled, index) => ({
      id: body.entrances[index]?.id ?? ids.next('entrance'),
      ...drilled,
    })),
  }));
}

/** True where a body's entrances all stand just where they are proposed, so that they may follow when it changes. */
export function entrancesAsProposed(design: DesignContent, id: string): boolean {
  const body = bodiesOf(design).find((each) => each.id === id);
  if (!body) return false;
  const proposed = proposedEntrances(body);
  return (
    proposed.length === body.entrances.length &&
    body.entrances.every(({ side, along, height }, index) => {
      const like = proposed[index];
      return (
        like?.side === side &&
        Math.abs(like.along.mm - along.mm) < 0.05 &&
        Math.abs(like.height.mm - height.mm) < 0.05
      );
    })
  );
}

/** One more hole for a column, low, in the middle of its front or the side given. */
export function withEntranceAdded(
  design: DesignContent,
  bodyId: string,
  bay: string,
  side: Side = 'front',
): DesignContent {
  return withColumn(design, bodyId, bay, (body, column, ids) => {
    const entrance: Entrance = {
      id: ids.next('entrance'),
      side,
      along: mm(alongFor(body, column, side)),
      height: mm(heightsIn(body)[0] ?? LOW_MM),
      shape: 'round',
      width: mm(holeFor(column)),
      tall: mm(holeFor(column)),
      state: 'open',
      mark: markUnlike(body.entrances.map(({ mark }) => mark)),
    };
    return { ...body, entrances: [...body.entrances, entrance] };
  });
}

const VENT_MM = { width: 100, tall: 25 } as const;

/** A vent with mesh, high up, in the middle of a column's front or the side given. */
export function withVentAdded(
  design: DesignContent,
  bodyId: string,
  bay: string,
  side: Side = 'front',
): DesignContent {
  return withColumn(design, bodyId, bay, (body, column, ids) => {
    const vent: Vent = {
      id: ids.next('vent'),
      side,
      along: mm(alongFor(body, column, side)),
      height: mm(heightsIn(body).at(-1) ?? LOW_MM),
      width: mm(Math.min(VENT_MM.width, lengthOf(column.x) - 10)),
      tall: mm(VENT_MM.tall),
      mesh: MESH_MM,
    };
    return { ...body, vents: [...body.vents, vent] };
  });
}

/** Changes a body by the column that a bay belongs to; without such a column it stays. */
function withColumn(
  design: DesignContent,
  bodyId: string,
  bay: string,
  change: (body: Body, column: Column, ids: PartIds) => Body,
): DesignContent {
  return withBody(design, bodyId, (body, ids) => {
    const column = columnsOf(body).find(({ bays }) => bays.some(({ id }) => id === bay));
    return column ? change(body, column, ids) : body;
  });
}
