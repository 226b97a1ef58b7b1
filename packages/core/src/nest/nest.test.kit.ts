import type { NestAnswer, NestQuestion } from '@yellow-cell/contract';
import { type Random, seededRandom } from '../random.ts';

const LEAST_MM = 60;

/** Whole sheets sawn at random into parts: the sheets are the known best, as nothing is left of them. */
export function sawnApart(seed: number, sheets: number, most: number, kerf_mm: number): NestQuestion {
  const random = seededRandom(seed);
  const sheet = { width_mm: 2_440, height_mm: 1_220 };
  const pieces = Array.from({ length: sheets }, () => [sheet]).map((all) => {
    const wanted = 5 + Math.floor(random() * (most - 4));
    const left = [...all];
    for (let tries = 0; left.length < wanted && tries < 400; tries++) {
      const at = Math.floor(random() * left.length);
      const cut = cutInTwo(left[at] ?? sheet, kerf_mm, random);
      if (cut) left.splice(at, 1, ...cut);
    }
    return left;
  });
  const parts = pieces.flat().map((piece, index) => {
    const turn = random() < 0.7;
    const lies = turn && random() < 0.5;
    return {
      name: `P${index}`,
      width_mm: lies ? piece.height_mm : piece.width_mm,
      height_mm: lies ? piece.width_mm : piece.height_mm,
      count: 1,
      turn,
    };
  });
  return { sheet, kerf_mm, parts: shuffled(parts, random) };
}

function cutInTwo(
  { width_mm, height_mm }: { width_mm: number; height_mm: number },
  kerf: number,
  random: Random,
): { width_mm: number; height_mm: number }[] | undefined {
  const across = random() < width_mm / (width_mm + height_mm);
  const long = across ? width_mm : height_mm;
  const room = long - kerf - 2 * LEAST_MM;
  if (room < 0) return undefined;
  const first = Math.round(LEAST_MM + random() * room);
  const second = long - kerf - first;
  return across
    ? [
        { width_mm: first, height_mm },
        { width_mm: second, height_mm },
      ]
    : [
        { width_mm, height_mm: first },
        { width_mm, height_mm: second },
      ];
}

function shuffled<T>(list: readonly T[], random: Random): T[] {
  return list
    .map((value) => ({ value, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ value }) => value);
}

/** What is wrong with a packing, found without any of the code that made it; empty where nothing is. */
export function faultsOf({ parts, kerf_mm }: NestQuestion, { sheets }: NestAnswer): string[] {
  const faults: string[] = [];
  for (const part of parts) {
    const placed = sheets.flatMap(({ placements }) => placements).filter(({ name }) => name === part.name);
    if (placed.length !== part.count) faults.push(`${part.name}: ${placed.length} of ${part.count}`);
    for (const { width_mm, height_mm } of placed) {
      const same = near(width_mm, part.width_mm) && near(height_mm, part.height_mm);
      const turned = near(width_mm, part.height_mm) && near(height_mm, part.width_mm);
      if (!same && !(part.turn && turned)) faults.push(`${part.name}: ${width_mm} × ${height_mm}`);
    }
  }
  for (const sheet of sheets) {
    sheet.placements.forEach((a, index) => {
      if (
        a.x_mm < -1e-6 ||
        a.y_mm < -1e-6 ||
        a.x_mm + a.width_mm > sheet.width_mm + 1e-6 ||
        a.y_mm + a.height_mm > sheet.height_mm + 1e-6
      )
        faults.push(`${a.name} is over the edge`);
      for (const b of sheet.placements.slice(index + 1)) {
        const apartX = Math.max(b.x_mm - (a.x_mm + a.width_mm), a.x_mm - (b.x_mm + b.width_mm));
        const apartY = Math.max(b.y_mm - (a.y_mm + a.height_mm), a.y_mm - (b.y_mm + b.height_mm));
        if (Math.max(apartX, apartY) < kerf_mm - 1e-6) faults.push(`${a.name} and ${b.name} are too near`);
      }
    });
    if (!canBeSawn(sheet.placements.map((p) => [p.x_mm, p.y_mm, p.x_mm + p.width_mm, p.y_mm + p.height_mm])))
      faults.push('no saw frees them');
  }
  return faults;
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;

/** Whether straight cuts from edge to edge free every rectangle [left, bottom, right, top]. */
function canBeSawn(rects: readonly number[][]): boolean {
  if (rects.length < 2) return true;
  for (const axis of [0, 1]) {
    const sorted = [...rects].sort((a, b) => (a[axis] ?? 0) - (b[axis] ?? 0));
    let reach = Number.NEGATIVE_INFINITY;
    for (let index = 0; index < sorted.length; index++) {
      if (index > 0 && (sorted[index]?.[axis] ?? 0) >= reach - 1e-6)
        return canBeSawn(sorted.slice(0, index)) && canBeSawn(sorted.slice(index));
      reach = Math.max(reach, sorted[index]?.[axis + 2] ?? 0);
    }
  }
  return false;
}

/** The simplest rule there is: parts as they come, in rows, each on the first row and sheet that takes it. */
export function firstFit({ sheet, kerf_mm, parts }: NestQuestion): number {
  const rows: { sheet: number; x: number; height: number }[] = [];
  const tops: number[] = [];
  for (const { width_mm, height_mm, count, turn } of parts) {
    for (let each = 0; each < count; each++) {
      const ways = turn
        ? [
            [width_mm, height_mm],
            [height_mm, width_mm],
          ]
        : [[width_mm, height_mm]];
      const way = ways.find(([w = 0, h = 0]) => w <= sheet.width_mm && h <= sheet.height_mm) as [
        number,
        number,
      ];
      const [w, h] = way;
      const row = rows.find(({ x, height }) => h <= height && x + w <= sheet.width_mm);
      if (row) row.x += w + kerf_mm;
      else {
        let on = tops.findIndex((top) => top + h <= sheet.height_mm);
        if (on < 0) on = tops.push(0) - 1;
        tops[on] = (tops[on] ?? 0) + h + kerf_mm;
        rows.push({ sheet: on, x: w + kerf_mm, height: h });
      }
    }
  }
  return tops.length;
}
