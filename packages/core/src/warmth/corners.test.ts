import type { Body } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { mm } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { wallLayers } from './materials.ts';

const { rsiWall, rse } = defaultConstants;

/**
 * Heat through the walls of a body seen from above, for each metre of height and each kelvin, by a quarter of the plan
 * cut into squares: heat goes round the corners there. Walls of one material, films on both sides.
 */
function inThePlane(inside: { width: number; length: number }, wall_mm: number, lambda_WmK: number): number {
  const CELLS = 8;
  const cell = wall_mm / 1_000 / CELLS;
  // Half of the inside, in whole cells, and the wall beyond it.
  const [nx, ny] = [inside.width, inside.length].map((mm) => Math.round(mm / 2_000 / cell)) as [
    number,
    number,
  ];
  const [mx, my] = [nx + CELLS, ny + CELLS];
  const t = new Float64Array(mx * my);
  const isAir = (x: number, y: number): boolean => x < nx && y < ny;
  /** From the middle of a cell to air of the inside (1) or the outside (0), by its film. */
  const film = (r: number): number => cell / (cell / 2 / lambda_WmK + r);
  const [gIn, gOut] = [film(rsiWall), film(rse)];
  const RELAX = 1.9;
  for (let turn = 0; turn < 4_000; turn++) {
    let moved = 0;
    for (let x = 0; x < mx; x++)
      for (let y = 0; y < my; y++) {
        if (isAir(x, y)) continue;
        let [weight, sum] = [0, 0];
        for (const [dx, dy] of [
          [1, 0],
          [-1, 0],
          [0, 1],
          [0, -1],
        ] as const) {
          const [ax, ay] = [x + dx, y + dy];
          // Nothing crosses the lines of symmetry.
          if (ax < 0 || ay < 0) continue;
          if (ax >= mx || ay >= my) weight += gOut;
          else if (isAir(ax, ay)) [weight, sum] = [weight + gIn, sum + gIn];
          else [weight, sum] = [weight + lambda_WmK, sum + lambda_WmK * (t[ax * my + ay] ?? 0)];
        }
        const at = x * my + y;
        const change = RELAX * (sum / weight - (t[at] ?? 0));
        t[at] = (t[at] ?? 0) + change;
        moved = Math.max(moved, Math.abs(change));
      }
    if (moved < 1e-9) break;
  }
  let given = 0;
  for (let x = 0; x < nx; x++) given += gIn * (1 - (t[x * my + ny] ?? 0));
  for (let y = 0; y < ny; y++) given += gIn * (1 - (t[nx * my + y] ?? 0));
  return 4 * given;
}

describe('corners of walls', () => {
  it.each([
    ['fourWay', 'from above', undefined],
    ['threeWay', 'from above', undefined],
    ['twoWayBody', 'from above', undefined],
    ['nucleus', 'from above', undefined],
    ['threeWay', 'cut upright', undefined],
    ['threeWay', 'from above', 40],
  ] as const)(
    'of the %s, %s, let through under 5 %% beyond what is reckoned (foam: %s mm)',
    (family, seen, foam_mm) => {
      const body = mainBody(familyDesign(family));
      const drawn: Body = foam_mm ? { ...body, wall: mm(foam_mm), material: 'foam', lining: null } : body;
      const [layer] = wallLayers(drawn, 'left', defaultConstants);
      const { thickness_mm = 0, lambda_WmK = 1 } = layer ?? {};
      const inside = {
        width: body.insideWidth.mm,
        length: seen === 'from above' ? body.insideLength.mm : body.depth.mm,
      };
      const round_m = (2 * (inside.width + inside.length)) / 1_000;
      const reckoned = round_m / (rsiWall + thickness_mm / 1_000 / lambda_WmK + rse);
      const low = inThePlane(inside, thickness_mm, lambda_WmK) / reckoned - 1;
      expect(low).toBeGreaterThan(0.01);
      expect(low).toBeLessThan(0.05);
    },
  );
});
