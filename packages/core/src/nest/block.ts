/**
 * A part, or two blocks joined with a cut between them, as a tree: nothing is laid out until it is placed. Lengths
 * in mm. `joint` says along which axis the two lie one after the other.
 */
export interface NestBlock {
  width: number;
  height: number;
  /** May be turned by a quarter on the sheet. */
  turn: boolean;
  /** Which part it is; −1 for a joined block. */
  kind: number;
  joint?: { axis: 'x' | 'y'; first: Lying; second: Lying; kerf: number };
}
/** A block as it lies in another: turned by a quarter or not. */
interface Lying {
  block: NestBlock;
  turned: boolean;
}
export interface PlacedPart {
  kind: number;
  x: number;
  y: number;
  width: number;
  height: number;
}
export interface Size {
  width: number;
  height: number;
}

export const single = (kind: number, width: number, height: number, turn: boolean): NestBlock => ({
  width,
  height,
  turn,
  kind,
});

export const turnedSize = ({ width, height }: Size): Size => ({ width: height, height: width });

/** Where the parts of a block lie when its lower left corner is at a place. */
export function laid({ block, turned }: Lying, x: number, y: number, into: PlacedPart[]): void {
  const { width, height, kind, joint } = block;
  if (!joint) {
    into.push({ kind, x, y, ...(turned ? turnedSize({ width, height }) : { width, height }) });
    return;
  }
  const { first, second, kerf } = joint;
  // Turning a block turns its joint with it.
  const along = (joint.axis === 'x') !== turned;
  const one = { block: first.block, turned: first.turned !== turned };
  const other = { block: second.block, turned: second.turned !== turned };
  const size = one.turned ? turnedSize(one.block) : one.block;
  laid(one, x, y, into);
  if (along) laid(other, x + size.width + kerf, y, into);
  else laid(other, x, y + size.height + kerf, into);
}

/** Sawn sizes are the same when they are this near, in mm. */
export const SAME_MM = 1e-6;
const fits = (block: Size, { width, height }: Size): boolean =>
  block.width <= width + SAME_MM && block.height <= height + SAME_MM;
export const fitsIn = (block: Pick<NestBlock, 'width' | 'height' | 'turn'>, size: Size): boolean =>
  fits(block, size) || (block.turn && fits(turnedSize(block), size));
const fillsAs = (block: Size, { width, height }: Size): boolean =>
  Math.abs(block.width - width) < SAME_MM && Math.abs(block.height - height) < SAME_MM;
export const fills = (block: NestBlock, size: Size): boolean =>
  fillsAs(block, size) || (block.turn && fillsAs(turnedSize(block), size));
