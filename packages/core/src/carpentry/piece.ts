import type { BendLine, Machining, PartMaterial } from '@yellow-cell/contract';
import type { Block } from '../geometry/block.ts';

/** What is cut from a piece where it stands in the box; a round hole is the one that fits the block. */
export interface PieceCut extends Block {
  kind: Machining['kind'];
  round?: boolean;
}
/** One piece as it stands in the box, before it is laid flat on the bench. */
export interface Piece extends Block {
  name: string;
  /** Part of the design that it belongs to. */
  of: string;
  material: PartMaterial;
  /** The axis that it is thin along. */
  thin: 'x' | 'y' | 'z';
  /** Whether its inner face looks to where that axis grows. */
  innerUp: boolean;
  /** The axis that its grain runs along; undefined for sheets that may be turned. */
  grain?: 'x' | 'y' | 'z' | undefined;
  cuts: readonly PieceCut[];
  /** A piece whose outline no box has: its own rings in mm, from its lower left. */
  flat?: { rings: [number, number][][]; bends: BendLine[] };
}
