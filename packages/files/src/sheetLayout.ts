import type { BuildPart } from '@yellow-cell/contract';

/** Parts laid out on one drawing, one of each, in rows; x to the right, y up, in mm. */
export interface LaidPart {
  part: BuildPart;
  x: number;
  y: number;
}
const APART_MM = 40;
const ROW_MM = 2_400;

export function laidOut(parts: readonly BuildPart[]): LaidPart[] {
  let [x, y, tall] = [0, 0, 0];
  return parts.map((part) => {
    if (x > 0 && x + part.length_mm > ROW_MM) {
      x = 0;
      y -= tall + APART_MM;
      tall = 0;
    }
    const at = { part, x, y: y - part.width_mm };
    x += part.length_mm + APART_MM;
    tall = Math.max(tall, part.width_mm);
    return at;
  });
}

const figure = (mm: number): string => String(Number(mm.toFixed(1)));
/** What stands beside a part: its letter, how often, and its size. */
export const labelOf = ({ key, name, count, length_mm, width_mm, thickness_mm }: BuildPart): string =>
  `${key} ${name}: ${count} of ${figure(length_mm)} x ${figure(width_mm)} x ${figure(thickness_mm)}`;
