import type { Constants } from '../constants/registry.ts';
import { beesForCells } from '../playbooks/guidance/starterBees.ts';

/** What a round wants of bees beside its larvae (handbook 5). */
export interface RoundWants {
  /** In a closed starter, for so many grafts. */
  starter_kg: number;
  /** Colonies in which its cells are finished. */
  finishers: number;
  /** One for each cell, each with a frame of sealed brood and one of stores and pollen. */
  rooms: number;
}

export const roundWants = (grafts: number, cells: number, constants: Constants): RoundWants => ({
  starter_kg: beesForCells(grafts, constants),
  finishers: Math.ceil(cells / constants.finisherMost),
  rooms: cells,
});
