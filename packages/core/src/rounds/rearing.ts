import type { CalendarAnswer, Lot, RearingSeason, Round, RoundOutcome } from '@yellow-cell/contract';
import { type Day, daysBetween, later, plusDays } from '../calendar/days.ts';
import { roundCalendar } from '../calendar/roundCalendar.ts';
import type { Constants } from '../constants/registry.ts';
import { cells } from '../mating/cells.ts';
import { lostDaysFrom } from '../yard/due/weather.ts';
import { discardedOf } from './cellsOf.ts';
import { isOpen, stillWanted } from './lotsOf.ts';
import { type Virgins, virginsOf } from './virginsOf.ts';

/** A round with its days, and what is known or expected of its cells. */
export interface RoundView {
  round: Round;
  days: CalendarAnswer;
  /** Cells that were given, or are expected to be ripe and given. */
  cells: number;
  /** Queens that it has, laying or taken, and cells of which it is still open. */
  queens: number;
  open: number;
  outcome: RoundOutcome | undefined;
  /** Its graft was planned for a day that is past, and is not told of: it has no cells. */
  missed: boolean;
  virgins: Virgins | undefined;
  /** Days without flying weather since its virgins could fly: what is still open of it is so much later. */
  lost_d: number;
}

/** Cells that so many larvae come to in the mean, by what was counted of others. */
export const cellsExpected = (grafts: number, { accepted }: Pick<RearingSeason, 'accepted'>): number =>
  Math.round((grafts * (1 + accepted.cells)) / (2 + accepted.grafts));

/** Rounds in the order of their grafts, each with its days (handbook 5) and what came, or may come, of it. */
export function roundViews(
  { rounds, outcomes, accepted, flown }: Pick<RearingSeason, 'rounds' | 'outcomes' | 'accepted' | 'flown'>,
  constants: Constants,
  today: Day,
): RoundView[] {
  const grounded = new Set(flown.days.flatMap(({ on, flies }) => (flies ? [] : [on])));
  return [...rounds]
    .sort((a, b) => (a.graftedOn < b.graftedOn ? -1 : 1))
    .map((round): RoundView => {
      const days = roundCalendar({
        graft: round.graftedOn,
        give: 'cell',
        laying_d: constants.harvestFrom_d,
      });
      const outcome = outcomes.find((each) => each.round === round.id);
      const given = outcome?.given ?? 0;
      const missed = isMissed(round, today);
      const expected = Math.max(
        0,
        missed
          ? 0
          : (round.accepted?.cells ?? cellsExpected(round.grafts, { accepted })) - discardedOf(round),
      );
      // Until its cells are ripe all that was taken on and not thrown away may be given; afterwards what was given is all.
      const ripe = days.emergence[1];
      const all = given > 0 && today > ripe ? given : Math.max(given, expected);
      const queens = outcome?.takes ?? 0;
      return {
        round,
        days,
        cells: all,
        queens,
        open: Math.max(0, all - queens - (outcome?.misses ?? 0)),
        outcome,
        missed,
        virgins: virginsOf(round, days, given, today, constants),
        lost_d: lostDaysFrom(days.ripe, constants.eggsExpected_d, (day) => grounded.has(day), constants),
      };
    });
}

/** Whether a plan’s day is past, and nothing was grafted. */
export const isMissed = ({ planned, graftedOn }: Pick<Round, 'planned' | 'graftedOn'>, today: Day): boolean =>
  planned === true && graftedOn < today;

/** What there is for a lot, and for all lots that are due before it. */
export interface LotState {
  lot: Lot;
  /** The day by which its queens are wanted; of a lot that is overdue, today. */
  by: Day;
  /** Of it and of all lots before it together, less what was handed over. */
  wanted: number;
  have: number;
  open: number;
}

/** Queens not yet taken away, and cells still open, less those that find no room, of rounds that are ready by the day of each lot. */
export function lotStates(
  { lots }: Pick<RearingSeason, 'lots'>,
  views: readonly RoundView[],
  ripe: readonly RipeDay[],
  today: Day,
): LotState[] {
  const overOf = (id: string) => ripe.find(({ round }) => round.id === id)?.over ?? 0;
  let wanted = 0;
  return [...lots]
    .sort((one, other) => (one.by < other.by ? -1 : one.by > other.by ? 1 : 0))
    .filter((lot) => lot.by >= today || isOpen(lot, today))
    .map((lot) => {
      wanted += stillWanted(lot);
      const by = later(lot.by, today);
      const ready = views.filter(({ days }) => days.take[0] <= by);
      return {
        lot,
        by,
        wanted,
        have: ready.reduce((sum, { queens, outcome }) => sum + queens - (outcome?.taken ?? 0), 0),
        open: ready.reduce((sum, view) => sum + view.open - overOf(view.round.id), 0),
      };
    });
}

/** What a round needs for so many queens with so much confidence, by the record: cells that are given, and larvae grafted. */
export function roundFor(
  queens: number,
  confidence: number,
  { record, accepted }: Pick<RearingSeason, 'record' | 'accepted'>,
): { cells: number; grafts: number } {
  const given = cells({ queens, confidence, takes: record.takes, tried: record.tried, prior: [1, 1] }).cells;
  const grafted = cells({
    queens: given,
    confidence,
    takes: accepted.cells,
    tried: accepted.grafts,
    prior: [1, 1],
  }).cells;
  return { cells: given, grafts: grafted };
}

/** Cells that are ripe on a day against the rooms that are free for them. */
export interface RipeDay {
  round: Round;
  on: Day;
  cells: number;
  free: number;
  over: number;
}

/** Whether each round that is still to be given finds rooms: those free by then, less what rounds before it take. */
export const roomsFor = (...asked: Parameters<typeof allotted>): RipeDay[] => allotted(...asked).ripe;

/** Days from which rooms are free once all these rounds have theirs, earliest first. */
export const roomsAfter = (...asked: Parameters<typeof allotted>): Day[] => allotted(...asked).free;

/** Rooms that are free on each of these days, both included, before what is ripe on it is given. */
export function roomsByDay(from: Day, to: Day, ...asked: Parameters<typeof allotted>): number[] {
  const { free, held } = allotted(...asked);
  const spans = [...held, ...free.map((since) => ({ since, until: to }))];
  return Array.from({ length: daysBetween(from, to) + 1 }, (_, at) => {
    const day = plusDays(from, at);
    return spans.filter(({ since, until }) => since <= day && day <= until).length;
  });
}

function allotted(
  { rooms }: Pick<RearingSeason, 'rooms'>,
  views: readonly RoundView[],
  constants: Constants,
  today: Day,
): { ripe: RipeDay[]; free: Day[]; held: { since: Day; until: Day }[] } {
  /** Days on which rooms are given back, as they stand; taken by a cell, a room is free again once its queen is taken. */
  const free = rooms.map(({ freeFrom }) => freeFrom).sort();
  /** Rooms that were free from a day on until they took a cell. */
  const held: { since: Day; until: Day }[] = [];
  const ripe = views
    .filter(({ days, outcome, cells: all }) => days.emergence[1] >= today && (outcome?.given ?? 0) < all)
    .map(({ round, days, cells: all, outcome }) => {
      const left = all - (outcome?.given ?? 0);
      const ready = free.filter((day) => day <= days.ripe);
      const taken = ready.slice(0, left);
      for (const since of taken) {
        held.push({ since, until: days.ripe });
        free.splice(free.indexOf(since), 1);
        free.push(plusDays(days.ripe, constants.eggsExpected_d + constants.harvestExpected_d));
      }
      free.sort();
      return {
        round,
        on: days.ripe,
        cells: left,
        free: ready.length,
        over: Math.max(0, left - ready.length),
      };
    });
  return { ripe, free, held };
}
