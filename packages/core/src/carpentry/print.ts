import type { DesignContent, PrinterBed, PrintPiece } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import type { Solid } from '../box/solids.ts';
import { bodyName } from '../box/spaces.ts';
import type { Constants } from '../constants/registry.ts';
import { hull, lengthOf } from '../geometry/block.ts';

export const usualPrinter: PrinterBed = {
  width_mm: 220,
  length_mm: 220,
  height_mm: 250,
  nozzle_mm: 0.6,
  layer_mm: 0.3,
  speed_mms: 80,
};
/** What is folded from a sheet is not printed, whatever bed it names. */
export const printsIt = ({ bed, folding }: DesignContent): boolean => bed !== null && folding === null;

/** The bed that a design names, on a printer otherwise as the breeder's own. */
export const printerFor = ({ bed }: DesignContent, own: PrinterBed | null): PrinterBed => ({
  ...(own ?? usualPrinter),
  ...(bed ? { width_mm: bed.width.mm, length_mm: bed.length.mm } : {}),
});

/** Parts of a body that a printer makes in one piece, with the blocks that they are made of. */
export function printedSolids(design: DesignContent): { of: string; name: string; solids: Solid[] }[] {
  const { solids, stack, boards } = deriveBox(design);
  const plastic = ({ kind }: Solid): boolean => kind !== 'sieve' && kind !== 'glass';
  const names = new Map<string, string>([
    ['floor', 'Floor'],
    ['roof', 'Cover'],
    ...stack.bodies.map(
      (placed) => [placed.body.id, placed.body.name || bodyName(placed, stack.bodies)] as const,
    ),
    ...boards.map(({ board }) => [board.id, board.kind === 'follower' ? 'Follower' : 'Divider'] as const),
    ...stack.sheets.map(({ sheet }) => [sheet.id, 'Crown board'] as const),
  ]);
  return [...names]
    .map(([of, name]) => ({ of, name, solids: solids.filter((solid) => solid.id === of && plastic(solid)) }))
    .filter(({ solids: own }) => own.length > 0);
}

/** How each piece is printed: whether it fits the heated bed, how it is split, how long it takes (handbook 4, machine-made parts). */
export function printPlan(design: DesignContent, bed: PrinterBed, constants: Constants): PrintPiece[] {
  const { openings } = deriveBox(design);
  return printedSolids(design).map(({ of, name, solids }): PrintPiece => {
    const size = (['x', 'y', 'z'] as const).map((axis) =>
      lengthOf(hull(solids.map((solid) => solid[axis]))),
    ) as [number, number, number];
    const split = splitFor(size, bed);
    const pieces = split[0] * split[1] * split[2];
    const filled_mm3 = solids.reduce((sum, { x, y, z }) => sum + lengthOf(x) * lengthOf(y) * lengthOf(z), 0);
    const volume_mm3 = filled_mm3 * constants.printWalls;
    const seconds = (volume_mm3 / (bed.nozzle_mm * bed.layer_mm * bed.speed_mms)) * constants.printOver;
    // A flat top over an opening is printed over air; a round one carries itself.
    const overhang_mm = Math.max(
      0,
      ...openings
        .filter(
          ({ body, opening }) => body.body.id === of && !('shape' in opening && opening.shape === 'round'),
        )
        .map(({ opening }) => opening.width.mm),
    );
    return {
      of,
      name,
      size_mm: size,
      split,
      connectors:
        2 *
        ((split[0] - 1) * split[1] * split[2] +
          (split[1] - 1) * split[0] * split[2] +
          (split[2] - 1) * split[0] * split[1]),
      overhang_mm,
      volume_cm3: volume_mm3 / 1_000,
      grams: (volume_mm3 / 1e9) * constants.plastic_kgm3 * 1_000,
      hours: seconds / 3_600,
      sentence: sentenceFor(name, size, bed, split, pieces, overhang_mm, constants.printBridge_mm),
    };
  });
}

/** Turned as it fits best; a joint between two pieces takes nothing of the bed. */
function splitFor([x, y, z]: readonly [number, number, number], bed: PrinterBed): [number, number, number] {
  const parts = (size: number, room: number): number => Math.max(1, Math.ceil(size / room - 1e-9));
  const straight: [number, number] = [parts(x, bed.width_mm), parts(y, bed.length_mm)];
  const turned: [number, number] = [parts(x, bed.length_mm), parts(y, bed.width_mm)];
  const best = turned[0] * turned[1] < straight[0] * straight[1] ? turned : straight;
  return [best[0], best[1], parts(z, bed.height_mm)];
}

function sentenceFor(
  name: string,
  [x, y, z]: readonly [number, number, number],
  bed: PrinterBed,
  split: readonly [number, number, number],
  pieces: number,
  overhang_mm: number,
  bridge_mm: number,
): string {
  const size = `${Math.round(x)} × ${Math.round(y)} × ${Math.round(z)} mm`;
  const on = `a heated bed of ${bed.width_mm} × ${bed.length_mm} mm and ${bed.height_mm} mm of height`;
  const fits =
    pieces === 1
      ? `${name}, ${size}, fits ${on}.`
      : `${name}, ${size}, is larger than ${on}: split into ${pieces} (${split.join(' × ')}), pinned and glued.`;
  return overhang_mm > bridge_mm
    ? `${fits} An opening ${Math.round(overhang_mm)} mm wide is printed over air: give it an arch, or support.`
    : fits;
}

/** Split finer than this, a piece is all joints. */
const MOST_PIECES = 12;
/** Why a bed cannot print a design in any sensible way; undefined where it can. */
export function bedProblem(pieces: readonly PrintPiece[]): string | undefined {
  const worst = pieces.find(({ split }) => split[0] * split[1] * split[2] > MOST_PIECES);
  return (
    worst &&
    `${worst.name} would be split into ${worst.split.join(' × ')} pieces, more than ${MOST_PIECES}: this bed is too small for the design.`
  );
}
