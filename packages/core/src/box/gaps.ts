import type { DesignContent, GapAnswer, GapPlace } from '@yellow-cell/contract';
import { type Block, common, meets } from '../geometry/block.ts';
import { gap } from './gap.ts';
import type { FrameSolid, Solids } from './solids.ts';
import type { Space } from './spaces.ts';
import type { Stack } from './stack.ts';

/** What lies on the two sides of a gap. */
export type GapKind =
  | 'besideFrames'
  | 'frameEnd'
  | 'aboveFrames'
  | 'underFrames'
  | 'joint'
  | 'pane'
  | 'paneToPane';
/** A clear distance that bees see, with its place and class. */
export interface Gap extends GapAnswer {
  id: string;
  kind: GapKind;
  where: GapPlace;
  gap_mm: number;
  space: string;
  at: Block;
}

/** Comb as bees build it, with brood, is this thick (handbook 2, glass). */
export const BROOD_COMB_MM = 25;

/** Every clear distance between frames and what is around them. Below 0 the parts overlap: that is a gap of 0 here, and a check says it. */
export function gapsOf(
  design: DesignContent,
  stack: Stack,
  spaces: readonly Space[],
  { frames }: Solids,
): Gap[] {
  return spaces.flatMap((space) => {
    const { body, column } = space;
    const here = frames.filter((frame) => space.bays.some(({ id }) => id === frame.bay));
    const [first, last] = [here[0], here.at(-1)];
    if (!body || !column || !first || !last) return [];
    const say = gapSayer(space.id);
    const { glass } = body.body;
    const leftPane = !column.left && glass.includes('left');
    const rightPane = !column.right && glass.includes('right');
    const inner = { y: space.block.y, z: first.z };
    const [from, to] = space.block.x;
    return [
      say('besideFrames', 'divider', first.shoulders[0] - from, { ...inner, x: [from, first.shoulders[0]] }),
      say('besideFrames', 'divider', to - last.shoulders[1], { ...inner, x: [last.shoulders[1], to] }),
      ...(leftPane ? [paneGap(say, first, from, 'left')] : []),
      ...(rightPane ? [paneGap(say, last, to, 'right')] : []),
      ...(leftPane && rightPane && here.length === 1
        ? [say('paneToPane', 'pane', to - from, { ...inner, x: [from, to] })]
        : []),
      say('frameEnd', 'slot', first.y[0] - space.block.y[0], {
        x: first.x,
        z: first.z,
        y: [space.block.y[0], first.y[0]],
      }),
      ...aboveAndBelow(design, stack, space, first, frames, say),
    ];
  });
}

type Say = (kind: GapKind, where: GapPlace, gap_mm: number, at: Block) => Gap;
const gapSayer =
  (space: string): Say =>
  (kind, where, gap_mm, at) => {
    const size = Math.max(0, gap_mm);
    return {
      id: `${space}:${kind}:${Math.round(at.x[0])}`,
      kind,
      where,
      gap_mm: size,
      space,
      at,
      ...gap({ gap_mm: size, where }),
    };
  };

/** From the face of the comb, not of the wood. */
function paneGap(say: Say, frame: FrameSolid, pane: number, side: 'left' | 'right'): Gap {
  const middle = (frame.shoulders[0] + frame.shoulders[1]) / 2;
  const face = side === 'left' ? middle - BROOD_COMB_MM / 2 : middle + BROOD_COMB_MM / 2;
  return say('pane', 'pane', Math.abs(face - pane), {
    x: side === 'left' ? [pane, face] : [face, pane],
    y: frame.y,
    z: frame.z,
  });
}

function aboveAndBelow(
  { roof }: DesignContent,
  stack: Stack,
  space: Space,
  frame: FrameSolid,
  frames: readonly FrameSolid[],
  say: Say,
): Gap[] {
  const { x, y } = frame;
  const under = frames
    .filter((other) => other.z[1] <= frame.z[0] + 1e-9 && meets(other.x, space.block.x) && meets(other.y, y))
    .sort((a, b) => b.z[1] - a.z[1])[0];
  const sheetBelow = nearest(stack, x, y, frame.z[0], 'below');
  const floor = Math.max(0, sheetBelow);
  const low =
    under && under.z[1] >= floor
      ? say('joint', 'joint', frame.z[0] - under.z[1], {
          x: common(x, space.block.x),
          y,
          z: [under.z[1], frame.z[0]],
        })
      : say('underFrames', 'floor', frame.z[0] - floor, { x, y, z: [floor, frame.z[0]] });
  const over = frames.some(
    (other) => other.z[0] >= frame.z[1] - 1e-9 && meets(other.x, space.block.x) && meets(other.y, y),
  );
  const sheetAbove = nearest(stack, x, y, frame.z[1], 'above');
  const lid = Math.min(sheetAbove, stack.top + roof.room.mm);
  const lowestOver = Math.min(
    ...frames
      .filter(
        (other) => other.z[0] >= frame.z[1] - 1e-9 && meets(other.x, space.block.x) && meets(other.y, y),
      )
      .map(({ z }) => z[0]),
  );
  if (over && lowestOver <= lid) return [low];
  return [low, say('aboveFrames', 'joint', lid - frame.z[1], { x, y, z: [frame.z[1], lid] })];
}

/** The nearest sheet's face over or under a frame, in mm; the bounds of the stack where there is none. */
function nearest({ sheets }: Stack, x: Block['x'], y: Block['y'], z: number, way: 'above' | 'below'): number {
  const faces = sheets
    .filter(({ block }) => meets(block.x, x) && meets(block.y, y))
    .map(({ block }) => (way === 'above' ? block.z[0] : block.z[1]))
    .filter((face) => (way === 'above' ? face >= z - 1e-9 : face <= z + 1e-9));
  return way === 'above' ? Math.min(...faces) : Math.max(Number.NEGATIVE_INFINITY, ...faces);
}
