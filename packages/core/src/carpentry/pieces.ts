import type { DesignContent, Joint } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import { boardPieces } from './boardPieces.ts';
import { bodyPieces } from './bodyPieces.ts';
import { floorPieces } from './floorPieces.ts';
import { foldedPieces } from './foldedPieces.ts';
import { lidPieces } from './lidPieces.ts';
import type { Piece } from './piece.ts';
import type { Shop } from './shop.ts';

/** Every piece of a box where it stands, in the order in which a box is named from below. */
export function piecesOf(design: DesignContent, joint: Joint, over: number): Piece[] {
  const shop: Shop = { design, model: deriveBox(design), joint, over };
  if (design.folding) return [...foldedPieces(shop), ...boardPieces(shop), ...lidPieces(shop)];
  return [...floorPieces(shop), ...bodyPieces(shop), ...boardPieces(shop), ...lidPieces(shop)];
}
