import type { Problem, RatesAnswer, RatesQuestion } from '@yellow-cell/contract';
import jStat from 'jstat';
import { refuse } from '../problems.ts';

/**
 * Take rates of groups, pooled in part: each group's rate ~ Beta(mκ, (1−m)κ), so that small groups lean on what the
 * others have in common; m uniform on 0…1, 1 ÷ (1 + κ) uniform on 0…1. Integrated on grids, not by chance, to 0.001.
 * Throws `ProblemsError`.
 */
export function pooledRates(question: RatesQuestion): RatesAnswer {
  refuse(rateProblems(question));
  const { groups, share } = question;
  const box = boxOf(groups);
  const nodes = nodesIn(groups, box);
  const common = commonOf(groups, box);
  const tail = (1 - share) / 2;
  const masses = groups.map(() => new Float64Array(CELLS));
  const best = groups.map(() => 0);
  for (const { m, kappa, weight } of nodes) {
    const each = groups.map(({ takes, tried }) =>
      betaMasses(m * kappa + takes, (1 - m) * kappa + tried - takes),
    );
    each.forEach((mass, group) => {
      const sum = masses[group] as Float64Array;
      for (let cell = 0; cell < CELLS; cell++) sum[cell] = (sum[cell] ?? 0) + weight * (mass[cell] ?? 0);
    });
    chancesOfBest(each).forEach((chance, group) => {
      best[group] = (best[group] ?? 0) + weight * chance;
    });
  }
  return {
    mean: nodes.reduce((sum, { m, weight }) => sum + weight * m, 0),
    low: quantileOf(common, box.m, tail),
    high: quantileOf(common, box.m, 1 - tail),
    groups: groups.map(({ name }, group) => {
      const mass = masses[group] as Float64Array;
      return {
        name,
        mean: mass.reduce((sum, each, cell) => sum + each * rateAt(cell + 0.5), 0),
        median: quantileIn(mass, 0.5),
        low: quantileIn(mass, tail),
        high: quantileIn(mass, 1 - tail),
        best: best[group] ?? 0,
      };
    }),
  };
}

interface Node {
  m: number;
  kappa: number;
  weight: number;
}
type Groups = RatesQuestion['groups'];

interface Box {
  m: readonly [number, number];
  s: readonly [number, number];
}

/** A coarse look at where the posterior lies; what lies below this share of its height is left out. */
const COARSE = 120;
const NOTHING = 1e-7;
function boxOf(groups: Groups): Box {
  const middles = Array.from({ length: COARSE }, (_, step) => (step + 0.5) / COARSE);
  const looked = middles.flatMap((m) =>
    middles.map((s) => ({ m, s, log: logLikelihood(groups, m, 1 / s - 1) })),
  );
  const highest = Math.max(...looked.map(({ log }) => log));
  const seen = looked.filter(({ log }) => log > highest + Math.log(NOTHING));
  const around = (values: readonly number[]): [number, number] => [
    Math.max(0, Math.min(...values) - 1 / COARSE),
    Math.min(1, Math.max(...values) + 1 / COARSE),
  ];
  return { m: around(seen.map(({ m }) => m)), s: around(seen.map(({ s }) => s)) };
}

/** Points and weights of Gauss and Legendre: smooth as the posterior is, few of them give many figures. */
const POINTS = 40;
const GAUSS = gaussLegendre(POINTS);
const scaled = ([from, to]: readonly [number, number]) =>
  GAUSS.map(({ x, weight }) => ({ at: from + (to - from) * x, weight }));

function nodesIn(groups: Groups, { m, s }: Box): Node[] {
  const nodes = scaled(m).flatMap((one) =>
    scaled(s).map((other) => {
      const kappa = 1 / other.at - 1;
      return { m: one.at, kappa, by: one.weight * other.weight, log: logLikelihood(groups, one.at, kappa) };
    }),
  );
  const highest = Math.max(...nodes.map(({ log }) => log));
  const weights = nodes.map(({ by, log }) => by * Math.exp(log - highest));
  const sum = weights.reduce((all, each) => all + each, 0);
  const kept = nodes
    .map(({ m: at, kappa }, index) => ({ m: at, kappa, weight: (weights[index] ?? 0) / sum }))
    .filter(({ weight }) => weight > NOTHING);
  const all = kept.reduce((total, { weight }) => total + weight, 0);
  return kept.map((node) => ({ ...node, weight: node.weight / all }));
}

/** How the rate in common is spread over its range, in slices of even width. */
const SLICES = 400;
function commonOf(groups: Groups, { m: [from, to], s }: Box): number[] {
  const points = scaled(s);
  const logs = Array.from({ length: SLICES }, (_, slice) => {
    const m = from + ((to - from) * (slice + 0.5)) / SLICES;
    return points.map(({ at, weight }) => ({ weight, log: logLikelihood(groups, m, 1 / at - 1) }));
  });
  const highest = Math.max(...logs.flatMap((each) => each.map(({ log }) => log)));
  const masses = logs.map((each) =>
    each.reduce((sum, { weight, log }) => sum + weight * Math.exp(log - highest), 0),
  );
  const all = masses.reduce((sum, each) => sum + each, 0);
  return masses.map((mass) => mass / all);
}

/** On 0…1, by Newton's method from where the zeros of the polynomial about lie. */
function gaussLegendre(count: number): { x: number; weight: number }[] {
  return Array.from({ length: count }, (_, index) => {
    let x = Math.cos((Math.PI * (index + 0.75)) / (count + 0.5));
    let slope = 0;
    for (let turn = 0; turn < 100; turn++) {
      let [before, here] = [1, x];
      for (let degree = 2; degree <= count; degree++)
        [before, here] = [here, ((2 * degree - 1) * x * here - (degree - 1) * before) / degree];
      slope = (count * (x * here - before)) / (x * x - 1);
      x -= here / slope;
    }
    return { x: (1 - x) / 2, weight: 1 / ((1 - x * x) * slope * slope) };
  });
}

function logLikelihood(groups: Groups, m: number, kappa: number): number {
  const [a, b] = [m * kappa, (1 - m) * kappa];
  const prior = jStat.betaln(a, b);
  return groups.reduce(
    (sum, { takes, tried }) => sum + jStat.betaln(a + takes, b + tried - takes) - prior,
    0,
  );
}

/** Rates are looked at by their log odds, where a Beta has no poles: cells between −LIMIT and LIMIT, and two for what lies beyond. */
const LIMIT = 16;
const INNER = 1_600;
const CELLS = INNER + 2;
const STEP = (2 * LIMIT) / INNER;
const ODDS = Array.from({ length: INNER }, (_, cell) => -LIMIT + (cell + 0.5) * STEP);
const LOG_RATE = ODDS.map((odds) => -Math.log1p(Math.exp(-odds)));
const LOG_REST = ODDS.map((odds) => -Math.log1p(Math.exp(odds)));

/** The rate at a cell, or between two. */
function rateAt(cell: number): number {
  if (cell <= 1) return cell <= 0.5 ? 0 : 1 / (1 + Math.exp(LIMIT));
  if (cell >= CELLS - 1) return 1;
  return 1 / (1 + Math.exp(LIMIT - (cell - 1) * STEP));
}

/** Probability of each cell under Beta(a, b); where it is next to nothing it is not worked out. */
function betaMasses(a: number, b: number): Float64Array {
  const mass = new Float64Array(CELLS);
  const log = jStat.betaln(a, b);
  let all = 0;
  const put = (cell: number): boolean => {
    const power = a * (LOG_RATE[cell] ?? 0) + b * (LOG_REST[cell] ?? 0) - log;
    if (power < LEAST_POWER) return false;
    const each = Math.exp(power) * STEP;
    mass[cell + 1] = each;
    all += each;
    return true;
  };
  const peak = Math.round((Math.log(a / b) + LIMIT) / STEP);
  const from = Math.min(INNER - 1, Math.max(0, peak));
  for (let cell = from; cell < INNER && put(cell); cell++);
  for (let cell = from - 1; cell >= 0 && put(cell); cell--);
  // Beyond the limits a Beta is a power: x^a ÷ a, or (1 − x)^b ÷ b.
  mass[0] = Math.min(1, Math.exp(-a * LIMIT - log) / a);
  mass[CELLS - 1] = Math.min(1, Math.exp(-b * LIMIT - log) / b);
  all += mass[0] + (mass[CELLS - 1] ?? 0);
  for (let cell = 0; cell < CELLS; cell++) mass[cell] = (mass[cell] ?? 0) / all;
  return mass;
}
const LEAST_POWER = -40;

/** How likely each of some rates, apart from one another, is the highest. Within one cell all are as likely. */
function chancesOfBest(masses: readonly Float64Array[]): number[] {
  const count = masses.length;
  const best = new Array<number>(count).fill(0);
  const below = new Array<number>(count).fill(0);
  const middle = new Array<number>(count).fill(0);
  const after = new Array<number>(count + 1).fill(1);
  for (let cell = 0; cell < CELLS; cell++) {
    for (let group = 0; group < count; group++)
      middle[group] = (below[group] ?? 0) + (masses[group]?.[cell] ?? 0) / 2;
    // Of all others: the product of those before it and of those after it.
    for (let group = count - 1; group >= 0; group--)
      after[group] = (after[group + 1] ?? 1) * (middle[group] ?? 0);
    let before = 1;
    for (let group = 0; group < count; group++) {
      const own = masses[group]?.[cell] ?? 0;
      best[group] = (best[group] ?? 0) + own * before * (after[group + 1] ?? 1);
      before *= middle[group] ?? 0;
      below[group] = (below[group] ?? 0) + own;
    }
  }
  const sum = best.reduce((all, each) => all + each, 0);
  return best.map((each) => each / sum);
}

/** The rate below which so much lies, evenly spread within a cell. */
function quantileIn(mass: Float64Array, share: number): number {
  let below = 0;
  for (let cell = 0; cell < CELLS; cell++) {
    const own = mass[cell] ?? 0;
    if (below + own >= share) return rateAt(cell + (own > 0 ? (share - below) / own : 0));
    below += own;
  }
  return 1;
}

/** The same of slices of even width between two ends. */
function quantileOf(slices: readonly number[], [from, to]: readonly [number, number], share: number): number {
  let below = 0;
  for (const [slice, own] of slices.entries()) {
    if (below + own >= share) return from + ((to - from) * (slice + (share - below) / own)) / slices.length;
    below += own;
  }
  return to;
}

/** More takes than attempts, and names that are not told apart. */
export function rateProblems({ groups }: Pick<RatesQuestion, 'groups'>): Problem[] {
  const names = groups.map(({ name }) => name);
  return groups.flatMap(({ name, takes, tried }, index) => [
    ...(takes > tried
      ? [
          {
            path: `groups.${index}.takes`,
            value: takes,
            sentence: `${name} cannot have more takes than attempts.`,
          },
        ]
      : []),
    ...(names.indexOf(name) < index
      ? [{ path: `groups.${index}.name`, value: name, sentence: `The group ${name} is named twice.` }]
      : []),
  ]);
}
