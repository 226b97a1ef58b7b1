import type { BreathAnswer } from '@yellow-cell/contract';
import { breath } from '../air/breath.ts';
import { flowAt } from '../air/flow.ts';
import type { Constants } from '../constants/registry.ts';
import { below } from '../numbers.ts';
import { solveLinear } from './linear.ts';
import type { HeatFace, HeatNetwork } from './network.ts';
import { OUTSIDE, uValue } from './warmth.ts';

/** A space of a shut box: its own heat, what it stores, what its openings let through, and how warm it begins. */
export interface ShutSpace {
  id: string;
  heat_W: number;
  capacity_JK: number;
  /** Of its openings to the outside, `factorOf`; 0 without any. */
  factor: number;
  start_C: number;
}
export interface ShutBox {
  outside_C: number;
  /** Temperatures that do not move, such as the ground's. */
  fixed: ReadonlyMap<string, number>;
  spaces: readonly ShutSpace[];
  faces: readonly HeatFace[];
  flows: HeatNetwork['flows'];
}
export interface ShutCourse {
  /** At which each limit is first reached: 0 at the start, null where it is not within `SHUT_HOURS`. */
  minutesTo: readonly { limit_C: number; minutes: number | null }[];
  /** How warm it gets at last, and the air that goes through then. */
  steady_C: number;
  hottest_C: number;
  flow_m3s: number;
}

/** A day's journey and more; nothing is said of longer. */
export const SHUT_HOURS = 12;
/** Short steps while it warms fastest. */
const STEPS: readonly { until_s: number; step_s: number }[] = [
  { until_s: 3_600, step_s: 20 },
  { until_s: 3 * 3_600, step_s: 60 },
  { until_s: SHUT_HOURS * 3_600, step_s: 240 },
];

/**
 * A shut box in time, all its spaces together: each warms by its own bees and by its neighbours, through wood that warms
 * as well, and breathes by the temperature of the moment. Implicit steps, so that quick spaces beside slow ones stay
 * true; the wood of a face is one node half-way through it.
 */
export function shutCourses(
  box: ShutBox,
  limits_C: readonly number[],
  constants: Constants,
): ReadonlyMap<string, ShutCourse> {
  const walls = box.faces.map((face) => wallOf(face, constants));
  const index = new Map(box.spaces.map(({ id }, at) => [id, at]));
  const fixedOf = (id: string): number | undefined => (id === OUTSIDE ? box.outside_C : box.fixed.get(id));
  const start = box.spaces.map(({ start_C }) => start_C);
  const temperatureOf = (id: string): number => fixedOf(id) ?? start[index.get(id) ?? -1] ?? box.outside_C;
  let moment: Moment = {
    inside: start,
    wood: walls.map(({ between: [a, b] }) => (temperatureOf(a) + temperatureOf(b)) / 2),
  };
  const hottest = [...start];
  const minutes = start.map((at_C) =>
    limits_C.map((limit): number | null => (below(at_C, limit) ? null : 0)),
  );
  let seconds = 0;
  for (const { until_s, step_s } of STEPS) {
    const advance = stepsOf(box, { walls, index, fixedOf }, step_s, constants);
    while (seconds < until_s) {
      const before = moment.inside;
      moment = advance(moment);
      moment.inside.forEach((now, at) => {
        hottest[at] = Math.max(hottest[at] ?? now, now);
        limits_C.forEach((limit, which) => {
          const passed = minutes[at];
          if (!passed || passed[which] !== null || below(now, limit)) return;
          const was = before[at] ?? now;
          passed[which] = (seconds + step_s * (now > was ? (limit - was) / (now - was) : 1)) / 60;
        });
      });
      seconds += step_s;
    }
  }
  // Steps without end find what it comes to.
  const settle = stepsOf(box, { walls, index, fixedOf }, A_LONG_TIME_S, constants);
  for (let turn = 0; turn < TURNS_TO_REST; turn++) moment = settle(moment);
  return new Map(
    box.spaces.map(({ id, factor }, at) => {
      const steady_C = moment.inside[at] ?? box.outside_C;
      return [
        id,
        {
          steady_C,
          hottest_C: Math.max(hottest[at] ?? steady_C, steady_C),
          flow_m3s: flowAt(factor, box.outside_C, Math.abs(steady_C - box.outside_C)),
          minutesTo: limits_C.map((limit_C, which) => ({ limit_C, minutes: minutes[at]?.[which] ?? null })),
        },
      ];
    }),
  );
}
const A_LONG_TIME_S = 1e7;
const TURNS_TO_REST = 14;

interface Wall {
  between: readonly [string, string];
  /** Through the whole face, and what its wood stores. */
  g_WK: number;
  capacity_JK: number;
}
function wallOf(face: HeatFace, constants: Constants): Wall {
  const { between, area_m2, layers } = face;
  const stored = layers.reduce(
    (sum, { thickness_mm, lambda_WmK }) =>
      sum + (thickness_mm / 1_000) * heatOfMaterial(lambda_WmK, constants),
    0,
  );
  return { between, g_WK: uValue(face, constants) * area_m2, capacity_JK: stored * area_m2 };
}
/** What insulates stores next to nothing, in J/m³K; glass and the like store more than wood. */
function heatOfMaterial(lambda_WmK: number, { woodHeat_Jm3K }: Constants): number {
  if (lambda_WmK < INSULATES_WMK) return woodHeat_Jm3K / 15;
  return lambda_WmK > DENSE_WMK ? woodHeat_Jm3K * 2.5 : woodHeat_Jm3K;
}
const INSULATES_WMK = 0.06;
const DENSE_WMK = 0.5;

interface Known {
  walls: readonly Wall[];
  index: ReadonlyMap<string, number>;
  fixedOf: (id: string) => number | undefined;
}
interface Moment {
  inside: readonly number[];
  wood: readonly number[];
}

/**
 * Implicit steps of one length. The wood of each face is worked out of the equations, so that only the spaces are solved
 * for; what does not change from step to step is put together once.
 */
function stepsOf(
  { outside_C, spaces, flows }: ShutBox,
  { walls, index, fixedOf }: Known,
  step_s: number,
  { airHeat_Jm3K }: Constants,
): (moment: Moment) => Moment {
  const size = spaces.length;
  const ties = spaces.map(() => new Array<number>(size).fill(0));
  const given = spaces.map(({ heat_W }) => heat_W);
  const add = (row: number, column: number, value: number): void => {
    const line = ties[row] as number[];
    line[column] = (line[column] ?? 0) + value;
  };
  const tie = (from: string, to: string, g_WK: number): void => {
    const row = index.get(from);
    if (row === undefined) return;
    add(row, row, g_WK);
    const column = index.get(to);
    if (column === undefined) given[row] = (given[row] ?? 0) + g_WK * (fixedOf(to) ?? outside_C);
    else add(row, column, -g_WK);
  };
  const bothWays = ([a, b]: readonly [string, string], g_WK: number): void => {
    tie(a, b, g_WK);
    tie(b, a, g_WK);
  };
  for (const { between, flow_m3s } of flows) bothWays(between, airHeat_Jm3K * flow_m3s);
  const woods = walls.map(({ between, g_WK, capacity_JK }) => {
    const kept = capacity_JK / step_s;
    const all = kept + 4 * g_WK;
    const toWood = (2 * g_WK * kept) / all;
    bothWays(between, (4 * g_WK * g_WK) / all);
    const rows = between.flatMap((id) => index.get(id) ?? []);
    for (const row of rows) add(row, row, toWood);
    const ends = between.map((id) => ({ at: index.get(id), fixed: fixedOf(id) ?? outside_C }));
    return { kept, all, g_WK, toWood, rows, ends };
  });
  const stored = spaces.map(({ capacity_JK }) => capacity_JK / step_s);
  return ({ inside, wood }) => {
    const a = ties.map((line) => line.slice());
    const b = given.slice();
    for (let at = 0; at < size; at++) {
      const now = inside[at] ?? outside_C;
      const breathed = airHeat_Jm3K * flowAt(spaces[at]?.factor ?? 0, outside_C, Math.abs(now - outside_C));
      const line = a[at] as number[];
      line[at] = (line[at] ?? 0) + (stored[at] ?? 0) + breathed;
      b[at] = (b[at] ?? 0) + (stored[at] ?? 0) * now + breathed * outside_C;
    }
    woods.forEach(({ toWood, rows }, which) => {
      for (const row of rows) b[row] = (b[row] ?? 0) + toWood * (wood[which] ?? outside_C);
    });
    const found = solveLinear(a, b);
    const sumOf = (ends: (typeof woods)[number]['ends']): number =>
      ends.reduce((sum, { at, fixed }) => sum + (at === undefined ? fixed : (found[at] ?? fixed)), 0);
    return {
      inside: found,
      wood: woods.map(
        ({ kept, all, g_WK, ends }, which) =>
          (kept * (wood[which] ?? outside_C) + 2 * g_WK * sumOf(ends)) / all,
      ),
    };
  };
}

/** Carbon dioxide above which a colony fans and stirs, and towards which it is harmed, in per cent. */
export const BREATH_LIMITS_PCT = [4, 8] as const;
export const breathIn = (
  volume_m3: number,
  bees_kg: number,
  heat_Wkg: number,
  flow_m3s: number,
): BreathAnswer =>
  breath({ volume_m3, bees_kg, heat_Wkg, flow_m3s, hours: SHUT_HOURS, limits_pct: [...BREATH_LIMITS_PCT] });
