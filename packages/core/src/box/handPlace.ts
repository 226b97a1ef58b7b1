import type { BoardPlace, Body, DesignContent } from '@yellow-cell/contract';
import { countOf } from '../say/words.ts';
import { columnsOf } from './columns.ts';
import { framesWidth } from './fit.ts';
import { bodyWith, findPart, withBody } from './parts.ts';
import { mm } from './plainParts.ts';

/**
 * Places that a design does not have and a board was set in by hand (decision 4): each adds a place of its own and
 * parts the bay that it falls into in two, of which the left one keeps its id.
 */
export const withHandPlaces = (design: DesignContent, places: readonly BoardPlace[]): DesignContent =>
  places.reduce((now, place) => {
    const body = bodyWith(now, place.board);
    return body ? withBody(now, body.id, (each) => withPlace(each, place)) : now;
  }, design);

/** The bay that a place falls into, by its number; it is also that of the first groove beyond the place. */
const bayAt = ({ grooves }: Body, at_mm: number): number => grooves.filter(({ at }) => at.mm <= at_mm).length;

function withPlace(body: Body, { groove, bay, at_mm, framesLeft }: BoardPlace): Body {
  const index = bayAt(body, at_mm);
  return {
    ...body,
    grooves: body.grooves.toSpliced(index, 0, { id: groove, at: mm(at_mm), depth: mm(0), play: mm(0) }),
    bays: body.bays.flatMap((each, at) =>
      at === index
        ? [
            { ...each, frames: each.frames.slice(0, framesLeft) },
            { ...each, id: bay, frames: each.frames.slice(framesLeft) },
          ]
        : [each],
    ),
  };
}

/** A groove nearer than this is the place itself. */
const SAME_MM = 0.5;

/** The bay that a place would part, or why the board cannot be set there. */
export function bayPartedBy(design: DesignContent, place: BoardPlace): { bay: string } | { problem: string } {
  const body = bodyWith(design, place.board);
  if (!body) return { problem: 'There is no such board.' };
  if (findPart(design, place.groove) || findPart(design, place.bay) || place.groove === place.bay)
    return { problem: 'A new place and its bay want ids of their own.' };
  if (body.grooves.some(({ at }) => Math.abs(at.mm - place.at_mm) < SAME_MM))
    return { problem: 'The design has a place there: set the board into that.' };
  const bay = body.bays[bayAt(body, place.at_mm)];
  return bay && place.framesLeft <= bay.frames.length
    ? { bay: bay.id }
    : { problem: `${countOf(place.framesLeft, 'frame does', 'frames do')} not stand there.` };
}

/** Where a board could be set by hand between two frames. */
export interface HandPlace {
  at_mm: number;
  framesLeft: number;
  /** Frames that would then stand left and right of it, up to the next board or wall. */
  frames: readonly [number, number];
}

/**
 * Every place between two frames where a board fits that the design has none for, in a design as it stands: the room
 * that is over is shared by both sides.
 */
export function handPlacesFor(design: DesignContent, board: string): HandPlace[] {
  const body = bodyWith(design, board);
  const own = body?.boards.find(({ id }) => id === board);
  if (!body || !own) return [];
  const { pitch_mm, hung, barWidth_mm } = body.format;
  const width = (count: number) => framesWidth(count, { pitch_mm, hung, barWidth_mm });
  const others = { ...body, boards: body.boards.filter(({ id }) => id !== board) };
  return columnsOf(others).flatMap(({ bays, x: [start, end] }): HandPlace[] => {
    const count = bays.reduce((sum, { frames }) => sum + frames.length, 0);
    const found: HandPlace[] = [];
    for (let left = 1; left < count; left++) {
      const over = end - start - own.thickness.mm - width(left) - width(count - left);
      const at_mm = start + width(left) + over / 2;
      if (over < 0 || body.grooves.some(({ at }) => Math.abs(at.mm - at_mm) < own.thickness.mm)) continue;
      const before = bays.slice(0, bays.indexOf(body.bays[bayAt(body, at_mm)] as (typeof bays)[number]));
      const framesLeft = left - before.reduce((sum, { frames }) => sum + frames.length, 0);
      if (framesLeft < 0 || framesLeft > (body.bays[bayAt(body, at_mm)]?.frames.length ?? 0)) continue;
      found.push({ at_mm, framesLeft, frames: [left, count - left] });
    }
    return found;
  });
}
