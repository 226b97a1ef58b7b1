import type { Body, DesignContent } from '@yellow-cell/contract';
import {
  bodyWith,
  columnsOf,
  equalPlaces,
  framesWidth,
  placesIn,
  withBody,
  withDividerAt,
} from '@yellow-cell/core';

/** A dragged board lets itself be caught within this many mm. */
const CATCH_MM = 1.5;
/** Bee space at both sides of the frames: the middle of what is left free. */
const BEE_SPACE_MM = 7.75;

export interface Snap {
  at: number;
  /** What caught it, in words; none where it stands free. */
  caught: string | undefined;
  groove: string | undefined;
}

/** Where a dragged board comes to stand: an empty groove, equal slack, a bee space beside the frames, or half millimetres. */
export function snapBoard(body: Body, board: string, wanted: number): Snap {
  const own = body.boards.find(({ id }) => id === board);
  const empty = body.grooves.find(
    ({ id, at }) =>
      id !== own?.groove &&
      !body.boards.some(({ groove }) => groove === id) &&
      Math.abs(at.mm - wanted) < CATCH_MM * 2,
  );
  if (empty) return { at: empty.at.mm, caught: 'groove', groove: empty.id };
  const caught = candidates(body, board)
    .filter(({ at }) => Math.abs(at - wanted) < CATCH_MM)
    .sort((a, b) => Math.abs(a.at - wanted) - Math.abs(b.at - wanted))[0];
  return { ...(caught ?? { at: Math.round(wanted * 2) / 2, caught: undefined }), groove: undefined };
}

function candidates(body: Body, board: string): { at: number; caught: string }[] {
  const columns = columnsOf(body);
  const index = columns.findIndex(({ right }) => right?.board.id === board);
  const [left, right] = [columns[index], columns[index + 1]];
  const even = equalPlaces(body)[index];
  if (!left || !right) return [];
  const thickness = left.right?.board.thickness.mm ?? 0;
  const wide = (bays: typeof left.bays) => framesWidth(placesIn(bays), body.format) + 2 * BEE_SPACE_MM;
  return [
    ...(even ? [{ at: even.at_mm, caught: 'equal slack' }] : []),
    { at: left.x[0] + wide(left.bays), caught: 'bee space at the left' },
    { at: right.x[1] - wide(right.bays) - thickness, caught: 'bee space at the right' },
  ];
}

/** The design with its board where it was caught; into another groove where that is what caught it. */
export function withSnapped(design: DesignContent, board: string, { at, groove }: Snap): DesignContent {
  const body = bodyWith(design, board);
  if (!body) return design;
  if (!groove) return withDividerAt(design, board, { mm: at });
  return withBody(design, body.id, (now) => ({
    ...now,
    boards: now.boards.map((each) => (each.id === board ? { ...each, groove } : each)),
  }));
}
