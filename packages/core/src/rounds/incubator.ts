import type { BoxReadings, Measure, Round } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { SILENT_MS } from '../sensors/judge.ts';
import { cellsUntil } from '../yard/warn/timeWarnings.ts';
import { cellsLeft } from './cellsOf.ts';

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
  const newest = Math.max(0, ...probe.latest.map(({ at }) => Date.parse(at)));
  /** The last that can be trusted, where it is not long before what else the probe has told. */
  const read = (measure: Measure) => {
    const last = probe.latest.find((each) => each.measure === measure);
    return last && newest - Date.parse(last.at) <= SILENT_MS ? (last.value ?? undefined) : undefined;
  };
  const [temperature_C, humidity_pct] = [read('temperature_C'), read('humidity_pct')];
  const { incubatorLeast_C, incubatorMost_C, incubatorLeast_pct, incubatorMost_pct } = limits;
  const tenths = (celsius: number) => celsius.toFixed(1);
  return {
    name: probe.box,
    temperature_C,
    humidity_pct,
    silentSince: probe.silentSince,
    wrong: [
      ...(temperature_C === undefined && !probe.silentSince ? [`${probe.box} tells no temperature.`] : []),
      ...(temperature_C !== undefined && (temperature_C < incubatorLeast_C || temperature_C > incubatorMost_C)
        ? [
            `${probe.box} is at ${tenths(temperature_C)} °C: cells want ${tenths(incubatorLeast_C)} to ${tenths(incubatorMost_C)} °C.`,
          ]
        : []),
      ...(humidity_pct !== undefined &&
      (humidity_pct < incubatorLeast_pct || humidity_pct > incubatorMost_pct)
        ? [`Its air is at ${humidity_pct} %: cells want ${incubatorLeast_pct} to ${incubatorMost_pct} %.`]
        : []),
    ],
  };
}
