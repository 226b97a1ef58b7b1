import type { BayUse, BoxState, Colony, DesignContent, Family, Role, RoomRole } from '@yellow-cell/contract';
import { baysOf } from '../../box/stack.ts';
import { roleSetFor } from '../roomsOf.ts';

/** What the bees of a family’s rooms are kept for, by the use of the room; `else` where that leaves it open. */
const BY_FAMILY: Readonly<Partial<Record<Family, Readonly<Partial<Record<BayUse | 'else', Role>>>>>> = {
  nucleus: { else: 'mating' },
  donorHolding: { held: 'donor', else: 'flying' },
  allInOne: { else: 'finisher' },
  starter: { else: 'starter' },
  observation: { else: 'shown' },
  bank: { else: 'bank' },
  changer: { else: 'changing' },
  followerReduced: { else: 'wintering' },
};
/** And in all other families. */
const BY_USE: Readonly<Partial<Record<BayUse, Role>>> = {
  mating: 'mating',
  held: 'donor',
  grafts: 'starter',
  bank: 'bank',
  stores: 'stores',
};

/** A room as far as its role hangs on it. */
interface AskedRoom {
  design: DesignContent;
  box: BoxState;
  bays: readonly string[];
  colony: Colony | undefined;
  /** False for a room that its colony lives in beside that of its queen. */
  main: boolean;
}

/** What a room serves as: as it was set, else as its design and what was told of its bees propose (decision 19). */
export function roleOf(room: AskedRoom): RoomRole {
  const { box, bays, colony, main } = room;
  const set = roleSetFor(box, bays);
  // Stores are kept without bees; whatever else a room is for, without bees it is empty.
  if (!colony) return set?.role === 'stores' ? 'stores' : 'empty';
  const role = set?.role ?? proposedRole(room);
  // Set for the whole box, a role is that of the queen's room; beside it her bees fly.
  return role === 'donor' && !main && set?.bays === undefined ? 'flying' : role;
}

/** The role that design and events propose for bees in a room. */
export function proposedRole({ design, bays, colony }: Pick<AskedRoom, 'design' | 'bays' | 'colony'>): Role {
  const role = byDesign(design, bays);
  const given = colony?.attempt !== undefined;
  // A donor's box, or one of any other use, becomes a mating box where a cell was given (handbook 8, holding).
  if (given && (role === 'donor' || role === 'flying' || role === 'growing')) return 'mating';
  return colony?.status === 'queenright' && !given && role === 'mating' ? 'growing' : role;
}

function byDesign(design: DesignContent, bays: readonly string[]): Role {
  const use = baysOf(design).find((bay) => bays.includes(bay.id) && bay.use !== 'nothing')?.use ?? 'nothing';
  const own = BY_FAMILY[design.family];
  return own?.[use] ?? own?.else ?? BY_USE[use] ?? 'growing';
}
