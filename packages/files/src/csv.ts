import type { BuildPart, Fitting, Measures } from '@yellow-cell/contract';
import { showLengthBare } from '@yellow-cell/core';
import Papa from 'papaparse';

/** The cut list of so many boxes as CSV: one line a part, then the fittings. */
export function cutListCsv(
  parts: readonly BuildPart[],
  fittings: readonly Fitting[],
  boxes: number,
  { length }: Pick<Measures, 'length'>,
): string {
  const unit = length === 'mm' ? 'mm' : 'in';
  const figure = (mm: number): string =>
    length === 'mm' ? String(Number(mm.toFixed(2))) : showLengthBare(mm, length);
  const lines = parts.map((part) => ({
    letter: part.key,
    part: part.name,
    count: part.count * boxes,
    [`length_${unit}`]: figure(part.length_mm),
    [`width_${unit}`]: figure(part.width_mm),
    [`thickness_${unit}`]: figure(part.thickness_mm),
    material: part.material,
    grain: part.grain,
    machining: machiningWords(part, figure),
    weight_kg: part.weight_kg.toFixed(3),
  }));
  const bought = fittings.map(({ name, count }) => ({ letter: '', part: name, count: count * boxes }));
  // A cell that begins like a formula would be one in a spreadsheet.
  return Papa.unparse([...lines, ...bought], { columns: columnsIn(unit), escapeFormulae: true });
}
const columnsIn = (unit: string): string[] => [
  'letter',
  'part',
  'count',
  `length_${unit}`,
  `width_${unit}`,
  `thickness_${unit}`,
  'material',
  'grain',
  'machining',
  'weight_kg',
];
/** What is cut into a part, as a person at the saw reads it. */
export function machiningWords({ machining, bends }: BuildPart, figure: (mm: number) => string): string {
  // Fingers are many and alike: the drawing shows where.
  const fingers = machining.filter(({ kind }) => kind === 'finger');
  const [finger] = fingers;
  const rest = machining.filter(({ kind }) => kind !== 'finger');
  const said = rest.map(({ kind, x_mm, y_mm, width_mm, height_mm, depth_mm, round, face }) => {
    const size = round ? `Ø ${figure(width_mm)}` : `${figure(width_mm)} × ${figure(height_mm)}`;
    const depth =
      depth_mm === null ? 'through' : `${figure(depth_mm)} deep${face === 'outer' ? ' from outside' : ''}`;
    const at = round
      ? `centre ${figure(x_mm + width_mm / 2)}, ${figure(y_mm + height_mm / 2)}`
      : `from ${figure(x_mm)}, ${figure(y_mm)}`;
    return `${kind} ${size} ${depth} ${at}`;
  });
  const joints = finger
    ? [`${fingers.length} fingers of ${figure(finger.width_mm)} × ${figure(finger.height_mm)} cut out`]
    : [];
  return [...said, ...joints, ...(bends.length > 0 ? [`${bends.length} bends`] : [])].join('; ');
}
