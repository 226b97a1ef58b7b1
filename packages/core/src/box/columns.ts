import type { Bay, Board, Body, Groove } from '@yellow-cell/contract';
import { type Span, sized } from '../geometry/block.ts';

/** A board that stands, with its groove, at its place across the body (x from the body's inside left wall, mm). */
export interface StandingBoard {
  board: Board;
  groove: Groove;
  x: Span;
}
/** The room between two neighbouring boards or walls of one body: one bay, or several whose grooves are empty. */
export interface Column {
  bays: readonly Bay[];
  x: Span;
  left: StandingBoard | undefined;
  right: StandingBoard | undefined;
}

export function standingBoards({ grooves, boards }: Body): StandingBoard[] {
  return grooves.flatMap((groove) => {
    const board = boards.find((each) => each.groove === groove.id);
    return board ? [{ board, groove, x: sized(groove.at.mm, board.thickness.mm) }] : [];
  });
}

export function columnsOf(body: Body): Column[] {
  const standing = standingBoards(body);
  const groups = bayGroups(body);
  return groups.map((bays, index) => {
    const left = standing[index - 1];
    const right = standing[index];
    return { bays, left, right, x: [left?.x[1] ?? 0, right?.x[0] ?? body.insideWidth.mm] };
  });
}

/** Bays grouped by the boards that stand: a groove without one joins its neighbours. */
export function bayGroups({ grooves, boards, bays }: Body): Bay[][] {
  const closed = new Set(boards.map(({ groove }) => groove));
  const groups: Bay[][] = [];
  bays.forEach((bay, index) => {
    const groove = grooves[index - 1];
    const current = groups.at(-1);
    if (current && groove && !closed.has(groove.id)) current.push(bay);
    else groups.push([bay]);
  });
  return groups;
}

/** Frames' places that a column's bays take: a bank frame takes the room of two. */
export const placesIn = (bays: readonly Bay[]): number =>
  bays.reduce(
    (sum, { frames }) => sum + frames.reduce((places, { holds }) => places + (holds === 'bank' ? 2 : 1), 0),
    0,
  );

/** Places of each column, in order from x = 0. */
export const framesIn = (body: Body): number[] => bayGroups(body).map(placesIn);
