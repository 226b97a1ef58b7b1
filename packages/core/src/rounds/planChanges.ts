import type { Round, SeasonQuestion } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { graftDays, RIPE_D } from '../season/graftDays.ts';

/** What becomes of a round that is planned, or a new one, when the rest of a season is planned anew. */
export interface PlanChange {
  kind: 'kept' | 'resized' | 'moved' | 'dropped' | 'new';
  /** As people know it; undefined of a new one. */
  known: Round | undefined;
  /** As it is to be; undefined of one that is dropped. */
  next: Round | undefined;
  /** Ripe cells that it is to have; 0 of one that is dropped. */
  cells: number;
  /** Why it does not stay; undefined where it does. */
  why: string | undefined;
}

/** A round that lies further off is another round, and no moved one. */
const MOVED_D = 14;

/**
 * Old and new rounds told as changes, in the order of their days: those of one day are the same; of the others each that
 * is known becomes the nearest new one within a fortnight. `cells` are those of the known rounds and of the new, by id.
 */
export function planChanges(
  plans: readonly Round[],
  rounds: readonly Round[],
  cells: ReadonlyMap<string, number>,
  question: SeasonQuestion,
): PlanChange[] {
  const cellsOf = ({ id }: Round): number => cells.get(id) ?? 0;
  const left = [...rounds];
  /** The nearest that is left, no further off than this. */
  const take = (graft: Day, most_d: number): Round | undefined => {
    const off = ({ graftedOn }: Round): number => Math.abs(daysBetween(graft, graftedOn));
    const [nearest] = left.filter((each) => off(each) <= most_d).sort((a, b) => off(a) - off(b));
    return nearest && left.splice(left.indexOf(nearest), 1)[0];
  };
  const same = plans.map(({ graftedOn }) => take(graftedOn, 0));
  const changes = plans.map((known, index): PlanChange => {
    const next = same[index] ?? take(known.graftedOn, MOVED_D);
    if (!next) return { kind: 'dropped', known, next: undefined, cells: 0, why: whyNot(known, question) };
    const stays = next.graftedOn === known.graftedOn;
    const { id, number, donor } = known;
    const asKnown = {
      ...next,
      id,
      number,
      donor,
      ...(known.donorQueen ? { donorQueen: known.donorQueen } : {}),
    };
    if (stays && cells.get(next.id) === cells.get(known.id))
      return { kind: 'kept', known, next: known, cells: cellsOf(next), why: undefined };
    return {
      kind: stays ? 'resized' : 'moved',
      known,
      next: asKnown,
      cells: cellsOf(next),
      why: whyNot(known, question),
    };
  });
  const fresh = left.map(
    (next): PlanChange => ({
      kind: 'new',
      known: undefined,
      next,
      cells: cellsOf(next),
      why: undefined,
    }),
  );
  return [...changes, ...fresh].sort((a, b) => (dayOf(a) < dayOf(b) ? -1 : 1));
}
const dayOf = ({ known, next }: PlanChange): Day => next?.graftedOn ?? known?.graftedOn ?? '';

/** What stands in the way of a round as it was planned, else that others serve better. */
function whyNot({ graftedOn }: Round, question: SeasonQuestion): string {
  if (graftedOn < question.from) return 'its day is past, and nothing is told of its graft';
  const { weekdays, closed: _closed, ...always } = { ...question, from: graftedOn, to: graftedOn };
  const can = (more: Partial<SeasonQuestion>) => graftDays({ ...always, ...more })[0];
  const day = can(question.closed ? { closed: question.closed } : {});
  if (!day && can({})) return 'a day of it is kept free';
  if (!can({})) return 'no lot can take its queens on the day on which they are ready';
  if (weekdays && !can({ weekdays })) return 'nothing is grafted on that day of the week';
  const cells = question.stay?.rounds.find(({ graft }) => graft === graftedOn)?.cells ?? 0;
  const rooms = roomsOn(question, plusDays(graftedOn, RIPE_D));
  if (cells > rooms) return `its ${cells} cells find ${rooms} rooms`;
  return 'others serve better what is wanted now';
}
const roomsOn = ({ compartments }: SeasonQuestion, day: Day): number =>
  compartments.reduce((sum, { count, from, to }) => (from <= day && day <= to ? sum + count : sum), 0);
