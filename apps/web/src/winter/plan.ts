import type { Payload, WinterAct, WinterRoom } from '@yellow-cell/contract';
import {
  type Arrangement,
  type AutumnLine,
  bodiesOf,
  fitCavity,
  inRoom,
  newFollower,
  type Preparation,
  slotsOf,
  winterMoves,
} from '@yellow-cell/core';
import { newId } from '../app/ids.ts';
import { type Draft, draft } from '../app/useLog.ts';
import { keptOf } from './kept.ts';
import { roomName } from './roomName.ts';
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
const LEAST_FEED_KG = 0.1;

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
  of: Pick<Plan, 'box' | 'colony' | 'bay'>,
  { by, reason }: { by: string; reason: string },
): Plan {
  const room = act === 'reduce' ? planFrom(preparing.arrangement, preparation) : undefined;
  return {
    ...of,
    act,
    ...(room ? { room } : {}),
    ...(target?.plan ?? {}),
    // What joins another is not fed for itself.
    sugar_kg: act === 'combine' || act === 'leave' ? 0 : Number(preparation.sugar_kg.toFixed(2)),
    ...(by ? { by } : {}),
    ...(reason ? { reason } : {}),
  };
}

/** The entries of a plan that was carried out: frames out and beside each other, the follower where it stands. */
export function doneAsPlanned(winter: WinterView, line: AutumnLine): Draft[] | { why: string } {
  const { view } = winter;
  const { box, room, plan } = line;
  const compartment = box.model.compartments[room.position];
  const of = inRoom(box.box, room);
  if (!plan) return { why: 'Nothing is planned.' };
  if (plan.act === 'combine' && plan.with && room.colony)
    return [draft('combined', { ...of, intoBox: plan.with.box, into: plan.with.colony })];
  if (plan.to && (plan.act === 'move' || plan.act === 'pair'))
    return { why: `Move it in the yard: ${roomName(line)}, Into another box… The plan is done with it.` };
  if (!plan.room || !compartment) return [draft('winterPrepared', of)];
  const moves = winterMoves(box.box.id, slotsOf(view.state, box.box, compartment, room), plan.room, newId);
  if ('why' in moves) return moves;
  const board = plan.room.follower ? followerDraft(line, plan.room.keeps.length, plan.room.end) : undefined;
  return [
    ...(moves.length > 0 ? [draft('framesMoved', { moves, purpose: 'reduce' })] : []),
    ...(board ? [board] : []),
    draft('winterPrepared', of),
  ];
}

function followerDraft({ box, room }: AutumnLine, keeps: number, end: 'left' | 'right'): Draft | undefined {
  const compartment = box.model.compartments[room.position];
  const fit = compartment && fitCavity(box.design, compartment, keeps, end);
  if (!fit || 'why' in fit) return undefined;
  const { board, body, at_mm, framesLeft } = fit.place;
  if (board !== undefined)
    return draft('boardPlaced', { box: box.box.id, board, at_mm, framesLeft, groove: newId(), bay: newId() });
  const drawn = bodiesOf(box.design).find(({ id }) => id === body);
  return drawn
    ? draft('boardAdded', {
        box: box.box.id,
        body,
        board: newFollower(box.design, drawn, { board: newId(), groove: newId() }),
        at_mm,
        framesLeft,
        bay: newId(),
      })
    : undefined;
}
