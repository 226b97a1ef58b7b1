import type {
  BuildPart,
  DesignContent,
  PartMaterial,
  PartsAnswer,
  PartsQuestion,
  Problem,
} from '@yellow-cell/contract';
import { designProblems } from '../box/designProblems.ts';
import { type Constants, constantsWith } from '../constants/registry.ts';
import { refuse } from '../problems.ts';
import { closuresOf } from './closures.ts';
import { fittingsOf } from './fittings.ts';
import { layFlat, volumeOf } from './layFlat.ts';
import type { Piece } from './piece.ts';
import { piecesOf } from './pieces.ts';
import { printerFor, printPlan, printsIt } from './print.ts';
import { weightsOf } from './weights.ts';

/** All that a box is built from (handbook 4): parts with their machining, fittings, whether they close, and what it weighs. Throws `ProblemsError`. */
export function parts(question: PartsQuestion, constants = constantsWith(question.constants)): PartsAnswer {
  const { design, joint = 'butt' } = question;
  refuse(partsProblems({ design }));
  const pieces = piecesOf(design, joint, constants.pieceOver_mm);
  const isPrinted = printsIt(design);
  const found = lettered([
    ...(isPrinted ? printedParts(design, constants) : []),
    ...gathered(isPrinted ? pieces.filter(isLaidIn) : pieces, constants),
  ]);
  return {
    parts: found,
    fittings: fittingsOf(design, joint),
    // What is printed in one piece closes as its mesh does.
    closures: isPrinted ? [] : closuresOf(design, pieces),
    weights: weightsOf(design, found, constants),
  };
}

export const partsProblems = ({ design }: Pick<PartsQuestion, 'design'>): Problem[] =>
  designProblems(design).map((problem) => ({
    ...problem,
    path: ['design', problem.path].filter(Boolean).join('.'),
  }));

/** Pieces that are cut alike are one part, as often as it is wanted. */
function gathered(pieces: readonly Piece[], constants: Constants): BuildPart[] {
  const byKey = new Map<string, BuildPart>();
  for (const piece of pieces) {
    const flat = layFlat(piece);
    const { name, material, of } = piece;
    const same = JSON.stringify([name, material, flat], (_, value) =>
      typeof value === 'number' ? Number(value.toFixed(6)) : value,
    );
    const known = byKey.get(same);
    if (known) byKey.set(same, { ...known, count: known.count + 1 });
    else {
      const weight_kg = (volumeOf(flat) / 1e9) * densityOf(material, flat.thickness_mm, constants);
      byKey.set(same, { key: '', name, of, material, count: 1, ...flat, weight_kg });
    }
  }
  return [...byKey.values()];
}

const lettered = (found: readonly BuildPart[]): BuildPart[] =>
  found.map((part, index) => ({ ...part, key: letterOf(index) }));

/** What is laid, glued or set into a printed part, and not printed with it. */
const LAID_IN: readonly PartMaterial[] = ['mesh', 'excluder', 'cloth', 'foil', 'slats', 'glass'];
const isLaidIn = ({ material, name }: Piece): boolean =>
  LAID_IN.includes(material) || (name.startsWith('Pane') && name !== 'Pane rail');

/** Each as the printer makes it, by the space that it fills: the same pieces as its plan and its meshes. */
const printedParts = (design: DesignContent, constants: Constants): BuildPart[] =>
  printPlan(design, printerFor(design, null), constants).map(({ of, name, size_mm: [x, y, z], grams }) => {
    const [length_mm, width_mm] = [Math.max(x, y), Math.min(x, y)];
    return {
      key: '',
      name,
      of,
      material: 'plastic',
      count: 1,
      length_mm,
      width_mm,
      thickness_mm: z,
      grain: 'none',
      rings: [
        [
          [0, 0],
          [length_mm, 0],
          [length_mm, width_mm],
          [0, width_mm],
        ],
      ],
      machining: [],
      bends: [],
      weight_kg: grams / 1_000,
      printed: true,
    };
  });

/** A, B … Z, AA, AB …: short enough to be chalked on a part. */
function letterOf(index: number): string {
  const last = String.fromCharCode(65 + (index % 26));
  return index < 26 ? last : letterOf(Math.floor(index / 26) - 1) + last;
}

/** In kg/m³; thin sheet goods weigh by their area. */
export function densityOf(material: PartMaterial, thickness_mm: number, constants: Constants): number {
  const byArea = (kg_m2: number): number => kg_m2 / (thickness_mm / 1_000);
  return {
    pine: constants.pine_kgm3,
    plywood: constants.plywood_kgm3,
    foam: constants.foam_kgm3,
    plastic: constants.plastic_kgm3,
    corrugated: constants.corrugated_kgm3,
    glass: constants.glass_kgm3,
    mesh: byArea(constants.mesh_kgm2),
    excluder: byArea(constants.excluder_kgm2),
    cloth: byArea(constants.cloth_kgm2),
    foil: byArea(constants.foil_kgm2),
    slats: byArea(constants.slats_kgm2),
  }[material];
}
