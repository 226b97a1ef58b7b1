import { type Day, earlier, later } from '../calendar/days.ts';
import { showDay, showWindow } from '../calendar/showDay.ts';
import { stillWanted } from '../rounds/lotsOf.ts';
import type { LotState, RoundView } from '../rounds/rearing.ts';
import { isAhead, roundSteps } from '../rounds/roundSteps.ts';
import { capital, countOf } from '../say/words.ts';
import { slugOf } from '../slug.ts';
import type { BoxView, CompartmentView } from './boxView.ts';
import type { Expectation } from './due/expectation.ts';
import { roomName } from './roomName.ts';

/** A day, or an instant, on which something is to be done, as a calendar shows it. */
export interface CalendarEntry {
  /** The same for the same work, so that a calendar that is read again changes it and does not double it. */
  id: string;
  title: string;
  /** Its yard, where it is of one. */
  place?: string;
  /** Why and when, a reason a line. */
  details: string;
  on: Day;
  /** Where hours count: the instant by which it must be done. */
  by?: string;
}

/** So many rooms are named in a title; all of them in the details. */
const NAMED = 4;

interface Wanted {
  work: Expectation;
  at: { box: BoxView; room: CompartmentView };
}

/** All that is expected of a yard from a day on, what is alike on a day as one; what is overdue stands on that day. */
export function calendarEntries(
  yard: { id: string; name: string },
  boxes: readonly BoxView[],
  on: Day,
): CalendarEntry[] {
  const wanted = boxes.flatMap((box) =>
    box.compartments.flatMap((room) =>
      room.expectations
        .filter(({ lapses, to }) => !lapses || to >= on)
        .map((work): Wanted => ({ work, at: { box, room } })),
    ),
  );
  const groups = new Map<string, Wanted[]>();
  for (const each of wanted) {
    const { kind, title, expected, by } = each.work;
    // What is overdue moves on from day to day, and stays the same.
    const day = expected < on ? 'overdue' : expected;
    const key =
      by === undefined
        ? `${kind} ${slugOf(title)} ${day}`
        : `${kind} ${slugOf(title)} ${by} ${roomName(each.at)}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups].flatMap(([key, group]): CalendarEntry[] => {
    const [first] = group;
    if (!first) return [];
    const { title, expected, by } = first.work;
    const rooms = group.map(({ at }) => roomName(at));
    const named =
      rooms.length > NAMED
        ? `${rooms.slice(0, NAMED).join(', ')} and ${rooms.length - NAMED} more`
        : rooms.join(', ');
    return [
      {
        id: `${yard.id} ${key}`,
        title: `${title}: ${named}`,
        place: yard.name,
        details: reasonsOf(group, on).join('\n'),
        on: later(on, expected),
        ...(by === undefined ? {} : { by }),
      },
    ];
  });
}

/** Why and when, each reason once with the rooms that it is of. */
function reasonsOf(group: readonly Wanted[], on: Day): string[] {
  const rooms = new Map<string, string[]>();
  for (const { work, at } of group) {
    const why = `${showWindow(earlier(work.from, work.to), work.to, on)}: ${work.reason}`;
    rooms.set(why, [...(rooms.get(why) ?? []), roomName(at)]);
  }
  return [...rooms].map(([why, names]) => `${names.join(', ')}, ${why}`);
}

/** Lots that are to be handed over from a day on; what is overdue stands on that day. */
export const lotEntries = (lots: readonly LotState[], on: Day): CalendarEntry[] =>
  lots.flatMap(({ lot, by }) => {
    const left = stillWanted(lot);
    if (left === 0) return [];
    const overdue = lot.by < on ? ', overdue' : '';
    return [
      {
        id: `${lot.id} handed over`,
        title: `Hand over ${countOf(left, 'queen')}: ${lot.name}`,
        details: `Wanted by ${showDay(lot.by, on)}${overdue}.`,
        on: later(on, by),
      },
    ];
  });

/** What rounds ask for from a day on: the first day of each window that is not over. */
export function roundEntries(rounds: readonly RoundView[], on: Day): CalendarEntry[] {
  return rounds.flatMap((view) =>
    roundSteps(view)
      .filter((step) => step.asks && isAhead(step, on))
      .map(
        ({ title, from, to, detail }): CalendarEntry => ({
          id: `${view.round.id} ${title}`,
          title: `${title}, round ${view.round.number}`,
          details: `${capital(from === to ? showDay(from, on) : showWindow(from, to, on))}. ${detail}`,
          on: later(on, from),
        }),
      ),
  );
}
