import type { DesignContent, Length } from '@yellow-cell/contract';
import { hasEqualSlack, withCompartments, withEqualSlack } from './editDesign.ts';

/** Moves of the drawing board that keep what the breeder has arranged. */
const USUAL_THICKNESS_MM = 9.5;
const USUAL_FRAMES = 3;

/** After a size changed: dividers that stood at equal slack stand so again; others stay where they were put. */
export function rearranged(before: DesignContent, after: DesignContent): DesignContent {
  return hasEqualSlack(before) ? withEqualSlack(after) : after;
}

/** The one thickness of a design's dividers, or the usual one where it has none. */
export const thicknessOf = ({ boards }: DesignContent): Length =>
  boards[0]?.thickness ?? { mm: USUAL_THICKNESS_MM };

/** Frames of each bay, in order from x = 0. */
export const framesOf = ({ bays }: DesignContent): number[] => bays.map(({ frames }) => frames.length);

/** So many compartments: those there are keep their frames, new ones get as many as the last. */
export function withCompartmentCount(design: DesignContent, count: number): DesignContent {
  const frames = framesOf(design);
  const next = Array.from({ length: count }, (_, index) => frames[index] ?? frames.at(-1) ?? USUAL_FRAMES);
  return withCompartments(design, next, thicknessOf(design));
}

export function withFramesIn(design: DesignContent, bay: number, count: number): DesignContent {
  const frames = framesOf(design).map((each, index) => (index === bay ? count : each));
  return withCompartments(design, frames, thicknessOf(design));
}

/** All dividers of this thickness. */
export function withThickness(design: DesignContent, thickness: Length): DesignContent {
  return rearranged(design, { ...design, boards: design.boards.map((board) => ({ ...board, thickness })) });
}
