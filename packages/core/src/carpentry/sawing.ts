import type { NestedSheet, SawCut } from '@yellow-cell/contract';
import { SAME_MM } from '../nest/block.ts';
import { fillsRoom, halves, type Room } from '../nest/saw.ts';
import { countOf, listOf } from '../say/words.ts';

/** Sheets that are sawn alike, once with how many there are. */
export interface LikeSheets {
  sheet: NestedSheet;
  count: number;
}

export function likeSheets(sheets: readonly NestedSheet[]): LikeSheets[] {
  const found = new Map<string, LikeSheets>();
  for (const sheet of sheets) {
    const key = JSON.stringify([sheet.offcut, sheet.width_mm, sheet.height_mm, sheet.placements]);
    const like = found.get(key);
    found.set(key, { sheet, count: (like?.count ?? 0) + 1 });
  }
  return [...found.values()];
}

/** So many cuts with the fence at one distance. */
export interface Fence {
  at_mm: number;
  cuts: number;
}
/** What one piece of a step is sawn into. */
export interface SawnPiece {
  /** A part, by its letter; a strip is sawn on, a rest is left. */
  what: { part: string } | 'strip' | 'rest';
  width_mm: number;
  height_mm: number;
  count: number;
}
/** Cuts side by side through pieces of one size, by the fence of a table saw. */
export interface SawStep {
  pieces: number;
  width_mm: number;
  height_mm: number;
  /** Whether the cuts run along the longer side of the piece. */
  along: boolean;
  fences: Fence[];
  gives: SawnPiece[];
  /** Which of the sheet's cuts these are. */
  cuts: number[];
}

/**
 * How the parts of a sheet are sawn free at a table saw: pieces of one size together, all cuts of one fence setting one
 * after the other, from the sheet to its strips to its parts (handbook 4).
 */
export function sawSteps(sheet: NestedSheet, kerf_mm: number): SawStep[] {
  let next = 0;
  const grow = (room: Room, parts: NestedSheet['placements']): Piece => {
    const [only] = parts;
    if (!only) return { room, what: 'rest' };
    if (parts.length === 1 && fillsRoom(sizeOf(only), room))
      return { room, what: { part: partOf(only.name) } };
    const index = next++;
    const cut = sheet.cuts[index];
    if (!cut) return { room, what: 'rest' };
    const [low, high] = halves(room, cut.axis, cut.at_mm, kerf_mm);
    const isLow = (part: (typeof parts)[number]) => endOf(part, cut.axis) <= cut.at_mm + SAME_MM;
    const children = [
      ...(low ? [grow(low, parts.filter(isLow))] : []),
      ...(high
        ? [
            grow(
              high,
              parts.filter((part) => !isLow(part)),
            ),
          ]
        : []),
    ];
    // Cuts side by side are one step, whichever was found first.
    const flat = children.flatMap((child) => (child.axis === cut.axis ? (child.into ?? []) : [child]));
    const cuts = [index, ...children.flatMap((child) => (child.axis === cut.axis ? (child.cuts ?? []) : []))];
    return { room, what: 'strip', axis: cut.axis, into: flat, cuts };
  };
  const whole = grow({ x: 0, y: 0, width: sheet.width_mm, height: sheet.height_mm }, sheet.placements);
  const steps: SawStep[] = [];
  for (let level = [whole]; level.length > 0; level = level.flatMap(({ into = [] }) => into)) {
    const sawn = level.flatMap((piece) => (piece.axis ? [stepOf(piece)] : []));
    const merged = new Map<string, SawStep>();
    for (const step of sawn) {
      const key = JSON.stringify([step.width_mm, step.height_mm, step.along, step.fences, step.gives]);
      const like = merged.get(key);
      if (like) merged.set(key, { ...like, pieces: like.pieces + 1, cuts: [...like.cuts, ...step.cuts] });
      else merged.set(key, step);
    }
    // Steps that begin with the same setting follow one another: the fence is moved least.
    steps.push(...[...merged.values()].sort((a, b) => (b.fences[0]?.at_mm ?? 0) - (a.fences[0]?.at_mm ?? 0)));
  }
  return steps;
}

interface Piece {
  room: Room;
  what: SawnPiece['what'];
  axis?: SawCut['axis'];
  into?: Piece[];
  cuts?: number[];
}

const round = (mm: number): number => Math.round(mm * 100) / 100;
/** The letter of a part on a sheet, whose name begins with its design where several lie on it. */
export const letterOf = (name: string): string => (name.split(': ').at(-1) ?? name).split(' ')[0] ?? name;
const partOf = (name: string): string => {
  const design = name.split(': ').slice(0, -1).join(': ');
  return design ? `${letterOf(name)} of ${design}` : letterOf(name);
};
const sizeOf = ({ x_mm, y_mm, width_mm, height_mm }: NestedSheet['placements'][number]) => ({
  kind: 0,
  x: x_mm,
  y: y_mm,
  width: width_mm,
  height: height_mm,
});
const endOf = (part: NestedSheet['placements'][number], axis: SawCut['axis']): number =>
  axis === 'x' ? part.y_mm + part.height_mm : part.x_mm + part.width_mm;

function stepOf({ room, axis, into = [], cuts = [] }: Piece): SawStep {
  const across = ({ room: own }: Piece): number => round(axis === 'x' ? own.height : own.width);
  // What stays when all others are sawn off needs no setting: what is left over, else the widest.
  const stays =
    cuts.length < into.length
      ? ([...into].reverse().find(({ what }) => what === 'rest') ??
        into.reduce((widest, each) => (across(each) > across(widest) ? each : widest)))
      : undefined;
  const settings = new Map<number, number>();
  for (const piece of into)
    if (piece !== stays) settings.set(across(piece), (settings.get(across(piece)) ?? 0) + 1);
  const gives = new Map<string, SawnPiece>();
  for (const { what, room: own } of into) {
    const [width_mm, height_mm] = [round(own.width), round(own.height)];
    const key = JSON.stringify([what, width_mm, height_mm]);
    gives.set(key, { what, width_mm, height_mm, count: (gives.get(key)?.count ?? 0) + 1 });
  }
  return {
    pieces: 1,
    width_mm: round(room.width),
    height_mm: round(room.height),
    along: axis === 'x' ? room.width >= room.height : room.height > room.width,
    fences: [...settings].map(([at_mm, count]) => ({ at_mm, cuts: count })).sort((a, b) => b.at_mm - a.at_mm),
    gives: [...gives.values()],
    cuts,
  };
}

/** A step in words; `figure` writes a length. */
export function sawWords(
  { pieces, width_mm, height_mm, along, fences, gives }: SawStep,
  figure: (mm: number) => string,
): string {
  const size = (width: number, height: number) => `${figure(width)} × ${figure(height)}`;
  const settings = fences.map(({ at_mm, cuts }) => `fence ${figure(at_mm)}, ${countOf(cuts, 'cut')}`);
  const each = pieces > 1 ? ' each' : '';
  const given = gives.map(({ what, width_mm: width, height_mm: height, count }) => {
    if (what === 'rest') return `${size(width, height)} left`;
    if (what === 'strip') return `${countOf(count, 'strip')} of ${size(width, height)}`;
    return `${count} × ${what.part}`;
  });
  return `${pieces > 1 ? `${pieces} pieces of ` : ''}${size(width_mm, height_mm)}, ${along ? 'along' : 'across'}: ${settings.join('; ')}${each}. Gives ${listOf(given)}${each}.`;
}
