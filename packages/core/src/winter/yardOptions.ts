import type { WinterAct, WinteringQuestion } from '@yellow-cell/contract';
import type { Compartment } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import { STORES_OF_SUGAR } from '../feed/feeds.ts';
import { countOf } from '../say/words.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import { withoutQueen } from '../yard/withoutQueen.ts';
import type { AutumnLine } from './autumn.ts';
import { type End, fitCavity } from './cavity.ts';
import { beesOfSeams, seamsOfBees } from './cluster.ts';
import { comesThrough, forecastWinter, type WinterPlan, winterNeed } from './forecast.ts';
import { STORES_FRAMES, type WinterSeason } from './preparation.ts';
import { CARRY } from './reduce.ts';
import { uaOf } from './uaOf.ts';

/** One way to winter a colony, as a plan of it is entered. */
export interface YardWay {
  act: WinterAct;
  line: AutumnLine;
  /** The room that it winters in, its own or another. */
  at?: { box: BoxView; room: CompartmentView };
  /** The colony that it joins. */
  into?: AutumnLine;
  sugar_kg: number;
}
export interface YardChoice {
  question: WinteringQuestion;
  /** Ways as they stand in the question, colony by colony. */
  ways: readonly (readonly YardWay[])[];
  /** Colonies of which too little is known to choose for them. */
  unknown: readonly AutumnLine[];
}

/** Fewer runs than for one colony alone: hundreds of ways are held against one another. */
const RUNS = 60;
/** Free rooms that a colony may move to are so many, its own box’s first: forty boxes have more than can be weighed. */
const MOST_ROOMS = 20;
/** Company that saves least is left out beyond so many. */
const MOST_PAIRS = 5_000;
/** Who may join whom is asked of so many, the nearest in walking order. */
const NEAREST = 6;

interface Room {
  box: BoxView;
  room: CompartmentView;
  compartment: Compartment;
}

/**
 * A yard before winter as one choice (handbook 7, whole yard): each colony stays, is reduced, moves into a free room,
 * or joins another; company over a divider counts for both. Its prices are those of a colony, a kilogram, an hour.
 */
export function yardChoice(
  lines: readonly AutumnLine[],
  boxes: readonly BoxView[],
  season: WinterSeason,
  prices: WinteringQuestion['prices'],
): YardChoice {
  const { constants } = season;
  const known = lines.filter(({ seams }) => seams !== undefined && seams > 0);
  const free = boxes.flatMap((box): Room[] =>
    box.compartments.flatMap((room) => (room.colony ? [] : (roomOf(box, room) ?? []))),
  );
  const index = new Map(known.map((line, at) => [line, at]));
  const joined = (line: AutumnLine): boolean => withoutQueen(line.room.status);
  const ways = known.map((line, at): YardWay[] => {
    const near = known.filter(
      (other, place) =>
        other !== line && !joined(other) && Math.abs(place - at) <= NEAREST && takes(other, line, constants),
    );
    const joins = near.map((into): YardWay => ({ act: 'combine', line, into, sugar_kg: 0 }));
    const own = roomOf(line.box, line.room);
    if (joined(line) && joins.length > 0) return joins;
    const stays: YardWay = { act: 'leave', line, at: line, sugar_kg: 0 };
    const seams = line.seams ?? 0;
    const reduces: YardWay[] =
      line.room.frames - seams >= constants.reduceSpare
        ? [{ act: 'reduce', line, at: line, sugar_kg: 0 }]
        : [];
    const fits = free.filter(
      ({ room, compartment }) =>
        room.frames >= Math.ceil(seams) &&
        room.frames <= Math.ceil(seams) + constants.winterRoomOver &&
        compartment.frames[0]?.format.id === own?.compartment.frames[0]?.format.id,
    );
    const nearest = fits
      .toSorted((a, b) => Number(b.box === line.box) - Number(a.box === line.box))
      .slice(0, MOST_ROOMS);
    return [
      stays,
      ...reduces,
      ...nearest.map((to): YardWay => ({ act: 'move', line, at: to, sugar_kg: 0 })),
      ...(line.dwindled !== undefined && line.dwindled > 0 ? joins : []),
    ];
  });
  const winters = ways.map((some) => some.map((way) => wintersOf(way, season)));
  const question: WinteringQuestion = {
    prices,
    colonies: known.map((line, colony) => ({
      name: nameOf(line.box, line.room),
      options: (ways[colony] ?? []).map((way, option) => {
        const winter = winters[colony]?.[option];
        way.sugar_kg = winter?.sugar_kg ?? 0;
        return {
          does: doing(way),
          ...(way.at ? { room: `${way.at.box.box.id} ${way.at.room.position}` } : {}),
          ...(way.into ? { joins: index.get(way.into) ?? 0 } : {}),
          loss: winter?.loss ?? 1,
          sugar_kg: way.sugar_kg,
          work_min: workOf(way, constants),
        };
      }),
    })),
    together: [],
    fixed: fixedIn(ways),
  };
  const pairs = company(ways, winters, season);
  question.together = [...pairs, ...reinforced(ways, winters, { pairs, index, season })]
    .sort((a, b) => b.gain - a.gain)
    .slice(0, MOST_PAIRS);
  return { question, ways, unknown: lines.filter((line) => !known.includes(line)) };
}

/** What is planned by hand already is not chosen anew. */
function fixedIn(ways: readonly (readonly YardWay[])[]): NonNullable<WinteringQuestion['fixed']> {
  return ways.flatMap((some, colony) => {
    const plan = some[0]?.line.plan;
    if (!plan) return [];
    const option = some.findIndex(({ act, at, into }) => {
      if (plan.act === 'combine') return act === 'combine' && into?.room.colony?.id === plan.with?.colony;
      if (plan.act === 'move' || plan.act === 'pair')
        return act === 'move' && at?.box.box.id === plan.to?.box;
      return act === (plan.act === 'reduce' ? 'reduce' : 'leave');
    });
    return option < 0 ? [] : [{ colony, option }];
  });
}

const nameOf = (box: BoxView, room: CompartmentView): string =>
  box.compartments.length > 1 ? `${box.box.label} ${room.name}` : box.box.label;

/** A way as a sentence names it. */
export function doing({ act, line, at, into }: YardWay): string {
  switch (act) {
    case 'combine':
      return `joins ${into ? nameOf(into.box, into.room) : ''}`;
    case 'move':
      return `moves to ${at ? nameOf(at.box, at.room) : ''}`;
    case 'reduce':
      return `is reduced to ${countOf(keepsOf(line), 'frame')}`;
    default:
      return 'stays as it is';
  }
}

/** The fewer join the more, and both find room where these live. */
function takes(
  { seams: own = 0, room, box }: AutumnLine,
  { seams = 0, room: { status } }: AutumnLine,
  { litresPerKg }: Constants,
): boolean {
  const pitch_mm = box.model.compartments[room.position]?.frames[0]?.format.pitch_mm ?? 0;
  const bees = (count: number) => beesOfSeams(count, pitch_mm, litresPerKg);
  const together = seamsOfBees(bees(own) + bees(seams), pitch_mm, litresPerKg);
  return together <= room.frames && (seams <= own || withoutQueen(status));
}

function workOf({ act, sugar_kg }: YardWay, constants: Constants): number {
  const { winterLeave_min, winterReduce_min, winterMove_min, winterCombine_min, winterFeed_min } = constants;
  const own = {
    reduce: winterReduce_min,
    move: winterMove_min,
    pair: winterMove_min,
    combine: winterCombine_min,
  };
  return (
    (act === 'leave' || act === 'feed' ? winterLeave_min : own[act]) + (sugar_kg > 0 ? winterFeed_min : 0)
  );
}

const keepsOf = ({ seams = 0, keeps }: AutumnLine): number => keeps ?? Math.ceil(seams) + STORES_FRAMES;

function roomOf(box: BoxView, room: CompartmentView): Room | undefined {
  const compartment = box.model.compartments[room.position];
  return compartment && compartment.frames.length > 0 ? { box, room, compartment } : undefined;
}

interface WayWinter {
  pitch_mm: number;
  plan: Omit<WinterPlan, 'stores_kg'>;
  stores_kg: number;
  loss: number;
  sugar_kg: number;
}

/** The winter of a colony in one of its ways, by itself: nobody beside it. Undefined of one that joins another. */
function wintersOf(way: YardWay, season: WinterSeason): WayWinter | undefined {
  const { line, at, act } = way;
  const own = at && roomOf(at.box, at.room);
  if (!own) return undefined;
  const { constants } = season;
  const pitch_mm = own.compartment.frames[0]?.format.pitch_mm ?? 0;
  const plan = {
    bees_kg: beesOfSeams(line.seams ?? 0, pitch_mm, constants.litresPerKg),
    ua_WK: wallsOf(own, act, line, constants),
    months: season.months,
    since_d: season.since_d,
  };
  return { plan, pitch_mm, ...lossOf(plan, line.stores_kg, pitch_mm, season) };
}

/** Fed to what it needs and a third more: what it wants of sugar, and how likely it is dead or too small in spring. */
function lossOf(
  plan: Omit<WinterPlan, 'stores_kg'>,
  known_kg: number | undefined,
  pitch_mm: number,
  { constants }: WinterSeason,
): { stores_kg: number; sugar_kg: number; loss: number } {
  const carry_kg = winterNeed(plan, constants) * CARRY;
  const stores_kg = Math.max(carry_kg, known_kg ?? 0);
  const least_kg = beesOfSeams(constants.springSeams, pitch_mm, constants.litresPerKg);
  const forecast = forecastWinter({ ...plan, stores_kg }, constants, RUNS);
  const sugar_kg = known_kg === undefined ? 0 : Math.max(0, carry_kg - known_kg) / STORES_OF_SUGAR;
  return { stores_kg, sugar_kg, loss: 1 - comesThrough(forecast, least_kg) };
}

/** What the room lets through, reduced or as it is, with one of the rooms beside it lived in, or none. */
function wallsOf(
  { box, room, compartment }: Room,
  act: WinterAct,
  line: AutumnLine,
  constants: Constants,
  beside?: number,
): number {
  const bays = new Set(beside === undefined ? [] : box.compartments[beside]?.bays);
  const end: End = beside !== undefined && beside > room.position ? 'right' : 'left';
  const fit = act === 'reduce' ? fitCavity(box.design, compartment, keepsOf(line), end) : undefined;
  return (
    (fit && 'room' in fit
      ? uaOf(fit.design, fit.room, bays, constants, constants.winterInsulation_mm)
      : uaOf(box.design, compartment, bays, constants, 0)) ?? 0
  );
}

type Together = WinteringQuestion['together'][number];

/** Two that winter side by side over a divider, whoever they are: less is lost of both. */
function company(
  ways: readonly (readonly YardWay[])[],
  winters: readonly (readonly (WayWinter | undefined)[])[],
  season: WinterSeason,
): Together[] {
  const housed = ways.flatMap((some, colony) =>
    some.flatMap((way, option) => {
      const winter = winters[colony]?.[option];
      return way.at && winter ? [{ way, at: way.at, winter, colony, option }] : [];
    }),
  );
  return housed.flatMap((a) =>
    housed.flatMap((b): Together[] => {
      if (b.colony <= a.colony || a.at.box.box.id !== b.at.box.box.id) return [];
      if (Math.abs(a.at.room.position - b.at.room.position) !== 1) return [];
      const gain = gainOf(a.way, a.winter, b.way, season) + gainOf(b.way, b.winter, a.way, season);
      return gain > LEAST_GAIN
        ? [{ a: { colony: a.colony, option: a.option }, b: { colony: b.colony, option: b.option }, gain }]
        : [];
    }),
  );
}
const LEAST_GAIN = 0.005;

/** How much less likely a colony is lost with another beside it; where two may be, each counts for half at most. */
function gainOf(way: YardWay, alone: WayWinter, other: YardWay, season: WinterSeason): number {
  const own = way.at && roomOf(way.at.box, way.at.room);
  if (!own || !other.at || alone.loss === 0) return 0;
  const { constants } = season;
  const ua_WK = wallsOf(own, way.act, way.line, constants, other.at.room.position);
  const pitch_mm = own.compartment.frames[0]?.format.pitch_mm ?? 0;
  const company_kg = beesOfSeams(other.line.seams ?? 0, pitch_mm, constants.litresPerKg);
  const { loss } = lossOf({ ...alone.plan, ua_WK, company_kg }, way.line.stores_kg, pitch_mm, season);
  const between = own.room.position > 0 && own.room.position < own.box.compartments.length - 1;
  return Math.min(Math.max(0, alone.loss - loss), between ? alone.loss / 2 : alone.loss);
}

/** Who is joined by another has more bees to winter with. */
function reinforced(
  ways: readonly (readonly YardWay[])[],
  winters: readonly (readonly (WayWinter | undefined)[])[],
  {
    pairs,
    index,
    season,
  }: { pairs: readonly Together[]; index: ReadonlyMap<AutumnLine, number>; season: WinterSeason },
): Together[] {
  // What company saves already is not saved again: no more than all of a loss.
  const saved = (colony: number, option: number): number =>
    Math.max(
      0,
      ...pairs
        .filter(({ a, b }) => [a, b].some((at) => at.colony === colony && at.option === option))
        .map(({ gain }) => gain),
    );
  return ways.flatMap((some, colony) =>
    some.flatMap((way, option) => {
      const target = way.into === undefined ? undefined : index.get(way.into);
      if (target === undefined) return [];
      return (ways[target] ?? []).flatMap((of, at): Together[] => {
        const winter = winters[target]?.[at];
        if (!winter || winter.loss === 0 || of.act === 'combine') return [];
        const pitch_mm =
          of.line.box.model.compartments[of.line.room.position]?.frames[0]?.format.pitch_mm ?? 0;
        const bees_kg =
          winter.plan.bees_kg + beesOfSeams(way.line.seams ?? 0, pitch_mm, season.constants.litresPerKg);
        const { loss } = lossOf({ ...winter.plan, bees_kg }, winter.stores_kg, winter.pitch_mm, season);
        const gain = Math.min(winter.loss - loss, winter.loss - saved(target, at));
        return gain > LEAST_GAIN ? [{ a: { colony, option }, b: { colony: target, option: at }, gain }] : [];
      });
    }),
  );
}
