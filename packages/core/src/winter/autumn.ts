import type { RoomRole } from '@yellow-cell/contract';
import { combSide } from '../box/measures.ts';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import type { Constants } from '../constants/registry.ts';
import { STORES_OF_SUGAR } from '../feed/feeds.ts';
import { countOf } from '../say/words.ts';
import { boxPhysics } from '../warmth/boxPhysics.ts';
import { usualConditions } from '../warmth/conditions.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import type { Weather } from '../yard/due/expectation.ts';
import { recentMaximum } from '../yard/due/weather.ts';
import { slotsOf } from '../yard/slots.ts';
import type { YardState } from '../yard/state.ts';
import { beesOfSeams } from './cluster.ts';
import { forecastWinter, type WinterMonth } from './forecast.ts';
import { CARRY } from './reduce.ts';
import { storesByWeight } from './storesByWeight.ts';

/** What a colony is to be done to before winter: the cheapest look first where something is not known. */
export type AutumnAct = 'combine' | 'count' | 'pair' | 'reduce' | 'heft' | 'feed' | 'leave';

/** A colony before winter: what is known of it, what is to be done, and why. */
export interface AutumnLine {
  box: BoxView;
  room: CompartmentView;
  act: AutumnAct;
  why: string;
  seams: number | undefined;
  /** By the frames that were looked through, where half of them or more were, else by the weight of its box. */
  stores_kg: number | undefined;
  storesBy: 'looked' | 'weighed' | 'felt' | undefined;
  /** What the winter is likely to take, and a third more. */
  carry_kg: number | undefined;
  sugar_kg: number;
  /** Share of winters in which it starves with what it has, where that is known. */
  starved: number | undefined;
  /** Frames that it keeps once it is reduced. */
  keeps: number | undefined;
}

/** Kept beside the frames that bees cover. */
const STORES_FRAMES = 1;
/** What walls let through hangs little on the temperature that it is asked at. */
const OUTSIDE_C = 0;

const QUEENLESS = ['stocked', 'failed'];
/** These are made for days or weeks, and joined to others when they are done. */
const NOT_WINTERED: readonly RoomRole[] = ['starter', 'bank'];

/** The yard before winter, most pressing first: who is combined, counted, paired, reduced, hefted, fed, or left alone. */
export function autumnList(
  state: YardState,
  boxes: readonly BoxView[],
  { on, months, constants }: { on: Day; months: readonly WinterMonth[]; constants: Constants },
): AutumnLine[] {
  return boxes
    .flatMap((box) =>
      box.compartments.flatMap((room) =>
        room.colony && room.shares === undefined && !NOT_WINTERED.includes(room.role)
          ? lineOf(state, box, room, { on, months, constants })
          : [],
      ),
    )
    .sort((a, b) => ORDER.indexOf(a.act) - ORDER.indexOf(b.act));
}
const ORDER: readonly AutumnAct[] = ['combine', 'count', 'pair', 'feed', 'reduce', 'heft', 'leave'];

/** Whether colonies have stopped expanding, by the yard's own weather (handbook 7, when). */
export function autumnTime(
  weather: Weather,
  { reduceBelow_C }: Constants,
): { is: 'unknown' | 'expanding' | 'time'; sentence: string } {
  const recent = recentMaximum(weather);
  if (!recent)
    return {
      is: 'unknown',
      sentence:
        'Nothing is known of the weather of the last weeks: whether colonies still expand is yours to judge.',
    };
  const days = `Days reach ${recent.mean_C.toFixed(0)} °C in the mean of a fortnight`;
  return recent.mean_C >= reduceBelow_C
    ? {
        is: 'expanding',
        sentence: `${days}, ${reduceBelow_C} °C or more: colonies may still expand. Nothing is reduced yet; look down from above, and no further.`,
      }
    : { is: 'time', sentence: `${days}, below ${reduceBelow_C} °C: colonies have stopped expanding.` };
}

function lineOf(
  state: YardState,
  box: BoxView,
  room: CompartmentView,
  { on, months, constants }: { on: Day; months: readonly WinterMonth[]; constants: Constants },
): AutumnLine {
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
  const winter =
    fresh === undefined || fresh === 0 ? undefined : winterOf(box, room, fresh, stores_kg, months, constants);
  const carry_kg = winter && winter.need_kg * CARRY;
  const short_kg = carry_kg !== undefined && stores_kg !== undefined ? Math.max(0, carry_kg - stores_kg) : 0;
  const line = {
    box,
    room,
    seams: fresh,
    stores_kg,
    storesBy: looked_kg === undefined ? weighed?.by : ('looked' as const),
    carry_kg,
    sugar_kg: short_kg / STORES_OF_SUGAR,
    starved: stores_kg === undefined ? undefined : winter?.starved,
    keeps: undefined,
  };
  if (QUEENLESS.includes(status))
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
  if (fresh < constants.smallSeams) {
    const partner = box.compartments.find(
      (each) => each.shares === undefined && isAnother(each, room) && !QUEENLESS.includes(each.status),
    );
    return {
      ...line,
      act: 'pair',
      why: `${countOf(fresh, 'seam')} of bees, fewer than ${constants.smallSeams}: ${partner ? `as a pair with ${partner.name} over the divider, or combined with it` : 'combined, or as a pair over one divider with another'}.`,
    };
  }
  if (short_kg > 0 && stores_kg !== undefined && carry_kg !== undefined)
    return {
      ...line,
      act: 'feed',
      why: `${stores_kg.toFixed(1)} kg of stores, ${carry_kg.toFixed(1)} kg to carry: about ${(short_kg / STORES_OF_SUGAR).toFixed(1)} kg of sugar, liquid while days reach ${constants.liquidFeed_C} °C.`,
    };
  const spare = frames - fresh;
  if (spare >= constants.reduceSpare) {
    const keeps = Math.ceil(fresh) + STORES_FRAMES;
    return {
      ...line,
      keeps,
      act: 'reduce',
      why: `${countOf(fresh, 'seam')} of bees on ${countOf(frames, 'frame')}: to ${keeps}, the board against the last of them.`,
    };
  }
  if (stores_kg === undefined)
    return {
      ...line,
      act: 'heft',
      why: 'Strong enough, and its stores are not known: heft it, or weigh it, before it is opened.',
    };
  return { ...line, act: 'leave', why: 'Bees, queen, room and stores are as they should be: left alone.' };
}

/** Whether other bees live in a room than in this. */
const isAnother = (other: CompartmentView, { colony }: CompartmentView): boolean =>
  other.colony !== undefined && other.colony.id !== colony?.id;

/** Stores on the frames that were looked through lately, in kg; undefined where they were fewer than half of all. */
function storesIn(
  state: YardState,
  { box, model }: BoxView,
  room: CompartmentView,
  on: Day,
  { honey_gcm2, countFresh_d }: Constants,
): number | undefined {
  const compartment = model.compartments[room.position];
  if (!compartment) return undefined;
  const slots = slotsOf(state, box, compartment, room).filter(({ is }) => is === 'told' || is === 'untold');
  const looked = slots.filter(({ frame }) => frame?.audit && daysBetween(frame.audit.on, on) <= countFresh_d);
  if (looked.length * 2 < slots.length || looked.length === 0) return undefined;
  return looked.reduce((sum, { frame, slot }) => {
    const format = compartment.frames.find(({ id }) => id === slot)?.format;
    const sides = frame?.audit?.sides.reduce((all, { stores = 0 }) => all + stores, 0) ?? 0;
    return sum + (format ? (sides * combSide(format) * honey_gcm2) / 1_000 : 0);
  }, 0);
}

/** What a winter takes of so many bees in their room, with their neighbours as warm as they are, and how often it starves them. */
function winterOf(
  { design, model, compartments }: BoxView,
  room: CompartmentView,
  seams: number,
  stores_kg: number | undefined,
  months: readonly WinterMonth[],
  constants: Constants,
): { need_kg: number; starved: number } | undefined {
  const compartment = model.compartments[room.position];
  const pitch_mm = compartment?.frames[0]?.format.pitch_mm;
  if (!compartment || pitch_mm === undefined) return undefined;
  const { constants: _, ...conditions } = usualConditions(
    { outside_C: OUTSIDE_C, bees: 'resting', brood: false },
    constants,
  );
  const physics = physicsOf(design, { ...conditions, constants });
  const each = physics.compartments.find(({ spaces }) => spaces[0] === compartment.spaces[0]);
  const neighbours = compartments.some((other) => isAnother(other, room));
  const ua_WK = neighbours ? each?.sharedUa_WK : each?.ua_WK;
  const bees_kg = beesOfSeams(seams, pitch_mm);
  if (ua_WK === undefined || ua_WK <= 0 || bees_kg <= 0) return undefined;
  const plenty = forecastWinter({ bees_kg, ua_WK, stores_kg: PLENTY_KG, months }, constants);
  const need_kg = PLENTY_KG - (plenty.months.at(-1)?.middle_kg ?? PLENTY_KG);
  const starved =
    stores_kg === undefined ? 0 : forecastWinter({ bees_kg, ua_WK, stores_kg, months }, constants).starved;
  return { need_kg, starved };
}
/** More than any winter takes: what is used of it is what is needed. */
const PLENTY_KG = 100;

/** The walls of a box are the same for all built like it: worked out once for a design and its figures. */
const physicsKept = new WeakMap<object, { constants: Constants; physics: ReturnType<typeof boxPhysics> }>();
function physicsOf(
  design: BoxView['design'],
  conditions: Parameters<typeof boxPhysics>[1] & { constants: Constants },
) {
  const found = physicsKept.get(design);
  if (found && found.constants === conditions.constants) return found.physics;
  const physics = boxPhysics(design, conditions);
  physicsKept.set(design, { constants: conditions.constants, physics });
  return physics;
}
