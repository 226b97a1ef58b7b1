import type { Colony, CombSide, DesignContent } from '@yellow-cell/contract';
import type { Compartment } from '../box/model.ts';
import { type Day, daysBetween } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { STORES_OF_SUGAR, SYRUPS } from '../feed/feeds.ts';
import { above } from '../numbers.ts';
import { countOf } from '../say/words.ts';
import type { Row } from '../warmth/row.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import { type FrameSlot, hangs, slotsOf } from '../yard/slots.ts';
import type { YardState } from '../yard/state.ts';
import { type End, type FollowerPlace, fitCavity } from './cavity.ts';
import { beesOfSeams } from './cluster.ts';
import {
  forecastWinter,
  PLAN_RUNS,
  type WinterForecast,
  type WinterMonth,
  type WinterPlan,
  winterNeed,
} from './forecast.ts';
import { type CombToReduce, fullSide, type Holds, holdsOf, reduceCombs } from './reduce.ts';
import { uaOf } from './uaOf.ts';

/** Where the stores go, by school (handbook 7, arrangement). */
export type School = 'sun' | 'both' | 'behind';
/** A frame that stays, in the order from the left; turned round or not. */
export interface KeptFrame {
  slot: string;
  turned: boolean;
}
/** How a colony is to be wintered: the school, the ends, the follower, and where a breeder has it otherwise, the frames. */
export interface Arrangement {
  school: School;
  sunSide: End;
  /** The wall, or the board of a partner, that the bees are kept at. */
  end: End;
  follower: boolean;
  insulation_mm: number;
  /** The frames that stay as the breeder has them; left out, as the rules have them. */
  kept?: readonly KeptFrame[];
}
/** What winter is reckoned with. */
export interface WinterSeason {
  on: Day;
  /** What is left of the winter, from `on` where that is within it. */
  months: readonly WinterMonth[];
  since_d: number;
  constants: Constants;
}

export interface PreparedFrame {
  slot: FrameSlot;
  holds: Holds;
  verdict: 'keep' | 'turn' | 'out';
  why: string;
  /** Its place of those kept, 1 from the left; null where it comes out. */
  to: number | null;
  turned: boolean;
  /** What the rules say, where the breeder has it otherwise. */
  ruled?: 'keep' | 'turn' | 'out';
  stores_kg: number | undefined;
}
/** A cavity with the winter of the bees in it. */
export interface CavityWinter {
  frames: number;
  litres: number;
  ua_WK: number;
  /** Undefined where its seams, or its stores, are not known. */
  forecast: WinterForecast | undefined;
}
export interface Preparation {
  frames: readonly PreparedFrame[];
  asItIs: CavityWinter;
  fitted: CavityWinter;
  /** Where the follower is to stand, or why there is none. */
  follower: FollowerPlace | { why: string } | undefined;
  stores_kg: number | undefined;
  /** Of the frames that stay, once they are full where they are drawn. */
  holds_kg: number;
  need_kg: number | undefined;
  carry_kg: number | undefined;
  short_kg: number;
  sugar_kg: number;
  syrup_l: number;
  notes: readonly string[];
}

const FEEDER_FIRST =
  'A frame feeder hangs among the frames: it comes out first, or goes to the end behind the follower.';
/** Kept beside the frames that bees cover, where their frames were not looked through. */
export const STORES_FRAMES = 1;

/**
 * One colony before winter, frame by frame: what stays and where, the cavity before and after, what is to be fed, and
 * both winters. `seams` and `stores_kg` undefined are not known, and what hangs on them is not said.
 */
export function prepareRoom(
  state: YardState,
  box: BoxView,
  room: CompartmentView,
  known: { seams: number | undefined; stores_kg: number | undefined },
  arrangement: Arrangement,
  season: WinterSeason,
): Preparation | undefined {
  const compartment = box.model.compartments[room.position];
  const format = compartment?.frames[0]?.format;
  if (!compartment || !format) return undefined;
  const { constants } = season;
  const side_kg = fullSide(format, constants);
  const hung = slotsOf(state, box.box, compartment, room).filter(hangs);
  const combs = hung.map((each) => combOf(each, season));
  const wintering = (design: DesignContent, own: Compartment, insulation_mm: number) =>
    winteringOf(box, room, known.seams, constants, { design, own, insulation_mm });
  const asIs = wintering(box.design, compartment, 0);
  const need = (walls: Wintering | undefined) => walls && winterNeed({ ...walls, ...season }, constants);
  const hasFeeder = compartment.frames.some(({ holds }) => holds === 'feeder');
  const cavityOf = (frames: number) =>
    !arrangement.follower
      ? undefined
      : hasFeeder
        ? { why: FEEDER_FIRST }
        : fitCavity(box.design, compartment, frames, arrangement.end);
  const guess =
    known.seams === undefined ? hung.length : Math.min(hung.length, Math.ceil(known.seams) + STORES_FRAMES);
  const ruledFor = (need_kg: number) =>
    reduceCombs(
      { ...arrangement, format, slots: combs, seams: known.seams ?? hung.length, need_kg },
      constants,
    );
  const firstFit = cavityOf(guess);
  const first_kg = need(
    firstFit && 'room' in firstFit
      ? wintering(firstFit.design, firstFit.room, arrangement.insulation_mm)
      : asIs,
  );
  const ruled = ruledFor(first_kg ?? 0);
  const frames = framesOf(hung, combs, ruled, arrangement.kept, side_kg, constants);
  const kept = frames.filter(({ to }) => to !== null);
  const fit = cavityOf(kept.length);
  const after =
    fit && 'room' in fit
      ? { ...cavity(fit.room), walls: wintering(fit.design, fit.room, arrangement.insulation_mm) }
      : { ...cavity(compartment), frames: kept.length, walls: asIs };
  const need_kg = need(after.walls);
  const onFrames = kept.every(({ stores_kg }) => stores_kg !== undefined) || known.stores_kg === undefined;
  const looked_kg = kept.reduce((sum, { stores_kg = 0 }) => sum + stores_kg, 0);
  const stores_kg =
    known.stores_kg === undefined
      ? undefined
      : onFrames
        ? looked_kg
        : Math.min(known.stores_kg, holdsIn(kept, combs, hung, side_kg));
  const carry_kg = need_kg && need_kg / constants.winterTakes;
  const short_kg = carry_kg === undefined || stores_kg === undefined ? 0 : Math.max(0, carry_kg - stores_kg);
  const holds_kg = holdsIn(kept, combs, hung, side_kg);
  const sugar_kg = short_kg / STORES_OF_SUGAR;
  const through = (walls: Wintering | undefined, with_kg: number | undefined) =>
    walls && with_kg !== undefined
      ? forecastWinter({ ...walls, ...season, stores_kg: with_kg }, constants, PLAN_RUNS)
      : undefined;
  return {
    frames,
    asItIs: {
      ...cavity(compartment),
      frames: hung.length,
      ua_WK: asIs?.ua_WK ?? 0,
      forecast: through(asIs, known.stores_kg),
    },
    fitted: {
      frames: after.frames,
      litres: after.litres,
      ua_WK: after.walls?.ua_WK ?? 0,
      forecast: through(
        after.walls,
        stores_kg === undefined ? undefined : Math.min(holds_kg, stores_kg + short_kg),
      ),
    },
    follower: fit && ('room' in fit ? fit.place : fit),
    stores_kg,
    holds_kg,
    need_kg,
    carry_kg,
    short_kg,
    sugar_kg,
    syrup_l: sugar_kg / SYRUPS.syrup21.sugar_kgPerLitre,
    notes: [
      ...unlookedNote(frames),
      ...ruled.notes,
      ...(carry_kg !== undefined && above(carry_kg, holds_kg)
        ? [
            `The combs that stay hold ${holds_kg.toFixed(1)} kg, less than is to be carried: one more drawn comb stays, or it is fed on in winter.`,
          ]
        : []),
    ],
  };
}

function unlookedNote(frames: readonly PreparedFrame[]): string[] {
  const unlooked = frames.filter(({ holds }) => holds === 'unlooked').length;
  if (unlooked === 0) return [];
  return [
    `${unlooked === frames.length ? 'None of its frames was' : `${countOf(unlooked, 'frame was', 'frames were')} not`} looked through lately: what was not stays until it is known what it holds.`,
  ];
}

const cavity = ({ frames, measures: { litres } }: Compartment) => ({ frames: frames.length, litres });

/** Bees in a room's walls, with those over the dividers beside it. */
export interface Wintering extends Pick<WinterPlan, 'bees_kg' | 'ua_WK' | 'company_kg'> {
  pitch_mm: number;
}

/** A colony of so many seams in its room, or in the room that a changed box has for it; undefined where its seams or its frames are not known. */
export function winteringOf(
  box: BoxView,
  room: CompartmentView,
  seams: number | undefined,
  constants: Constants,
  as: { design: DesignContent; own: Compartment; insulation_mm: number } | undefined = undefined,
): Wintering | undefined {
  const own = as?.own ?? box.model.compartments[room.position];
  const pitch_mm = own?.frames[0]?.format.pitch_mm;
  if (!own || pitch_mm === undefined || seams === undefined || seams <= 0) return undefined;
  const others = box.compartments.filter((each) => isAnother(each, room));
  const lived = new Set(others.flatMap(({ bays }) => bays));
  const row = room.colony && pushedRow(room.colony);
  const walls = uaOf(as?.design ?? box.design, own, lived, constants, as?.insulation_mm ?? 0, row);
  if (walls === undefined || walls <= 0) return undefined;
  const company_kg = others
    .filter(({ position, shares }) => shares === undefined && Math.abs(position - room.position) === 1)
    .reduce(
      (sum, { colony }) => sum + beesOfSeams(colony?.strength?.seams ?? 0, pitch_mm, constants.litresPerKg),
      0,
    );
  return { bees_kg: beesOfSeams(seams, pitch_mm, constants.litresPerKg), ua_WK: walls, company_kg, pitch_mm };
}

/** Two boxes whose walls touch; of the two, where that is not told, the first. */
export const pushedRow = ({ winter }: Pick<Colony, 'winter'>): Row | undefined =>
  winter?.preparedOn && winter.pushedTo ? { boxes: 2, place: 0 } : undefined;

export const isAnother = (other: CompartmentView, { colony }: CompartmentView): boolean =>
  other.colony !== undefined && other.colony.id !== colony?.id;

/** A frame as the rules of reducing ask for it: what it holds by the last look, while that is fresh. */
export function combOf({ number, frame }: FrameSlot, { on, constants }: WinterSeason): CombToReduce {
  const audit = frame?.audit;
  if (!audit || daysBetween(audit.on, on) > constants.countFresh_d) return { slot: number, unlooked: true };
  const [near, far] = audit.sides;
  return { slot: number, sides: [sideOf(near), sideOf(far)] };
}

function sideOf(side: CombSide) {
  const { stores = 0, pollen = 0, partDrawn = 0, foundation = 0 } = side;
  const brood = (side.eggs ?? 0) + (side.openBrood ?? 0) + (side.sealed ?? 0) + (side.drone ?? 0);
  // What is drawn in part counts by half, but never for less than what it holds.
  const drawn = Math.max(1 - foundation - partDrawn / 2, stores + pollen + brood);
  return { stores, pollen, brood, drawn: Math.min(1, Math.max(0, drawn)) };
}

type Ruled = ReturnType<typeof reduceCombs>;

function framesOf(
  hung: readonly FrameSlot[],
  combs: readonly CombToReduce[],
  ruled: Ruled,
  kept: readonly KeptFrame[] | undefined,
  side_kg: number,
  constants: Constants,
): PreparedFrame[] {
  return hung.map((slot, index): PreparedFrame => {
    const comb = combs[index];
    const rule = ruled.frames.find((each) => each.slot === slot.number);
    const sides = comb?.sides;
    const base = {
      slot,
      holds: comb?.unlooked ? ('unlooked' as const) : holdsOf(sides, constants),
      verdict: rule?.verdict ?? 'out',
      why: rule?.why ?? '',
      to: rule?.to ?? null,
      turned: rule?.turned ?? false,
      stores_kg: sides && (sides[0].stores + sides[1].stores) * side_kg,
    };
    if (!kept) return base;
    const at = kept.findIndex((each) => each.slot === slot.slot);
    const turned = kept[at]?.turned ?? false;
    const verdict = at < 0 ? 'out' : turned ? 'turn' : 'keep';
    const to = at < 0 ? null : at + 1;
    return { ...base, verdict, to, turned, ...(verdict === base.verdict ? {} : { ruled: base.verdict }) };
  });
}

/** What drawn combs hold of stores where they are full, brood left out, in kg; of one that was not looked through, both sides. */
function holdsIn(
  kept: readonly PreparedFrame[],
  combs: readonly CombToReduce[],
  hung: readonly FrameSlot[],
  side_kg: number,
): number {
  return kept.reduce((sum, { slot }) => {
    const sides = combs[hung.indexOf(slot)]?.sides;
    const room = sides ? sides.reduce((all, { drawn, brood }) => all + Math.max(0, drawn - brood), 0) : 2;
    return sum + room * side_kg;
  }, 0);
}
