import type { Frame } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { STORES_OF, STORES_OF_SUGAR, SYRUPS } from '../feed/feeds.ts';
import type { BoxView } from '../yard/boxView.ts';
import type { YardState } from '../yard/state.ts';
import type { AutumnLine } from './autumn.ts';
import { lastDayOver } from './climateDays.ts';
import type { WinterMonth } from './forecast.ts';
import { fullSide } from './reduce.ts';

/** What a room is given on one visit. */
export interface Portion {
  line: AutumnLine;
  sugar_kg: number;
  /** Litres of syrup, or kilograms of fondant. */
  amount: number;
}
/** One way round the yard with feed. */
export interface FeedVisit {
  on: Day;
  feed: 'syrup21' | 'fondant';
  portions: readonly Portion[];
  sugar_kg: number;
}
/** A comb of stores that lies out of any box, and who is to have it instead of sugar. */
export interface StoresComb {
  frame: Frame;
  stores_kg: number;
  line: AutumnLine;
}
export interface FeedPlan {
  /** Combs of stores at hand are hung in first. */
  combs: readonly StoresComb[];
  visits: readonly FeedVisit[];
  /** The last day on which days are warm enough for syrup, by the climate; undefined where all of the winter is. */
  liquidUntil: Day | undefined;
  /** To be bought and mixed, in kg and litres: sugar in all, of it as syrup 2:1, the water for that, and fondant. */
  buy: { sugar_kg: number; syrup_l: number; water_l: number; fondant_kg: number };
}

/** Less is not worth a visit, in kg of sugar. */
const LEAST_KG = 0.1;
/** Sugar that comes to as much of stores as a kilogram of fondant, in kg. */
const FONDANT_SUGAR = STORES_OF.fondant / STORES_OF_SUGAR;

/**
 * What a yard is fed before winter, from its plans and where there are none from what is short: stores combs at hand
 * first, the heaviest to who lacks most; the rest by rounds of visits, as much at once as a feeder holds, liquid while
 * days are warm enough (handbook 7, frame by frame), as fondant after.
 */
export function feedPlan(
  state: YardState,
  boxes: readonly BoxView[],
  lines: readonly AutumnLine[],
  { on, months, constants }: { on: Day; months: readonly WinterMonth[]; constants: Constants },
): FeedPlan {
  const wants = lines.map((line) => ({ line, left_kg: wanted(line) }));
  const combs = handedOut(combsAtHand(state, boxes, constants), wants);
  const liquidUntil = lastDayOver(months, on, constants.liquidFeed_C);
  const visits: FeedVisit[] = [];
  for (let visit = 0; visit < MOST_VISITS; visit++) {
    const day = plusDays(on, visit * constants.feedVisits_d);
    const feed = liquidUntil !== undefined && day > liquidUntil ? 'fondant' : 'syrup21';
    const sugarIn = feed === 'syrup21' ? SYRUPS.syrup21.sugar_kgPerLitre : FONDANT_SUGAR;
    const most_kg = sugarIn * (feed === 'syrup21' ? constants.feederHolds_l : constants.fondantAtOnce_kg);
    const portions = wants
      .filter(({ left_kg }) => left_kg >= LEAST_KG)
      .map((want): Portion => {
        const sugar_kg = Math.min(most_kg, want.left_kg);
        want.left_kg -= sugar_kg;
        return { line: want.line, sugar_kg, amount: sugar_kg / sugarIn };
      });
    if (portions.length === 0) break;
    visits.push({ on: day, feed, portions, sugar_kg: sumOf(portions) });
  }
  const as = (feed: FeedVisit['feed']) =>
    visits.filter((visit) => visit.feed === feed).reduce((sum, { sugar_kg }) => sum + sugar_kg, 0);
  return {
    combs,
    visits,
    liquidUntil,
    buy: {
      sugar_kg: as('syrup21'),
      syrup_l: as('syrup21') / SYRUPS.syrup21.sugar_kgPerLitre,
      // Two parts of sugar to one of water, by mass; a litre of water weighs a kilogram.
      water_l: as('syrup21') / 2,
      fondant_kg: as('fondant') / FONDANT_SUGAR,
    },
  };
}
/** A winter has no more weeks than that. */
const MOST_VISITS = 26;

const sumOf = (portions: readonly Portion[]): number =>
  portions.reduce((sum, { sugar_kg }) => sum + sugar_kg, 0);

/** Sugar still to be fed of what is planned, or else what is short; nothing to who joins another. */
export const wanted = ({ plan, sugar_kg, act }: AutumnLine): number => {
  if (plan) return Math.max(0, plan.sugar_kg - plan.fed_kg);
  return act === 'combine' ? 0 : sugar_kg;
};

/** Combs of stores that were taken out and are not to go back, heaviest first. */
function combsAtHand(state: YardState, boxes: readonly BoxView[], constants: Constants) {
  const at = new Map(boxes.map((view) => [view.box.id, view]));
  return [...state.frames.values()]
    .flatMap((frame) => {
      const from = frame.out && at.get(frame.out.from.box);
      if (frame.at !== null || !frame.audit || !from || frame.out?.backBy !== undefined) return [];
      const format = from.model.compartments
        .flatMap(({ frames }) => frames)
        .find(({ id }) => id === frame.out?.from.slot)?.format;
      const sides = frame.audit.sides.reduce((sum, { stores = 0 }) => sum + stores, 0);
      const brood = frame.audit.sides.some(
        ({ eggs = 0, openBrood = 0, sealed = 0 }) => eggs + openBrood + sealed > 0,
      );
      const stores_kg = format ? sides * fullSide(format, constants) : 0;
      return format && !brood && stores_kg >= constants.storesComb_kg
        ? [{ frame, stores_kg, format: format.id }]
        : [];
    })
    .sort((a, b) => b.stores_kg - a.stores_kg);
}

/** The heaviest to who lacks most, where its frames are of that kind; what it brings is not fed. */
function handedOut(
  combs: ReturnType<typeof combsAtHand>,
  wants: { line: AutumnLine; left_kg: number }[],
): StoresComb[] {
  const out: StoresComb[] = [];
  for (const { frame, stores_kg, format } of combs) {
    const [most] = wants
      .filter(({ line: { box, room }, left_kg }) => {
        const own = box.model.compartments[room.position]?.frames[0]?.format.id;
        return own === format && left_kg * STORES_OF_SUGAR >= stores_kg / 2;
      })
      .sort((a, b) => b.left_kg - a.left_kg);
    if (!most) continue;
    most.left_kg = Math.max(0, most.left_kg - stores_kg / STORES_OF_SUGAR);
    out.push({ frame, stores_kg, line: most.line });
  }
  return out;
}

/** Strips that are in, by the day on which they are to be out; and rooms that had none this season. */
export interface StripsView {
  outBy: readonly { line: Pick<AutumnLine, 'box' | 'room'>; product: string; outBy: Day }[];
  untreated: readonly AutumnLine[];
}
export function stripsOf(lines: readonly AutumnLine[], on: Day, { untreated_d }: Constants): StripsView {
  return {
    outBy: lines
      .flatMap((line) =>
        (line.room.colony?.strips ?? []).map(({ product, outBy }) => ({ line, product, outBy })),
      )
      .sort((a, b) => a.outBy.localeCompare(b.outBy)),
    untreated: lines.filter(({ room: { colony } }) => {
      const { treatedOn } = colony ?? {};
      return treatedOn === undefined || daysBetween(treatedOn, on) > untreated_d;
    }),
  };
}
