import type { BreathAnswer } from '@yellow-cell/contract';
import { breath } from '../air/breath.ts';
import { flowAt } from '../air/flow.ts';
import type { Constants } from '../constants/registry.ts';
import { below } from '../numbers.ts';
import { type BalanceSpace, type Drive, type HeatBalance, heatInTime } from './heatInTime.ts';

/** A space of a shut box: its own heat, what it stores, what its openings let through, and how warm it begins. */
export interface ShutSpace extends BalanceSpace {
  heat_W: number;
  start_C: number;
}
export interface ShutBox extends HeatBalance {
  outside_C: number;
  /** How much warmer than the air the outer side of each face feels, by the sun. */
  outer_K?: readonly number[];
  spaces: readonly ShutSpace[];
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
  { until_s: 3_600, step_s: 30 },
  { until_s: 3 * 3_600, step_s: 60 },
  { until_s: SHUT_HOURS * 3_600, step_s: 240 },
];

/**
 * A shut box in time, all its spaces together: each warms by its own bees and by its neighbours, through wood that warms
 * as well, and breathes by the temperature of the moment.
 */
export function shutCourses(
  box: ShutBox,
  limits_C: readonly number[],
  constants: Constants,
): ReadonlyMap<string, ShutCourse> {
  const { outside_C, spaces } = box;
  const { begin, stepsOf, rest } = heatInTime(box, constants);
  const drive = driveOf(box);
  const start = spaces.map(({ start_C }) => start_C);
  let moment = begin(start, outside_C);
  const hottest = [...start];
  const minutes = start.map((at_C) =>
    limits_C.map((limit): number | null => (below(at_C, limit) ? null : 0)),
  );
  let seconds = 0;
  for (const { until_s, step_s } of STEPS) {
    const advance = stepsOf(step_s);
    while (seconds < until_s) {
      const before = moment.inside;
      moment = advance(moment, drive);
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
  const last = rest(moment.inside, drive);
  return new Map(
    spaces.map(({ id, factor }, at) => {
      const steady_C = last[at] ?? outside_C;
      return [
        id,
        {
          steady_C,
          hottest_C: Math.max(hottest[at] ?? steady_C, steady_C),
          flow_m3s: flowAt(factor, outside_C, Math.abs(steady_C - outside_C)),
          minutesTo: limits_C.map((limit_C, which) => ({ limit_C, minutes: minutes[at]?.[which] ?? null })),
        },
      ];
    }),
  );
}

/** How warm each space of a shut box gets at last. */
export function shutAtLast(box: ShutBox, constants: Constants): readonly number[] {
  return heatInTime(box, constants).rest(
    box.spaces.map(({ start_C }) => start_C),
    driveOf(box),
  );
}

const driveOf = ({ outside_C, outer_K, spaces }: ShutBox): Drive => ({
  outside_C,
  ...(outer_K ? { outer_K } : {}),
  heat: (at) => ({ watts: spaces[at]?.heat_W ?? 0, slope_WK: 0 }),
});

/** Carbon dioxide above which a colony fans and stirs, and towards which it is harmed, in per cent. */
export const BREATH_LIMITS_PCT = [4, 8] as const;
/** The air of a room whose bees give so much heat, in W: what they breathe out goes by that alone. */
export const breathIn = (volume_m3: number, heat_W: number, flow_m3s: number): BreathAnswer =>
  breath({
    volume_m3,
    bees_kg: 1,
    heat_Wkg: heat_W,
    flow_m3s,
    hours: SHUT_HOURS,
    limits_pct: [...BREATH_LIMITS_PCT],
  });
