import type { Problem, ShutAnswer, ShutQuestion } from '@yellow-cell/contract';
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { constantsWith } from '../constants/registry.ts';
import { below } from '../numbers.ts';
import { refuse } from '../problems.ts';
import { OUTSIDE, tiesOf, warmthTies } from './warmth.ts';

/**
 * A shut box in time: all its spaces with their wood and combs together, C · dT/dt = heat − Σ G · (T − T′), solved
 * exactly by the modes in which heat evens out (°C, J/K, W). Throws `ProblemsError`.
 */
export function shut(question: ShutQuestion): ShutAnswer {
  refuse(shutProblems(question));
  const { outside_C, hours, limits_C, spaces } = question;
  const courseOf = coursesOf(question);
  const until = hours * 3_600;
  return {
    spaces: spaces.map(({ name }, index) => {
      const at = courseOf(index);
      const { times, hottest_C } = turningTimes(at, until);
      return {
        name,
        end_C: at(until) + outside_C,
        hottest_C: hottest_C + outside_C,
        minutes: limits_C.map((limit_C) => ({
          limit_C,
          minutes: firstPassed(at, times, limit_C - outside_C),
        })),
      };
    }),
  };
}

type Course = (seconds: number) => number;

/** The rise of each space over the outside, at any second. */
function coursesOf(question: ShutQuestion): (space: number) => Course {
  const { outside_C, start_C = outside_C, spaces, faces, flows = [], constants } = question;
  const count = spaces.length;
  const index = new Map(spaces.map(({ name }, at) => [name, at]));
  const exchange = Matrix.zeros(count, count);
  for (const { between, g_WK } of tiesOf({ faces, flows }, constantsWith(constants))) {
    const [a, b] = between.map((end) => (end === OUTSIDE ? undefined : index.get(end)));
    for (const at of [a, b]) if (at !== undefined) exchange.set(at, at, exchange.get(at, at) + g_WK);
    if (a === undefined || b === undefined) continue;
    exchange.set(a, b, exchange.get(a, b) - g_WK);
    exchange.set(b, a, exchange.get(b, a) - g_WK);
  }
  // Scaled by the roots of the capacities the exchange stays symmetrical, so its modes are real and at right angles.
  const root = spaces.map(({ capacity_JK }) => Math.sqrt(capacity_JK));
  const scaled = exchange.clone();
  for (let a = 0; a < count; a++)
    for (let b = 0; b < count; b++) scaled.set(a, b, exchange.get(a, b) / ((root[a] ?? 1) * (root[b] ?? 1)));
  const { realEigenvalues: rates, eigenvectorMatrix: modes } = new EigenvalueDecomposition(scaled, {
    assumeSymmetric: true,
  });
  const inModes = (values: readonly number[]): number[] =>
    modes
      .transpose()
      .mmul(Matrix.columnVector([...values]))
      .to1DArray();
  const start = inModes(
    spaces.map((space, at) => ((space.start_C ?? start_C) - outside_C) * (root[at] ?? 1)),
  );
  const heat = inModes(spaces.map(({ heat_W = 0 }, at) => heat_W / (root[at] ?? 1)));
  return (space) => (seconds) => {
    let rise = 0;
    for (let mode = 0; mode < count; mode++) {
      const rate = Math.max(0, rates[mode] ?? 0);
      const kept = Math.exp(-rate * seconds);
      // As the rate goes to 0 the share (1 − e^−rt) ÷ r goes to t: a space tied to nothing grows warmer evenly.
      const gathered = rate * seconds < SMALL ? seconds : -Math.expm1(-rate * seconds) / rate;
      rise += modes.get(space, mode) * ((start[mode] ?? 0) * kept + (heat[mode] ?? 0) * gathered);
    }
    return rise / (root[space] ?? 1);
  };
}
const SMALL = 1e-12;

/** Looked at so often, closely at first, where the small and quick spaces move. */
const LOOKS = 160;
const FIRST_S = 0.1;

/** Seconds between which a course only rises or only falls, and how high it goes. */
function turningTimes(at: Course, until: number): { times: number[]; hottest_C: number } {
  const even = Array.from({ length: LOOKS + 1 }, (_, look) => (until * look) / LOOKS);
  const close = Array.from({ length: LOOKS }, (_, look) => FIRST_S * (until / FIRST_S) ** (look / LOOKS));
  const looks = [...new Set([...even, ...close])].filter((time) => time <= until).sort((a, b) => a - b);
  const values = looks.map(at);
  const turns = looks.flatMap((_, look) => {
    const [before, here, after] = [values[look - 1], values[look], values[look + 1]];
    if (before === undefined || here === undefined || after === undefined) return [];
    if ((here - before) * (after - here) >= 0) return [];
    return [turnBetween(at, looks[look - 1] ?? 0, looks[look + 1] ?? until, here > before ? 1 : -1)];
  });
  const times = [...looks, ...turns].sort((a, b) => a - b);
  return { times, hottest_C: Math.max(...times.map(at)) };
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;
function turnBetween(at: Course, from: number, to: number, sign: 1 | -1): number {
  let [low, high] = [from, to];
  for (let step = 0; step < 60; step++) {
    const [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (sign * at(a) > sign * at(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** Minutes at which a limit is first reached: 0 at the start, null where it is not in this time. */
function firstPassed(at: Course, times: readonly number[], limit_K: number): number | null {
  const first = times.findIndex((time) => !below(at(time), limit_K));
  if (first < 0) return null;
  if (first === 0) return 0;
  let [low, high] = [times[first - 1] ?? 0, times[first] ?? 0];
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2;
    if (below(at(middle), limit_K)) low = middle;
    else high = middle;
  }
  return high / 60;
}

/** What makes the question unanswerable beyond the range of single fields: names that are not told apart, ends that are none. */
export const shutProblems = ({
  spaces,
  faces,
  flows,
}: Pick<ShutQuestion, 'spaces' | 'faces' | 'flows'>): Problem[] => warmthTies({ spaces, faces, flows });
