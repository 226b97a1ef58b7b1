import { flowAt } from '../air/flow.ts';
import type { Constants } from '../constants/registry.ts';
import { solveLinear } from './linear.ts';
import type { HeatFace, HeatNetwork } from './network.ts';
import { OUTSIDE, type Tie, tiesOf, uValue } from './warmth.ts';

/** A box in time: its spaces with what they store, the wood between them, what its openings let through. */
export interface HeatBalance {
  spaces: readonly BalanceSpace[];
  faces: readonly HeatFace[];
  flows: HeatNetwork['flows'];
  /** Temperatures that do not move, such as the ground's. */
  fixed: ReadonlyMap<string, number>;
}
export interface BalanceSpace {
  id: string;
  capacity_JK: number;
  /** Of its openings to the outside, `factorOf`; 0 without any. */
  factor: number;
}
/** What drives it for one step. */
export interface Drive {
  outside_C: number;
  /** How much warmer than the air the outer side of each face feels, in the order of the faces: by the sun, or less under a clear night. */
  outer_K?: readonly number[];
  /** Heat put into a space that is so warm now, and how that changes by a kelvin (0 or less). */
  heat(space: number, now_C: number): { watts: number; slope_WK: number };
}
/** Temperatures of all spaces, and of the wood half-way through each face. */
export interface Moment {
  inside: readonly number[];
  wood: readonly number[];
}
export interface HeatInTime {
  /** The wood half-way between the air on either side of it. */
  begin(inside: readonly number[], outside_C: number): Moment;
  /** Steps of one length, in s. */
  stepsOf(step_s: number): (moment: Moment, drive: Drive) => Moment;
  /** What the spaces come to at last. */
  rest(guess: readonly number[], drive: Drive): readonly number[];
}

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

/**
 * The heat balance of all spaces of a box, solved together. Implicit steps, so that quick spaces beside slow ones stay
 * true. The wood of a face is one node half-way through it, and is
 * worked out of the equations, so that only the spaces are solved for.
 */
export function heatInTime(balance: HeatBalance, constants: Constants): HeatInTime {
  const { spaces, faces, flows, fixed } = balance;
  const { airHeat_Jm3K } = constants;
  const size = spaces.length;
  const index = new Map(spaces.map(({ id }, at) => [id, at]));
  const walls = faces.map((face) => wallOf(face, constants));

  function stepsOf(step_s: number): (moment: Moment, drive: Drive) => Moment {
    const ties = spaces.map(() => new Array<number>(size).fill(0));
    const add = (row: number, column: number, value: number): void => {
      const line = ties[row] as number[];
      line[column] = (line[column] ?? 0) + value;
    };
    /** What is tied to a temperature that does not follow: how much of it goes where. */
    const held: { row: number; g_WK: number; to: string; face: number }[] = [];
    const tie = (from: string, to: string, g_WK: number, face: number): void => {
      const row = index.get(from);
      if (row === undefined) return;
      add(row, row, g_WK);
      const column = index.get(to);
      if (column === undefined) held.push({ row, g_WK, to, face });
      else add(row, column, -g_WK);
    };
    const bothWays = ([a, b]: readonly [string, string], g_WK: number, face: number): void => {
      tie(a, b, g_WK, face);
      tie(b, a, g_WK, face);
    };
    for (const { between, flow_m3s } of flows) bothWays(between, airHeat_Jm3K * flow_m3s, NO_FACE);
    const woods = walls.map(({ between, g_WK, capacity_JK }, face) => {
      const kept = capacity_JK / step_s;
      const all = kept + 4 * g_WK;
      const toWood = (2 * g_WK * kept) / all;
      bothWays(between, (4 * g_WK * g_WK) / all, face);
      const rows = between.flatMap((id) => index.get(id) ?? []);
      for (const row of rows) add(row, row, toWood);
      return { kept, all, g_WK, toWood, rows, between };
    });
    const stored = spaces.map(({ capacity_JK }) => capacity_JK / step_s);

    return ({ inside, wood }, { outside_C, outer_K, heat }) => {
      const feltAt = (id: string, face: number): number =>
        id === OUTSIDE ? outside_C + (outer_K?.[face] ?? 0) : (fixed.get(id) ?? outside_C);
      const a = ties.map((line) => line.slice());
      const b = new Array<number>(size).fill(0);
      const give = (row: number, watts: number): void => {
        b[row] = (b[row] ?? 0) + watts;
      };
      spaces.forEach(({ factor }, at) => {
        const now = inside[at] ?? outside_C;
        const breathed = airHeat_Jm3K * flowAt(factor, outside_C, Math.abs(now - outside_C));
        const { watts, slope_WK } = heat(at, now);
        const line = a[at] as number[];
        line[at] = (line[at] ?? 0) + (stored[at] ?? 0) + breathed - slope_WK;
        give(at, (stored[at] ?? 0) * now + breathed * outside_C + watts - slope_WK * now);
      });
      for (const { row, g_WK, to, face } of held) give(row, g_WK * feltAt(to, face));
      woods.forEach(({ toWood, rows }, face) => {
        for (const row of rows) give(row, toWood * (wood[face] ?? outside_C));
      });
      const found = solveLinear(a, b);
      const at = (id: string, face: number): number => {
        const column = index.get(id);
        return column === undefined ? feltAt(id, face) : (found[column] ?? outside_C);
      };
      return {
        inside: found,
        wood: woods.map(
          ({ kept, all, g_WK, between: [one, other] }, face) =>
            (kept * (wood[face] ?? outside_C) + 2 * g_WK * (at(one, face) + at(other, face))) / all,
        ),
      };
    };
  }

  return {
    begin(inside, outside_C) {
      const at = (id: string): number => inside[index.get(id) ?? -1] ?? fixed.get(id) ?? outside_C;
      return { inside, wood: walls.map(({ between: [a, b] }) => (at(a) + at(b)) / 2) };
    },
    stepsOf,
    rest: (guess, drive) => restFrom(guess, drive, balance, tiesOf(balance, constants), constants),
  };
}
const NO_FACE = -1;

/**
 * Where it comes to rest. All that is given and lost changes one way with the temperature, so there is one such state:
 * Newton's steps go there, each no further than to where the balance along it turns.
 */
function restFrom(
  guess: readonly number[],
  { outside_C, outer_K, heat }: Drive,
  { spaces, fixed }: HeatBalance,
  ties: readonly Tie[],
  { airHeat_Jm3K }: Constants,
): number[] {
  const size = spaces.length;
  const index = new Map(spaces.map(({ id }, at) => [id, at]));
  const a = spaces.map(() => new Array<number>(size).fill(0));
  const held = new Array<number>(size).fill(0);
  ties.forEach(({ between, g_WK }, face) => {
    for (const [here, there] of [between, [between[1], between[0]]] as const) {
      const row = index.get(here);
      if (row === undefined) continue;
      const line = a[row] as number[];
      line[row] = (line[row] ?? 0) + g_WK;
      const column = index.get(there);
      if (column !== undefined) line[column] = (line[column] ?? 0) - g_WK;
      else {
        const felt = there === OUTSIDE ? outside_C + (outer_K?.[face] ?? 0) : (fixed.get(there) ?? outside_C);
        held[row] = (held[row] ?? 0) + g_WK * felt;
      }
    }
  });
  /** What each space loses by its openings, and how that changes by a kelvin. */
  const breathed = (at: number, now_C: number): { watts: number; slope_WK: number } => {
    const rise_K = now_C - outside_C;
    const g_WK = airHeat_Jm3K * flowAt(spaces[at]?.factor ?? 0, outside_C, Math.abs(rise_K));
    return { watts: g_WK * rise_K, slope_WK: 1.5 * g_WK };
  };
  /** What is lost over what is given, in watts: none at rest. */
  const over = (now: readonly number[]): number[] =>
    now.map((each, row) => {
      const through = (a[row] ?? []).reduce((sum, g_WK, column) => sum + g_WK * (now[column] ?? 0), 0);
      return through - (held[row] ?? 0) + breathed(row, each).watts - heat(row, each).watts;
    });
  let now = [...guess];
  for (let turn = 0; turn < TURNS_TO_REST; turn++) {
    const slopes = a.map((line, row) => {
      const each = now[row] ?? outside_C;
      return line.map((g_WK, column) =>
        column === row ? g_WK + breathed(row, each).slope_WK - heat(row, each).slope_WK : g_WK,
      );
    });
    const step = solveLinear(
      slopes,
      over(now).map((watts) => -watts),
    );
    const along = (share: number): number[] => now.map((each, at) => each + share * (step[at] ?? 0));
    const uphill = (share: number): boolean =>
      over(along(share)).reduce((sum, watts, at) => sum + watts * (step[at] ?? 0), 0) > 0;
    now = along(uphill(1) ? turnOf(uphill) : 1);
    if (Math.max(...step.map(Math.abs)) < AT_REST_K) break;
  }
  return now;
}
const TURNS_TO_REST = 60;
const AT_REST_K = 1e-6;

/** The share of a step at which the balance along it turns. */
function turnOf(uphill: (share: number) => boolean): number {
  let [low, high] = [0, 1];
  for (let half = 0; half < HALVINGS; half++) {
    const middle = (low + high) / 2;
    if (uphill(middle)) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}
const HALVINGS = 14;
