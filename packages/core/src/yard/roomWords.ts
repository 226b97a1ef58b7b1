import type { Day } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import { countOf } from '../say/words.ts';
import type { StandingCompartment } from './compartments.ts';
import { roleName, roles } from './roles/roles.ts';
import { statusWords } from './statusWords.ts';

type Said = Pick<StandingCompartment, 'status' | 'role' | 'shares' | 'queens'>;

/** What a room is in words: its status, and what it serves as where that is not mating. */
export function roomWords(room: Said): string {
  return withRole(room, wordsOf(room));
}

/** The same, with since when. */
export function statusLine(room: Said & Pick<StandingCompartment, 'since'>, on?: Day): string {
  const { since } = room;
  return withRole(room, since ? `${wordsOf(room)} since ${showDay(since, on)}` : wordsOf(room));
}

/** A queen that was given free, or was let out, is not caged; that she is taken, her eggs will say. */
export const isLetOut = ({ status, queens }: Pick<Said, 'status' | 'queens'>): boolean =>
  status === 'caged' && queens.length > 0 && queens.every(({ caged }) => !caged);

const wordsOf = (room: Said): string => (isLetOut(room) ? 'queen given, free' : statusWords[room.status]);

function withRole({ role, shares, queens }: Said, status: string): string {
  if (shares !== undefined) return `${roleName(role)}, its queen in ${shares}`;
  if (role === 'bank') return `bank, ${countOf(queens.length, 'queen')}`;
  return role === 'empty' || role === 'mating' || role === 'growing'
    ? status
    : `${roleName(role)}: ${status}`;
}

/** The letters of its role on the map; empty for the usual. */
export const roleSign = ({ role }: Pick<StandingCompartment, 'role'>): string =>
  role === 'empty' ? '' : roles[role].sign;
