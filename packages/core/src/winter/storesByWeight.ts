import type { DesignContent, Format } from '@yellow-cell/contract';
import { seamBees } from '../box/measures.ts';
import type { Day } from '../calendar/days.ts';
import { parts, partsProblems } from '../carpentry/parts.ts';
import type { Constants } from '../constants/registry.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import { hangs, slotsOf } from '../yard/slots.ts';
import type { YardState } from '../yard/state.ts';
import { beesOfSeams } from './cluster.ts';
import { fullSide } from './reduce.ts';

/** Of a colony by the weight of its whole box, in kg; what is felt, hefted by hand, is a guess. */
export interface WeighedStores {
  stores_kg: number;
  by: 'weighed' | 'felt';
}

/**
 * Stores in a room by what its box weighed last, or another time, not before `since` (handbook 1, heft): the weight without the box's
 * own parts, its frames with their combs and its bees, shared among the rooms that are lived in by their frames. Where
 * bees were not counted lately they are taken for as many as their frames hold, and brood and damp wood for stores.
 * Undefined where it was not weighed since, stands so that its parts cannot be listed, or weighed more than its combs
 * can hold: something else was on the scale.
 */
export function storesByWeight(
  state: YardState,
  { box, design, model, compartments }: BoxView,
  room: CompartmentView,
  since: Day,
  constants: Constants,
  weighed = box.weights?.findLast(({ on }) => on >= since),
): WeighedStores | undefined {
  if (!weighed || !room.colony) return undefined;
  const lived = compartments.flatMap((each) => (each.colony ? [framesIn(state, box, model, each)] : []));
  const hung = framesOf(lived);
  const own = framesOf(lived.filter(({ room: { colony } }) => colony?.id === room.colony?.id));
  const empty_kg = emptyWeight(design, constants);
  if (own === 0 || empty_kg === undefined) return undefined;
  const bees_kg = lived.reduce((sum, each) => sum + beesIn(each, since, constants), 0);
  const stores_kg = weighed.weight_kg - empty_kg - hung * constants.frame_kg - bees_kg;
  const most_kg = lived.reduce(
    (sum, { frames, format }) => sum + (format ? frames * 2 * fullSide(format, constants) : 0),
    0,
  );
  if (stores_kg > most_kg) return undefined;
  return { stores_kg: (Math.max(0, stores_kg) * own) / hung, by: weighed.felt ? 'felt' : 'weighed' };
}

interface Lived {
  room: CompartmentView;
  frames: number;
  format: Format | undefined;
}

const framesOf = (rooms: readonly Lived[]): number => rooms.reduce((sum, { frames }) => sum + frames, 0);

function framesIn(
  state: YardState,
  box: BoxView['box'],
  model: BoxView['model'],
  room: CompartmentView,
): Lived {
  const compartment = model.compartments[room.position];
  const hung = compartment ? slotsOf(state, box, compartment, room).filter(hangs) : [];
  return { room, frames: hung.length, format: compartment?.frames[0]?.format };
}

/** In kg; a colony of several rooms is counted in the room of its queen. */
function beesIn(
  { room: { colony, shares }, frames, format }: Lived,
  since: Day,
  { litresPerKg }: Constants,
): number {
  const { strength } = colony ?? {};
  if (!strength || strength.on < since) return frames * seamBees(format);
  return shares === undefined && format ? beesOfSeams(strength.seams, format.pitch_mm, litresPerKg) : 0;
}

/** All boxes of a version weigh the same: worked out once for a design and its figures. */
const weightKept = new WeakMap<DesignContent, { constants: Constants; empty_kg: number | undefined }>();
function emptyWeight(design: DesignContent, constants: Constants): number | undefined {
  const found = weightKept.get(design);
  if (found && found.constants === constants) return found.empty_kg;
  const empty_kg =
    partsProblems({ design }).length > 0 ? undefined : parts({ design }, constants).weights.empty_kg;
  weightKept.set(design, { constants, empty_kg });
  return empty_kg;
}
