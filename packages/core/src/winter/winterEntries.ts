import type { EntryOf, EventKind, Payload } from '@yellow-cell/contract';
import type { Compartment } from '../box/model.ts';
import { newBoard } from '../box/newBoard.ts';
import { bodiesOf } from '../box/stack.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import { inRoom } from '../yard/inRoom.ts';
import { slotsOf } from '../yard/slots.ts';
import type { YardState } from '../yard/state.ts';
import { fitCavity } from './cavity.ts';
import { winterMoves } from './winterMoves.ts';

/** What an entry says, before a person, a device and an instant are added to it. */
export type WinterEntry = { [K in EventKind]: { kind: K; payload: EntryOf<K>['payload'] } }[EventKind];
const entry = <K extends EventKind>(kind: K, payload: Payload<K>) => ({ kind, payload }) as WinterEntry;

/**
 * What is entered once a plan for the winter of a room was carried out: frames out and beside each other, the follower
 * where it stands, bees joined to others; or why that cannot be entered here. `newId` names what is new.
 */
export function winterEntries(
  state: YardState,
  box: BoxView,
  room: CompartmentView,
  plan: NonNullable<NonNullable<CompartmentView['colony']>['winter']>,
  newId: () => string,
): WinterEntry[] | { why: string } {
  const of = inRoom(box.box, room);
  const compartment = box.model.compartments[room.position];
  if (plan.act === 'combine' && plan.with)
    return [entry('combined', { ...of, intoBox: plan.with.box, into: plan.with.colony })];
  if (plan.to && (plan.act === 'move' || plan.act === 'pair'))
    return { why: 'It is moved in the yard, by Into another box…; the plan is done with it.' };
  const done = entry('winterPrepared', of);
  if (!plan.room || !compartment) return [done];
  const moves = winterMoves(box.box.id, slotsOf(state, box.box, compartment, room), plan.room, newId);
  if ('why' in moves) return moves;
  const { follower, keeps, end } = plan.room;
  const board = follower ? followerEntry(box, compartment, keeps.length, end, newId) : undefined;
  if (board && 'why' in board) return board;
  return [
    ...(moves.length > 0 ? [entry('framesMoved', { moves, purpose: 'reduce' })] : []),
    ...(board ? [board] : []),
    done,
  ];
}

function followerEntry(
  { box, design }: BoxView,
  room: Compartment,
  keeps: number,
  end: 'left' | 'right',
  newId: () => string,
): WinterEntry | { why: string } {
  const fit = fitCavity(design, room, keeps, end);
  if ('why' in fit) return fit;
  const { board, body, at_mm, framesLeft } = fit.place;
  const place = { box: box.id, at_mm, framesLeft, bay: newId() };
  if (board !== undefined) return entry('boardPlaced', { ...place, board, groove: newId() });
  const into = bodiesOf(design).find(({ id }) => id === body);
  if (!into) return { why: 'Nothing is known of how this room is drawn.' };
  const follower = newBoard('follower', design, into, { board: newId(), groove: newId() });
  return entry('boardAdded', { ...place, body, board: follower });
}
