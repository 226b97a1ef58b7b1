import type { WinterAct } from '@yellow-cell/contract';
import type { Compartment } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import { STORES_OF_SUGAR } from '../feed/feeds.ts';
import type { Row } from '../warmth/row.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import type { AutumnLine } from './autumn.ts';
import { type End, fitCavity } from './cavity.ts';
import { beesOfSeams } from './cluster.ts';
import { comesThrough, forecastWinter, type WinterPlan, winterNeed } from './forecast.ts';
import type { WinterSeason } from './preparation.ts';
import { uaOf } from './uaOf.ts';
import { keepsOf, type YardWay } from './yardWay.ts';

/** Fewer runs than for one colony alone: hundreds of ways are held against one another. */
const RUNS = 60;

/** A room that can be wintered in, and how it is built. */
export interface Room {
  box: BoxView;
  room: CompartmentView;
  compartment: Compartment;
}

export function roomOf(box: BoxView, room: CompartmentView): Room | undefined {
  const compartment = box.model.compartments[room.position];
  return compartment && compartment.frames.length > 0 ? { box, room, compartment } : undefined;
}

/** The winter of a colony in one of its ways. */
export interface WayWinter {
  pitch_mm: number;
  plan: Omit<WinterPlan, 'stores_kg'>;
  stores_kg: number;
  loss: number;
  sugar_kg: number;
}

/** The winter of a colony in one of its ways, by itself: nobody beside it. Undefined of one that joins another. */
export function winterOfWay(way: YardWay, season: WinterSeason): WayWinter | undefined {
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
export function lossOf(
  plan: Omit<WinterPlan, 'stores_kg'>,
  known_kg: number | undefined,
  pitch_mm: number,
  { constants }: WinterSeason,
): { stores_kg: number; sugar_kg: number; loss: number } {
  const carry_kg = winterNeed(plan, constants) / constants.winterTakes;
  const stores_kg = Math.max(carry_kg, known_kg ?? 0);
  const least_kg = beesOfSeams(constants.springSeams, pitch_mm, constants.litresPerKg);
  const forecast = forecastWinter({ ...plan, stores_kg }, constants, RUNS);
  const sugar_kg = known_kg === undefined ? 0 : Math.max(0, carry_kg - known_kg) / STORES_OF_SUGAR;
  return { stores_kg, sugar_kg, loss: 1 - comesThrough(forecast, least_kg) };
}

/** What the room lets through, reduced or as it is, with one of the rooms beside it lived in, or none. */
export function wallsOf(
  { box, room, compartment }: Room,
  act: WinterAct,
  line: AutumnLine,
  constants: Constants,
  beside?: number,
  row?: Row,
): number {
  const bays = new Set(beside === undefined ? [] : box.compartments[beside]?.bays);
  const end: End = beside !== undefined && beside > room.position ? 'right' : 'left';
  const fit = act === 'reduce' ? fitCavity(box.design, compartment, keepsOf(line), end) : undefined;
  return (
    (fit && 'room' in fit
      ? uaOf(fit.design, fit.room, bays, constants, constants.winterInsulation_mm, row)
      : uaOf(box.design, compartment, bays, constants, 0, row)) ?? 0
  );
}
