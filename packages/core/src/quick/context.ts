import type { LineMeasures } from '@yellow-cell/contract';

/** What the line may speak of: the boxes of a yard as they stand, and the rounds there are. */
export interface QuickContext {
  boxes: readonly QuickBox[];
  rounds: readonly { id: string; number: number }[];
  /** The box and compartment on screen, meant where the line names none. */
  chosen?: { box: string; compartment?: number | undefined } | undefined;
  today: string;
  /** What the breeder has said of measures. */
  measures?: LineMeasures;
}
export interface QuickBox {
  id: string;
  label: string;
  compartments: readonly QuickCompartment[];
  /** Dividers in order from x = 0. */
  boards: readonly string[];
}
export interface QuickCompartment {
  name: string;
  colony?: string | undefined;
  /** The day since which these bees are; what is told of them is not earlier. */
  stockedOn?: string | undefined;
  /** The attempt that is still going on. */
  attempt?: string | undefined;
  /** Her id, where one queen is known to live there. */
  queen?: string | undefined;
  entrances: readonly string[];
  bays: readonly string[];
  frames: number;
}
