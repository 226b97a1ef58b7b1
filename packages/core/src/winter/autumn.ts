import type { Colony, RoomRole } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import type { Constants } from '../constants/registry.ts';
import { STORES_OF_SUGAR } from '../feed/feeds.ts';
import { countOf } from '../say/words.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import type { Weather } from '../yard/due/expectation.ts';
import { isCooling, recentMaximum } from '../yard/due/weather.ts';
import { plannedOn } from '../yard/due/winterRules.ts';
import { type InBox, roomName } from '../yard/roomName.ts';
import { hangs, slotsOf } from '../yard/slots.ts';
import type { YardState } from '../yard/state.ts';
import { withoutQueen } from '../yard/withoutQueen.ts';
import { forecastWinter, PLAN_RUNS, type WinterForecast, winterNeed } from './forecast.ts';
import { combOf, isAnother, STORES_FRAMES, type WinterSeason, winteringOf } from './preparation.ts';
import { fullSide, holdsOf, STAYS } from './reduce.ts';
import { storesByWeight } from './storesByWeight.ts';

/** What a colony is to be done to before winter: the cheapest look first where something is not known. */
export type AutumnAct = 'combine' | 'count' | 'pair' | 'reduce' | 'heft' | 'feed' | 'check' | 'leave';

/** A colony before winter: what is known of it, what is to be done, and why. */
export interface AutumnLine {
  box: BoxView;
  room: CompartmentView;
  act: AutumnAct;
  why: string;
  /** What is planned of this winter. */
  plan: Colony['winter'];
  seams: number | undefined;
  /** By the frames that were looked through, where half of them or more were, else by the weight of its box. */
  stores_kg: number | undefined;
  storesBy: 'looked' | 'weighed' | 'felt' | undefined;
  /** What the winter is likely to take, and a third more. */
  carry_kg: number | undefined;
  sugar_kg: number;
  /** Its winter as it stands, where seams and stores are known. */
  winter: WinterForecast | undefined;
  /** Share of winters in which it dwindles with stores enough; undefined where its seams are not known. */
  dwindled: number | undefined;
  /** Frames that it keeps once it is reduced. */
  keeps: number | undefined;
}

/** These are made for days or weeks, and joined to others when they are done. */
export const NOT_WINTERED: readonly RoomRole[] = ['starter', 'bank'];

/** The yard before winter, most pressing first: who is combined, counted, paired, reduced, hefted, fed, or left alone. */
export function autumnList(state: YardState, boxes: readonly BoxView[], season: WinterSeason): AutumnLine[] {
  const free = boxes.flatMap((box) =>
    box.compartments.flatMap((room) => (room.colony ? [] : [{ box, room }])),
  );
  return boxes
    .flatMap((box) =>
      box.compartments.flatMap((room) =>
        room.colony && room.shares === undefined && !NOT_WINTERED.includes(room.role)
          ? lineOf(state, { box, room }, free, season)
          : [],
      ),
    )
    .sort((a, b) => ORDER.indexOf(a.act) - ORDER.indexOf(b.act));
}
const ORDER: readonly AutumnAct[] = ['combine', 'count', 'pair', 'feed', 'reduce', 'heft', 'check', 'leave'];

/** Whether colonies have stopped expanding, by the yard's own weather (handbook 7, when). */
export function autumnTime(
  weather: Weather,
  constants: Constants,
): { is: 'unknown' | 'expanding' | 'time'; sentence: string } {
  const recent = recentMaximum(weather);
  if (!recent)
    return {
      is: 'unknown',
      sentence:
        'Nothing is known of the weather of the last weeks: whether colonies still expand is yours to judge.',
    };
  const { reduceBelow_C } = constants;
  const days = `Days reach ${recent.mean_C.toFixed(0)} °C in the mean of a fortnight`;
  if (recent.mean_C >= reduceBelow_C)
    return {
      is: 'expanding',
      sentence: `${days}, ${reduceBelow_C} °C or more: colonies may still expand. Nothing is reduced yet; look down from above, and no further.`,
    };
  return isCooling(weather, constants) !== false
    ? { is: 'time', sentence: `${days}, below ${reduceBelow_C} °C: colonies have stopped expanding.` }
    : {
        is: 'expanding',
        sentence: `${days}, and were no warmer six weeks ago: winter ends, and colonies are about to expand. Nothing is reduced.`,
      };
}

function lineOf(
  state: YardState,
  { box, room }: InBox,
  free: readonly InBox[],
  season: WinterSeason,
): AutumnLine {
  const { on, constants } = season;
  const { colony, status, frames } = room;
  const strength = colony?.strength;
  const fresh =
    strength && daysBetween(strength.on, on) <= constants.countFresh_d ? strength.seams : undefined;
  const looked_kg = storesIn(state, box, room, on, constants);
  const weighed =
    looked_kg === undefined
      ? storesByWeight(state, box, room, plusDays(on, -constants.countFresh_d), constants)
      : undefined;
  const stores_kg = looked_kg ?? weighed?.stores_kg;
  const walls = winteringOf(box, room, fresh, constants);
  const carry_kg = walls && winterNeed({ ...walls, ...season }, constants) / constants.winterTakes;
  const short_kg = carry_kg !== undefined && stores_kg !== undefined ? Math.max(0, carry_kg - stores_kg) : 0;
  const inWinter = (with_kg: number) =>
    walls && forecastWinter({ ...walls, ...season, stores_kg: with_kg }, constants, PLAN_RUNS);
  const winter = stores_kg === undefined ? undefined : inWinter(stores_kg);
  // Where nobody starves, more stores change nothing of who dwindles.
  const fed = () => inWinter(carry_kg ?? 0);
  const line = {
    box,
    room,
    plan: colony && plannedOn(colony, on),
    seams: fresh,
    stores_kg,
    storesBy: looked_kg === undefined ? weighed?.by : ('looked' as const),
    carry_kg,
    sugar_kg: short_kg / STORES_OF_SUGAR,
    dwindled: (winter && winter.starved === 0 ? winter : fed())?.dwindled,
    winter,
    keeps: undefined,
  };
  if (withoutQueen(status))
    return {
      ...line,
      act: 'combine',
      why: 'No queen: with a neighbour that has one, before feed is spent on it.',
    };
  if (fresh === undefined)
    return {
      ...line,
      act: 'count',
      why: strength
        ? `Seams were counted ${showDay(strength.on, on)} last: again, from above, without digging.`
        : 'Its seams are not counted: from above, under the lid, without digging.',
    };
  if (colony?.notSeenOn && fresh < constants.smallSeams)
    return {
      ...line,
      act: 'count',
      why: 'Small, and its queen was looked for and not seen: worker brood first, before feed is spent on it.',
    };
  const dwindles = line.dwindled !== undefined && line.dwindled >= constants.dwindleRisk;
  const beside = box.compartments.find(
    (each) =>
      each.shares === undefined &&
      Math.abs(each.position - room.position) === 1 &&
      isAnother(each, room) &&
      !withoutQueen(each.status),
  );
  // Two that live side by side are a pair already, and may stay one.
  if (dwindles || (fresh < constants.smallSeams && !beside)) {
    return {
      ...line,
      act: 'pair',
      why: `${countOf(fresh, 'seam')} of bees${fresh < constants.smallSeams ? `, fewer than ${constants.smallSeams}` : `, and in this box it dwindles in ${wintersOfTen(line.dwindled ?? 0)}`}: ${beside ? `with ${beside.name} beside it it is a pair already; combined with it, they are one that lives` : 'combined, or as a pair over one divider with another'}.`,
    };
  }
  if (short_kg > 0 && stores_kg !== undefined && carry_kg !== undefined)
    return {
      ...line,
      act: 'feed',
      why: `${stores_kg.toFixed(1)} kg of stores, ${carry_kg.toFixed(1)} kg to carry: about ${(short_kg / STORES_OF_SUGAR).toFixed(1)} kg of sugar, liquid while days reach ${constants.liquidFeed_C} °C.`,
    };
  const useful = usefulFrames(state, box, room, season);
  const spare = frames - Math.max(fresh, useful ?? 0);
  if (spare >= constants.reduceSpare) {
    const keeps = Math.min(frames, Math.max(Math.ceil(fresh) + STORES_FRAMES, useful ?? 0));
    const smaller = smallerRoom({ box, room }, keeps, free, constants);
    return {
      ...line,
      keeps,
      act: 'reduce',
      why: `${countOf(fresh, 'seam')} of bees on ${countOf(frames, 'frame')}: to ${keeps}, the board against the last of them${smaller ? `; or down into ${roomName(smaller)}, which is free with ${smaller.room.frames}` : ''}.`,
    };
  }
  if (stores_kg === undefined)
    return {
      ...line,
      act: 'heft',
      why: 'Strong enough, and its stores are not known: heft it, or weigh it, before it is opened.',
    };
  const may = line.dwindled ?? 0;
  const { shortCheckedOn } = colony ?? {};
  const isChecked = shortCheckedOn !== undefined && daysBetween(shortCheckedOn, on) <= constants.countFresh_d;
  return {
    ...line,
    act: isChecked ? 'leave' : 'check',
    why: `Bees, queen, room and stores are as they should be: left alone${isChecked ? '' : ', but for the short check'}${may < ONE_IN_TEN ? '' : `, though it dwindles in ${wintersOfTen(may)}`}.`,
  };
}

/** The smallest free room of its frames that holds those that it keeps, and few more; smaller than its own. */
function smallerRoom(
  own: InBox,
  keeps: number,
  free: readonly InBox[],
  { winterRoomOver }: Constants,
): InBox | undefined {
  const formatOf = ({ box, room }: InBox) => box.model.compartments[room.position]?.frames[0]?.format.id;
  return free
    .filter(
      (each) =>
        each.room.frames >= keeps &&
        each.room.frames <= keeps + winterRoomOver &&
        each.room.frames < own.room.frames &&
        formatOf(each) === formatOf(own),
    )
    .sort((a, b) => a.room.frames - b.room.frames)[0];
}

/** Frames that stay by what they hold, those not looked through among them; undefined where fewer than half were. */
function usefulFrames(
  state: YardState,
  { box, model }: BoxView,
  room: CompartmentView,
  season: WinterSeason,
): number | undefined {
  const compartment = model.compartments[room.position];
  if (!compartment) return undefined;
  const combs = slotsOf(state, box, compartment, room)
    .filter(hangs)
    .map((slot) => combOf(slot, season));
  const unlooked = combs.filter((comb) => comb.unlooked).length;
  if (unlooked * 2 > combs.length) return undefined;
  return (
    unlooked +
    combs.filter((comb) => !comb.unlooked && STAYS.includes(holdsOf(comb.sides, season.constants))).length
  );
}

/** Stores on the frames that were looked through lately, in kg; undefined where they were fewer than half of all. */
function storesIn(
  state: YardState,
  { box, model }: BoxView,
  room: CompartmentView,
  on: Day,
  constants: Constants,
): number | undefined {
  const compartment = model.compartments[room.position];
  if (!compartment) return undefined;
  const slots = slotsOf(state, box, compartment, room).filter(hangs);
  const looked = slots.filter(
    ({ frame }) => frame?.audit && daysBetween(frame.audit.on, on) <= constants.countFresh_d,
  );
  if (looked.length * 2 < slots.length || looked.length === 0) return undefined;
  return looked.reduce((sum, { frame, slot }) => {
    const format = compartment.frames.find(({ id }) => id === slot)?.format;
    const sides = frame?.audit?.sides.reduce((all, { stores = 0 }) => all + stores, 0) ?? 0;
    return sum + (format ? sides * fullSide(format, constants) : 0);
  }, 0);
}

/** Share of winters: rarer than this is not said of a colony that is left alone. */
const ONE_IN_TEN = 0.1;
/** How often, in words: odds are not known to the percent. */
export function wintersOfTen(share: number): string {
  const tenths = Math.max(1, Math.round(share * 10));
  return tenths >= 10 ? 'nearly every winter' : `about ${countOf(tenths, 'winter')} of 10`;
}
