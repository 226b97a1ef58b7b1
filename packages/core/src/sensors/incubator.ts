import type { BoxReadings, Measure, Round } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { cellsLeft } from '../rounds/cellsOf.ts';
import { cellsUntil } from '../yard/warn/timeWarnings.ts';

type Limits = Pick<
  Constants,
  'incubatorLeast_C' | 'incubatorMost_C' | 'incubatorLeast_pct' | 'incubatorMost_pct'
>;

/** What a probe says of the cells of a round that lie in an incubator. */
export interface IncubatorWatch {
  /** The probe, called as the place where the cells were carried. */
  name: string;
  temperature_C: number | undefined;
  humidity_pct: number | undefined;
  /** Since when nothing has come. */
  silentSince: string | null;
  /** What is wrong, a sentence each. */
  wrong: readonly string[];
}

/** A probe that bears no other name. */
const USUAL_NAME = 'Incubator';

/** The incubator that a round's cells lie in by now, where a probe is in it; undefined once none are left there. */
export function incubatorOf(
  round: Pick<Round, 'accepted' | 'grafts' | 'moved' | 'graftedOn'>,
  given: number,
  probes: readonly BoxReadings[],
  limits: Limits,
  today: Day,
): IncubatorWatch | undefined {
  const last = round.moved?.findLast(({ to }) => to !== 'discarded');
  if (last?.to !== 'incubator' || cellsLeft(round, given) === 0 || today > cellsUntil(round))
    return undefined;
  const wanted = (last.where ?? USUAL_NAME).toLowerCase();
  const probe = probes.find(({ box }) => box.toLowerCase() === wanted);
  if (!probe) return undefined;
  const read = (measure: Measure) =>
    probe.latest.find((each) => each.measure === measure)?.value ?? undefined;
  const [temperature_C, humidity_pct] = [read('temperature_C'), read('humidity_pct')];
  const said = (name: string, value: number | undefined, least: number, most: number, unit: string) =>
    value === undefined || (value >= least && value <= most)
      ? []
      : [`${name} ${value} ${unit}: cells want ${least} to ${most} ${unit}.`];
  return {
    name: probe.box,
    temperature_C,
    humidity_pct,
    silentSince: probe.silentSince,
    wrong: [
      ...said(`${probe.box} is at`, temperature_C, limits.incubatorLeast_C, limits.incubatorMost_C, '°C'),
      ...said('Its air is at', humidity_pct, limits.incubatorLeast_pct, limits.incubatorMost_pct, '%'),
    ],
  };
}
