import type { BoxStanding } from '@yellow-cell/contract';
import type { YardState } from './state.ts';
import { inOrder, only } from './things.ts';

/** All that is told of one box. */
export type Whole = Omit<BoxStanding, 'recent'>;

/** All that is told of one box, among what is told of several. */
export function wholeIn(
  {
    boxes,
    colonies,
    attempts,
    queens,
    frames,
  }: Pick<YardState, 'boxes' | 'colonies' | 'attempts' | 'queens' | 'frames'>,
  id: string,
): Whole | undefined {
  const box = boxes.get(id);
  if (!box) return undefined;
  const own = inOrder(only(colonies, (colony) => colony.box === id).values(), ({ stockedOn }) => stockedOn);
  // Where the bees that held it are gone, an attempt goes on with others, or is over in the box in which it began.
  const held = new Set(own.flatMap(({ attempt, ended }) => (ended ? [] : (attempt ?? []))));
  return {
    box,
    colonies: own,
    attempts: inOrder(
      only(attempts, (attempt) => attempt.box === id || held.has(attempt.id)).values(),
      ({ givenOn }) => givenOn,
    ),
    queens: inOrder(only(queens, (queen) => queen.box === id).values(), ({ since }) => since),
    frames: inOrder(
      only(frames, ({ at, out }) => (at ?? out?.from)?.box === id).values(),
      ({ since }) => since,
    ),
  };
}
