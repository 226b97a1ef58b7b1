import type { BoxReadings, Measure, Round } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { SILENT_MS } from '../sensors/judge.ts';
import { cellsUntil } from '../yard/warn/timeWarnings.ts';
import { cellsLeft } from './cellsOf.ts';

type Limits = Pick<
  Constants,
  'incubatorLeast_C' | 'incubatorMost_C' | 'incubatorLeast_pct' | 'incubatorMost_pct' | 'incubatorRead_h'
>;

/** What a probe, or who looked last, says of the cells of a round that lie in an incubator. */
export interface IncubatorWatch {
  /** The place where the cells were carried, and its probe. */
  name: string;
  temperature_C: number | undefined;
  humidity_pct: number | undefined;
  /** Since when nothing has come. */
  silentSince: string | null;
  /** When somebody read it, where that is newer than what a probe tells. */
  readAt: string | undefined;
  /** What is wrong, a sentence each. */
  wrong: readonly string[];
}

const HOUR_MS = 3_600_000;
/** An incubator that bears no other name. */
const USUAL_NAME = 'Incubator';

/** The incubator that a round's cells lie in by now, by the newest of its probe and of what was read; undefined once none are left there. */
export function incubatorOf(
  round: Pick<Round, 'accepted' | 'grafts' | 'moved' | 'graftedOn' | 'incubated'>,
  given: number,
  probes: readonly BoxReadings[],
  limits: Limits,
  today: Day,
  now: string,
): IncubatorWatch | undefined {
  const last = round.moved?.findLast(({ to }) => to !== 'discarded');
  if (last?.to !== 'incubator' || cellsLeft(round, given) === 0 || today > cellsUntil(round))
    return undefined;
  const name = last.where ?? USUAL_NAME;
  const probe = probes.find(({ box }) => box.toLowerCase() === name.toLowerCase());
  const told = probe && tells(probe);
  const { incubated } = round;
  const isRead = incubated !== undefined && (!told || Date.parse(incubated.at) > told.newest);
  const { temperature_C, humidity_pct } = (isRead ? incubated : told) ?? {};
  const { incubatorLeast_C, incubatorMost_C, incubatorLeast_pct, incubatorMost_pct } = limits;
  const tenths = (celsius: number) => celsius.toFixed(1);
  const place = probe?.box ?? name;
  return {
    name: place,
    temperature_C,
    humidity_pct,
    // Who has looked stands in for a probe that is silent, for a while.
    silentSince:
      isRead && Date.parse(now) - Date.parse(incubated.at) < limits.incubatorRead_h * HOUR_MS
        ? null
        : (probe?.silentSince ?? null),
    readAt: isRead ? incubated.at : undefined,
    wrong: [
      ...(temperature_C === undefined && probe && !probe.silentSince
        ? [`${place} tells no temperature.`]
        : []),
      ...(temperature_C !== undefined && (temperature_C < incubatorLeast_C || temperature_C > incubatorMost_C)
        ? [
            `${place} is at ${tenths(temperature_C)} °C: cells want ${tenths(incubatorLeast_C)} to ${tenths(incubatorMost_C)} °C.`,
          ]
        : []),
      ...(humidity_pct !== undefined &&
      (humidity_pct < incubatorLeast_pct || humidity_pct > incubatorMost_pct)
        ? [`Its air is at ${humidity_pct} %: cells want ${incubatorLeast_pct} to ${incubatorMost_pct} %.`]
        : []),
    ],
  };
}

/** What a probe told last that can be trusted, where it is not long before what else it has told. */
function tells({ latest }: BoxReadings) {
  const newest = Math.max(0, ...latest.map(({ at }) => Date.parse(at)));
  const read = (measure: Measure): number | undefined => {
    const last = latest.find((each) => each.measure === measure);
    return last && newest - Date.parse(last.at) <= SILENT_MS ? (last.value ?? undefined) : undefined;
  };
  return { newest, temperature_C: read('temperature_C'), humidity_pct: read('humidity_pct') };
}
