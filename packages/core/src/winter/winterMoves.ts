import type { Payload, WinterRoom } from '@yellow-cell/contract';
import { type FrameSlot, hangs } from '../yard/slots.ts';

type Moves = Payload<'framesMoved'>['moves'];

/**
 * The frames of a room as its plan for winter has them: those that stay side by side at their end, in their order, all
 * others out. Frames of which nothing was told yet get an id by `newId`. Or why the plan no longer fits the room.
 */
export function winterMoves(
  box: string,
  slots: readonly FrameSlot[],
  { keeps, end }: Pick<WinterRoom, 'keeps' | 'end'>,
  newId: () => string,
): Moves | { why: string } {
  const places = slots.filter(({ is }) => is !== 'feeder');
  const hung = places.filter(hangs);
  const gone = keeps.find((keep) => !hung.some(({ slot }) => slot === keep.slot));
  if (gone) return { why: 'Frames were moved since it was planned: plan it anew.' };
  const first = end === 'left' ? 0 : places.length - keeps.length;
  const at = (slot: string) => ({ box, slot });
  const idOf = ({ frame }: FrameSlot) => frame?.id ?? newId();
  const stays = keeps.flatMap(({ slot, turned }, index): Moves => {
    const from = hung.find((each) => each.slot === slot);
    const to = places[first + index];
    if (!from || !to || (from === to && !turned)) return [];
    return [{ frame: idOf(from), from: at(slot), to: at(to.slot), turned }];
  });
  const out = hung
    .filter(({ slot }) => !keeps.some((keep) => keep.slot === slot))
    .map((each): Moves[number] => ({ frame: idOf(each), from: at(each.slot), to: null, turned: false }));
  return [...stays, ...out];
}
