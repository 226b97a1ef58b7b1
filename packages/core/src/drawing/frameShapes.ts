import type { FrameSolid } from '../box/solids.ts';
import { around, lengthOf, middleOf, type Span } from '../geometry/block.ts';
import { type RectRole, type RectShape, rect } from './shapes.ts';

/**
 * What hangs in a frame's place, drawn as what it is: comb in its wood, a trough with its feed, bars with cells, bars with
 * cages. Usual sizes in mm; nothing is measured by them.
 */

/** A lug is about this share of the bar's width, and a top bar about as thick as its lug. */
const LUG_SHARE = 0.5;
const BAR_MM = 9.5;
/** Side and bottom bars. */
const WOOD_MM = 8;
const TROUGH_MM = 5;
const FEED_SHARE = 0.75;
/** Three bars of fifteen in a Langstroth deep. */
const CELL = { wide_mm: 10, high_mm: 24, apart_mm: 28, bars_mm: 70 };
/** Three bars of sixteen there: a frame takes 40 to 60 (handbook 8). */
const CAGE = { wide_mm: 20, high_mm: 40, apart_mm: 26, bars_mm: 68 };

/** x across, y along the frame. */
export function frameFromAbove({ id, holds, x, y, bar }: FrameSolid): RectShape[] {
  const lug = around(middleOf(x), lengthOf(x) * LUG_SHARE);
  const lugs = [rect('lug', id, lug, [bar[0], y[0]]), rect('lug', id, lug, [y[1], bar[1]])];
  if (holds === 'comb' || holds === 'display') return [...lugs, rect('frame', id, x, y)];
  if (holds === 'feeder') return [...lugs, ...trough(id, x, y, y[1])];
  const { wide_mm, apart_mm } = holds === 'grafts' ? CELL : CAGE;
  const deep = Math.min(wide_mm, lengthOf(x) - 4);
  return [
    ...lugs,
    rect('bar', id, x, y),
    ...along(between(y), apart_mm).map((at) =>
      hung(holds, id, around(middleOf(x), deep), around(at, wide_mm)),
    ),
  ];
}

/** `across`: through all frames, x by height; `along`: one from its side, y by height. */
export function frameCutOpen(frame: FrameSolid, view: 'across' | 'along'): RectShape[] {
  const { id, holds, x, y, z, bar } = frame;
  const wide = view === 'across' ? x : y;
  const top: Span = [z[1] - BAR_MM, z[1]];
  const topBar = rect(view === 'across' ? 'bar' : 'lug', id, view === 'across' ? x : bar, top);
  if (holds === 'feeder') return [topBar, ...trough(id, wide, z, z[0] + FEED_SHARE * lengthOf(z))];
  if (holds === 'comb' || holds === 'display') {
    if (view === 'across') return [rect('frame', id, x, z)];
    return [topBar, rect('bar', id, y, z), rect('frame', id, between(y), [z[0] + WOOD_MM, top[0]])];
  }
  const { wide_mm, high_mm, apart_mm, bars_mm } = holds === 'grafts' ? CELL : CAGE;
  const inside = view === 'along' ? between(wide) : wide;
  const sides =
    view === 'along' ? [rect('lug', id, [y[0], inside[0]], z), rect('lug', id, [inside[1], y[1]], z)] : [];
  const places = view === 'along' ? along(inside, apart_mm) : [middleOf(x)];
  const deep = Math.min(wide_mm, lengthOf(wide) - 4);
  // Bars hang from the top down, each with room for what is on it.
  const bars = Array.from(
    { length: Math.max(1, Math.floor((top[0] - z[0]) / bars_mm)) },
    (_, index) => top[0] - index * bars_mm - (bars_mm - high_mm - BAR_MM) / 2,
  );
  return [
    // An open frame: what lies behind it is seen.
    rect('open', id, wide, [z[0], top[0]]),
    topBar,
    ...sides,
    ...bars.flatMap((at) => [
      rect('bar', id, inside, [at - BAR_MM, at]),
      ...places.map((place) => hung(holds, id, around(place, deep), [at - BAR_MM - high_mm, at - BAR_MM])),
    ]),
  ];
}

const hung = (holds: FrameSolid['holds'], id: string, x: Span, y: Span): RectShape =>
  holds === 'grafts' ? { ...rect('cell', id, x, y), round: true } : rect('cage', id, x, y);

/** A box of thin walls, filled to a height (or, from above, to its end). */
function trough(id: string, x: Span, y: Span, filledTo: number): RectShape[] {
  const inner: Span = [x[0] + TROUGH_MM, x[1] - TROUGH_MM];
  const shape = (role: RectRole, across: Span, up: Span) => rect(role, id, across, up);
  return [
    shape('feeder', x, y),
    shape('feed', inner, [y[0] + TROUGH_MM, Math.min(filledTo, y[1] - TROUGH_MM)]),
  ];
}

/** Between the side bars. */
const between = ([from, to]: Span): Span => [from + WOOD_MM, to - WOOD_MM];

/** Places so far apart, in the middle of a length. */
function along([from, to]: Span, apart_mm: number): number[] {
  const count = Math.max(1, Math.floor((to - from) / apart_mm));
  const first = (from + to - (count - 1) * apart_mm) / 2;
  return Array.from({ length: count }, (_, index) => first + index * apart_mm);
}
