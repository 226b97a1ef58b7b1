import type { BuildPart, PartMaterial, PartsAnswer, PartsQuestion, Problem } from '@yellow-cell/contract';
import { designProblems } from '../box/designProblems.ts';
import { type Constants, constantsWith } from '../constants/registry.ts';
import { refuse } from '../problems.ts';
import { closuresOf } from './closures.ts';
import { fittingsOf } from './fittings.ts';
import { layFlat, volumeOf } from './layFlat.ts';
import type { Piece } from './piece.ts';
import { piecesOf } from './pieces.ts';
import { weightsOf } from './weights.ts';

/** All that a box is built from (handbook 4): parts with their machining, fittings, whether they close, and what it weighs. Throws `ProblemsError`. */
export function parts(question: PartsQuestion, constants = constantsWith(question.constants)): PartsAnswer {
  const { design, joint = 'butt' } = question;
  refuse(partsProblems({ design }));
  const pieces = piecesOf(design, joint, constants.pieceOver_mm);
  const found = gathered(pieces, constants);
  return {
    parts: found,
    fittings: fittingsOf(design, joint),
    closures: closuresOf(design, pieces),
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
  return [...byKey.values()].map((part, index) => ({ ...part, key: letterOf(index) }));
}

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
