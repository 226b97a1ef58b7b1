import type { BoxState, FramePlace, Payload, RoomRole } from '@yellow-cell/contract';
import { daysBetween } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { compartmentsOf } from '../compartments.ts';
import { frameAdvice } from '../frameAdvice.ts';
import { bayOf, colonyAt } from '../framePlace.ts';
import type { Objection, Situation } from './situation.ts';

/** What speaks against moving frames so (requirements 60, 66, 67, 68). */
export function frameWarnings(situation: Situation, { moves, purpose }: Payload<'framesMoved'>): Objection[] {
  const { state, designs, on, constants } = situation;
  const leaving = moves.flatMap(({ frame, from, to }) => {
    const giver = from && colonyAt(designs, state, from);
    return from && giver && giver.id !== (to ? colonyAt(designs, state, to)?.id : undefined)
      ? [{ frame, from, giver }]
      : [];
  });
  const sentences = leaving.flatMap(({ frame, from, giver }) => {
    const seen = [...state.queens.values()].flatMap((queen) => {
      const last = queen.sightings.at(-1);
      const at = last?.box ?? queen.box;
      return !queen.gone && at === from.box && last?.slot === from.slot ? [last.on] : [];
    })[0];
    const box = state.boxes.get(from.box);
    const confined = box !== undefined && roleIn(situation, box, from.slot) === 'donor';
    const filled = moves.some(({ to }) => to?.box === from.box && to.slot === from.slot);
    const known = state.frames.get(frame);
    // What was planned against the rule has its reason already.
    const overruled =
      giver.winter?.reason !== undefined && !giver.winter.room?.keeps.some(({ slot }) => slot === from.slot);
    const advice =
      purpose === 'reduce' && known?.audit && !overruled ? frameAdvice(known.audit, constants) : undefined;
    return [
      seen &&
        daysBetween(seen, on) <= constants.seenLately_d &&
        `The queen was seen on that frame ${showDay(seen, on)}: she would go along, and one colony would be without her.`,
      confined &&
        !filled &&
        'The queen is confined here: every frame that leaves wants an empty drawn comb in its place, or she has no room to lay.',
      advice && advice.verdict !== 'out' && `By the rule this frame is kept: ${advice.reason}`,
    ];
  });
  return [...sentences, tooManyUp(situation, leaving, purpose)].flatMap((sentence) =>
    sentence ? [{ sentence }] : [],
  );
}

/** What the room of a slot serves as. */
function roleIn({ state, designs }: Situation, box: BoxState, slot: string): RoomRole | undefined {
  const bay = bayOf(designs, box, slot);
  return compartmentsOf(state, designs, box).find(({ bays }) => bay !== undefined && bays.includes(bay))
    ?.role;
}

function tooManyUp(
  { state, constants }: Situation,
  leaving: readonly { from: FramePlace }[],
  purpose: Payload<'framesMoved'>['purpose'],
): string | undefined {
  const [first] = leaving;
  const box = first && state.boxes.get(first.from.box);
  if (purpose !== 'show' || !box) return undefined;
  const up = [...state.frames.values()].filter(
    ({ out }) => out?.from.box === box.id && out.purpose === 'show',
  ).length;
  return up + leaving.length > constants.liftMost
    ? `${up + leaving.length} frames of ${box.label} would be up at once: at most ${constants.liftMost}, slowly and level, each back to its own number.`
    : undefined;
}
