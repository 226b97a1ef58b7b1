import type { BoxStanding, Entry, LogEvent, Round, WeatherDay } from '@yellow-cell/contract';
import { subjectsOf } from '@yellow-cell/contract/subjects';
import type { YardState } from './state.ts';
import { raised } from './upcast.ts';

/** What boxes as they stand say, as the state that the fold goes on from; `story` holds what happened last in each. */
export function stateOfStanding(
  boxes: readonly BoxStanding[],
  rounds: readonly Round[],
  yard: string,
  weather: readonly WeatherDay[],
): YardState {
  const recent = new Map<string, LogEvent>();
  for (const each of boxes) for (const entry of each.recent) recent.set(entry.id, asEvent(entry));
  return {
    boxes: byId(boxes.map(({ box }) => box)),
    colonies: byId(boxes.flatMap(({ colonies }) => colonies)),
    attempts: byId(boxes.flatMap(({ attempts }) => attempts)),
    queens: byId(boxes.flatMap(({ queens }) => queens)),
    frames: byId(boxes.flatMap(({ frames }) => frames)),
    rounds: byId(rounds),
    weather: new Map([[yard, new Map(weather.map((day) => [day.date, day]))]]),
    trials: new Map(),
    story: [...recent.values()].sort((a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt)),
    toSettle: [],
  };
}

/** An entry as the log will have it, or had it, without what only the server knows. */
export const asEvent = (entry: Entry): LogEvent => ({
  ...raised(entry),
  breeder: '',
  recordedAt: entry.occurredAt,
  subjects: subjectsOf(entry),
});

const byId = <T extends { id: string }>(list: readonly T[]): Map<string, T> =>
  new Map(list.map((each) => [each.id, each]));
