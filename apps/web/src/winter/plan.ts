import type { Payload, WinterAct, WinterRoom } from '@yellow-cell/contract';
import { type Arrangement, type AutumnLine, type Preparation, winterEntries } from '@yellow-cell/core';
import { newId } from '../app/ids.ts';
import type { Draft } from '../app/useLog.ts';
import { keptOf } from './kept.ts';
import type { Target } from './targets.ts';
import type { Preparing } from './usePreparation.ts';
import type { WinterView } from './useWinter.ts';

/** What is done against the rules wants a reason: brood, stores or pollen that come out. */
export function reasonWanted({ frames }: Preparation): string | undefined {
  const against = frames.filter(
    ({ ruled, verdict }) => ruled !== undefined && ruled !== 'out' && verdict === 'out',
  );
  return against.length === 0
    ? undefined
    : `frame ${against.map(({ slot }) => slot.number).join(', ')} ${against.length === 1 ? 'comes' : 'come'} out against the rule`;
}

/** These want a room or a colony to go to. */
export const GOES: readonly WinterAct[] = ['pair', 'combine', 'move'];

/** What is drawn, where it changes anything; else what the list advises. */
export function usualAct(line: AutumnLine, preparing: Preparing, preparation: Preparation): WinterAct {
  if (line.act === 'pair' || line.act === 'combine') return 'combine';
  if (line.act === 'reduce' || planFrom(preparing.arrangement, preparation)) return 'reduce';
  return preparation.sugar_kg >= LEAST_FEED_KG ? 'feed' : 'leave';
}
/** Less is not worth a jar, in kg of sugar. */
export const LEAST_FEED_KG = 0.1;
/** Sugar as it is booked: to a tenth of a kilogram, as it is shown everywhere, so that a column adds up. */
export const bookedSugar = (sugar_kg: number): number => Number(sugar_kg.toFixed(1));

/** The room as it is drawn; undefined where that changes nothing. */
export function planFrom(
  arrangement: Arrangement,
  { frames, follower: place }: Preparation,
): WinterRoom | undefined {
  const { end, insulation_mm } = arrangement;
  const keeps = keptOf(frames);
  const follower = arrangement.follower && place !== undefined && !('why' in place);
  if (keeps.length === 0 || (!follower && frames.every(({ verdict }) => verdict === 'keep')))
    return undefined;
  return { keeps, end, follower, insulation_mm: follower ? insulation_mm : 0 };
}

type Plan = Payload<'winterPlanned'>;
export function planOf(
  act: WinterAct,
  target: Target | undefined,
  preparing: Preparing,
  preparation: Preparation,
  line: AutumnLine,
  of: Pick<Plan, 'box' | 'colony' | 'bay'>,
  { by, reason, pushedTo }: { by: string; reason: string; pushedTo: string },
): Plan {
  const room = act === 'reduce' ? planFrom(preparing.arrangement, preparation) : undefined;
  return {
    ...of,
    act,
    ...(room ? { room } : {}),
    ...(target?.plan ?? {}),
    // What joins another is not fed for itself; a room that is not fitted wants what it wants as it is.
    sugar_kg:
      act === 'combine' || act === 'leave'
        ? 0
        : bookedSugar(act === 'reduce' ? preparation.sugar_kg : line.sugar_kg),
    ...(pushedTo && !GOES.includes(act) ? { pushedTo } : {}),
    ...(by ? { by } : {}),
    ...(reason ? { reason } : {}),
  };
}

/** The entries of a plan that was carried out, or why it cannot be entered here. */
export function doneAsPlanned(
  { view }: WinterView,
  { box, room, plan }: AutumnLine,
): Draft[] | { why: string } {
  if (!plan) return { why: 'Nothing is planned.' };
  const entries = winterEntries(view.state, box, room, plan, newId);
  return 'why' in entries ? entries : entries.map((each) => each as Draft);
}
