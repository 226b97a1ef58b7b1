import type { GapAnswer, GapPlace, GapQuestion, GapVerdict, Passer } from '@yellow-cell/contract';
import { above, below } from '../numbers.ts';

/** What a gap does (handbook 2). All limits in mm. */
const LEAST_AIR = 3.0;
const LEAST_WORKER = 4.1;
const MOST_EXCLUDER = 4.5;
const LEAST_DRONE = 5.4;
const LEAST_BEE_SPACE = 6.0;
/** From the end of bee space, braces are built over this much more; beyond it, comb. */
const BRACE_OVER = 4.5;
/** The end of bee space: joints and floors are the exceptions that bees leave free. */
const MOST_BEE_SPACE: Readonly<Record<GapPlace, number>> = {
  slot: 9.5,
  pane: 9.5,
  divider: 9.5,
  joint: 13,
  floor: 22,
};

/** Verdict on one gap and who passes it. `gap_mm` is 0 or more. */
export function gap({ gap_mm, where = 'slot' }: GapQuestion): GapAnswer {
  return { verdict: gapVerdict(gap_mm, MOST_BEE_SPACE[where]), passes: passers(gap_mm) };
}

function gapVerdict(mm: number, mostBeeSpace: number): GapVerdict {
  if (below(mm, LEAST_AIR)) return 'shut';
  if (below(mm, LEAST_WORKER)) return 'air';
  if (!above(mm, MOST_EXCLUDER)) return 'excluder';
  if (below(mm, LEAST_BEE_SPACE)) return 'squeeze';
  if (!above(mm, mostBeeSpace)) return 'beeSpace';
  return above(mm, mostBeeSpace + BRACE_OVER) ? 'comb' : 'brace';
}

function passers(mm: number): Passer[] {
  if (below(mm, LEAST_AIR)) return [];
  if (below(mm, LEAST_WORKER)) return ['air'];
  if (!above(mm, MOST_EXCLUDER)) return ['air', 'worker'];
  return below(mm, LEAST_DRONE) ? ['air', 'worker', 'queen'] : ['air', 'worker', 'queen', 'drone'];
}

/** Decimal sums come within this of a limit, in mm. */
const NEAR_MM = 1e-9;
export const workersPass = (gap_mm: number): boolean => gap_mm >= LEAST_WORKER - NEAR_MM;
export const dronesPass = (gap_mm: number): boolean => gap_mm >= LEAST_DRONE - NEAR_MM;
/** Workers pass and a queen does not. */
export const excludesQueens = (gap_mm: number): boolean =>
  workersPass(gap_mm) && gap_mm <= MOST_EXCLUDER + NEAR_MM;
