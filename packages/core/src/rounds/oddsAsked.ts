import type { OddsQuestion, RearingSeason, Round } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import { type Constants, defaultConstants } from '../constants/registry.ts';
import { discardedOf } from './cellsOf.ts';
import { stillWanted } from './lotsOf.ts';
import { lotStates, type RipeDay, type RoundView, roomsFor, roundViews } from './rearing.ts';

/** The same plan is played alike on every device. */
const SEED = 1;
/** A lot counts so many queens at most; a question takes so many rounds and days. */
const MOST = { rounds: 200, known: 400, lots: 100 };

/** A season of rearing with these rounds beside those that there are, as a question of its odds; `flying` is the share of days that fly, of each month. */
export function oddsAsked(
  season: RearingSeason,
  more: readonly Round[],
  flying: readonly number[],
  constants: Constants,
  today: Day,
  plays: number,
): OddsQuestion {
  const all = { ...season, rounds: [...season.rounds, ...more] };
  const views = roundViews(all, constants, today);
  const ripe = roomsFor(all, views, constants, today);
  return {
    today,
    lots: lotStates(all, views, ripe, today)
      .filter(({ lot }) => stillWanted(lot) > 0)
      .slice(0, MOST.lots)
      .map(({ lot, by }) => ({ name: lot.id, queens: stillWanted(lot), by })),
    rounds: views
      .filter(({ open, queens, outcome }) => open > 0 || queens > (outcome?.taken ?? 0))
      .slice(-MOST.rounds)
      .map((view) => roundAsked(view, ripe)),
    record: season.record,
    accepted: { takes: season.accepted.cells, tried: season.accepted.grafts },
    flying: [...flying],
    known: season.flown.days.slice(-MOST.known),
    laying_d: constants.harvestFrom_d,
    plays,
    seed: SEED,
    constants: changed(constants),
  };
}

/** Grafts that are not counted play their acceptance; cells that are given have their rooms. */
function roundAsked(
  { round, open, queens, outcome, cells }: RoundView,
  ripe: readonly RipeDay[],
): OddsQuestion['rounds'][number] {
  const given = outcome?.given ?? 0;
  const waiting = ripe.find((each) => each.round.id === round.id);
  const isCounted = round.accepted !== undefined || given > 0;
  const undecided = Math.max(0, open - Math.max(0, cells - given));
  return {
    graft: round.graftedOn,
    grafts: isCounted ? 0 : Math.max(0, round.grafts - discardedOf(round)),
    cells: isCounted ? open : 0,
    rooms: waiting ? undecided + waiting.free : open,
    queens: Math.max(0, queens - (outcome?.taken ?? 0)),
  };
}

/** Only what differs from the defaults is told. */
const changed = (constants: Constants): OddsQuestion['constants'] =>
  Object.fromEntries(
    Object.entries(constants).filter(([name, value]) => defaultConstants[name as keyof Constants] !== value),
  );
