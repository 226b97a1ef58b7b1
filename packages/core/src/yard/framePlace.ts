import type { BoxState, Colony, FramePlace } from '@yellow-cell/contract';
import { baysOf } from '../box/stack.ts';
import { drawnDesign, livingIn } from './compartments.ts';
import type { Designs, YardState } from './state.ts';

/** The bay that a place for a frame is in, by the box as it is drawn. */
export function bayOf(designs: Designs, box: BoxState, slot: string): string | undefined {
  const drawn = drawnDesign(designs, box);
  return drawn && baysOf(drawn).find(({ frames }) => frames.some(({ id }) => id === slot))?.id;
}

/** Whose comb hangs there: theirs whose own bay it is, else theirs who reach it from another. */
export function colonyAt(
  designs: Designs,
  { boxes, colonies }: Pick<YardState, 'boxes' | 'colonies'>,
  { box: id, slot }: FramePlace,
): Colony | undefined {
  const box = boxes.get(id);
  const bay = box && bayOf(designs, box, slot);
  if (!box || bay === undefined) return undefined;
  const living = livingIn(colonies, box);
  return living.find(({ home }) => home.includes(bay)) ?? living.find(({ bays }) => bays.includes(bay));
}
