import type { AirAnswer, AirQuestion, Problem } from '@yellow-cell/contract';
import { type Constants, constantsWith } from '../constants/registry.ts';
import { above, below } from '../numbers.ts';
import { refuse } from '../problems.ts';
import { factorOf, flowAt } from './flow.ts';

/**
 * A box shut in: how warm it gets by the bees' heat against what its walls and openings let out, and when it
 * passes limits, with the flow of each moment (handbook 3). Throws `ProblemsError`.
 */
export function air(question: AirQuestion, constants = constantsWith(question.constants)): AirAnswer {
  refuse(airProblems(question));
  const room = roomOf(question, constants);
  const rise_K = steadyRise(room);
  return {
    rise_K,
    inside_C: question.outside_C + rise_K,
    flow_m3s: flowAt(room.factor, room.outside_C, rise_K),
    minutesTo: question.limits_C.map((limit_C) => ({ limit_C, minutes: minutesTo(room, rise_K, limit_C) })),
  };
}

interface Room {
  outside_C: number;
  start_C: number;
  ua_WK: number;
  heat_W: number;
  factor: number;
  /** In J/K. */
  capacity: number;
  /** In J/(m³·K). */
  airHeat: number;
}

function roomOf(question: AirQuestion, constants: Constants): Room {
  const { outside_C, ua_WK, bees_kg, heat_Wkg, openings, comb_kg, start_C = outside_C, sun_W = 0 } = question;
  return {
    outside_C,
    start_C,
    ua_WK,
    heat_W: bees_kg * heat_Wkg + sun_W,
    factor: factorOf(openings, constants.discharge),
    capacity: constants.beesHeat_JkgK * bees_kg + constants.combHeat_JkgK * comb_kg,
    airHeat: constants.airHeat_Jm3K,
  };
}

/** Watts that stay in the room at a difference of temperature. */
const netHeat = (room: Room, rise_K: number): number =>
  room.heat_W - (room.ua_WK + room.airHeat * flowAt(room.factor, room.outside_C, rise_K)) * rise_K;

/** The rise at which as much goes out as comes in, in K. */
function steadyRise(room: Room): number {
  if (room.heat_W <= 0) return 0;
  let [low, high] = [0, 1];
  while (netHeat(room, high) > 0) high *= 2;
  for (let step = 0; step < BISECTIONS; step++) {
    const middle = (low + high) / 2;
    if (netHeat(room, middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
const BISECTIONS = 80;

/** Minutes until a limit is passed: null where it never is, 0 where it is passed at the start. */
function minutesTo(room: Room, steady_K: number, limit_C: number): number | null {
  const start_K = room.start_C - room.outside_C;
  const limit_K = limit_C - room.outside_C;
  if (!below(start_K, limit_K)) return 0;
  if (!above(steady_K, limit_K)) return null;
  if (room.capacity === 0) return 0;
  // With u = −ln of the share of the way still to go, the integrand stays smooth up to the steady state.
  const all = steady_K - start_K;
  const until = -Math.log((steady_K - limit_K) / all);
  const slowness = (u: number): number => {
    const left = all * Math.exp(-u);
    return (room.capacity * left) / netHeat(room, steady_K - left);
  };
  const minutes = simpson(slowness, 0, until) / 60;
  return Number.isFinite(minutes) ? minutes : null; // so slow that no clock counts it
}

const STEPS = 600;
function simpson(f: (x: number) => number, from: number, to: number): number {
  const h = (to - from) / STEPS;
  let sum = f(from) + f(to);
  for (let step = 1; step < STEPS; step++) sum += (step % 2 === 1 ? 4 : 2) * f(from + step * h);
  return (sum * h) / 3;
}

/** What makes the question unanswerable beyond the range of single fields. */
export function airProblems({
  ua_WK,
  openings,
  bees_kg,
  heat_Wkg,
  sun_W = 0,
}: Pick<AirQuestion, 'ua_WK' | 'openings' | 'bees_kg' | 'heat_Wkg' | 'sun_W'>): Problem[] {
  if (ua_WK > 0 || openings.length > 0 || bees_kg * heat_Wkg + sun_W === 0) return [];
  return [
    {
      path: 'ua_WK',
      value: ua_WK,
      sentence: 'A box that lets out neither heat nor air grows warmer without end.',
    },
  ];
}
