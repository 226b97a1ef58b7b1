import type { RoomRole, Status } from '@yellow-cell/contract';
import { type Day, plusDays } from '../calendar/days.ts';
import { compartmentsOf } from './compartments.ts';
import { type BoxesLog, readingOf } from './foldLog.ts';
import { emptyYard, type Known } from './state.ts';

/** What a room served as, and what was in it, over some days without a change. */
export interface Stretch {
  from: Day;
  to: Day;
  role: RoomRole;
  status: Status;
  shares: boolean;
}
export interface RoomYear {
  name: string;
  stretches: Stretch[];
}

/** The rooms of a box through a year as its story tells it, each as stretches of days; rooms are called as they were on the last day of each. */
export function roomYears(known: Known, log: BoxesLog, box: string, from: Day, to: Day): RoomYear[] {
  const { run, dated } = readingOf(known, [log]);
  const days = [...new Set(dated.map(({ on }) => on))].sort();
  const rooms = new Map<string, RoomYear>();
  days.forEach((day, index) => {
    for (const { event, on } of dated) if (on === day) run.tell(event, on);
    const next = days[index + 1];
    const until = next === undefined || next > to ? to : plusDays(next, -1);
    if (until < from || day > to) return;
    const state = { ...emptyYard, ...run.state() };
    const now = state.boxes.get(box);
    if (!now) return;
    for (const { name, role, status, shares } of compartmentsOf(state, known.designs, now)) {
      const room = rooms.get(name) ?? { name, stretches: [] };
      rooms.set(name, room);
      const here: Stretch = {
        from: day < from ? from : day,
        to: until,
        role,
        status,
        shares: shares !== undefined,
      };
      const last = room.stretches.at(-1);
      if (
        last &&
        last.role === role &&
        last.status === status &&
        last.shares === here.shares &&
        plusDays(last.to, 1) === here.from
      )
        last.to = until;
      else room.stretches.push(here);
    }
  });
  return [...rooms.values()];
}
