import type { Entry, LogEvent } from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import { type Day, dayAt } from '../calendar/days.ts';
import { clockProblem } from './entryProblem.ts';
import { effective } from './order.ts';
import { emptyYard, type Known, type YardState } from './state.ts';
import { tell } from './tell/tell.ts';
import type { Telling } from './tell/telling.ts';

/** An effective event with the day it happened on, in its own zone. */
interface DatedEvent {
  event: LogEvent;
  on: Day;
}

/** The effective events in order with their days: worked out once for a log that is folded at many dates. */
export function chronicle(events: readonly LogEvent[]): DatedEvent[] {
  return effective(events).map(({ event, at }) => ({ event, on: dayAt(at, event.zone) }));
}

/**
 * State of the boxes concerned as of a day: all that happened before the day ended in the entry's own zone,
 * corrections applied; with no day, all there is. Entries that cannot be go `toSettle` with their sentence
 * and change nothing.
 */
export const fold = (known: Known, events: readonly LogEvent[], asOf?: Day): YardState =>
  foldChronicle(known, chronicle(events), asOf);

/** The same for events already in order. */
export const foldChronicle = (known: Known, dated: readonly DatedEvent[], asOf?: Day): YardState =>
  foldOn(emptyYard, known, dated, asOf);

/** Goes on telling from a state in which everything before these events is told already. */
export function foldOn(state: YardState, known: Known, dated: readonly DatedEvent[], asOf?: Day): YardState {
  const telling = tellingFrom(state, known);
  const story = [...state.story];
  const toSettle = [...state.toSettle];
  for (const { event, on } of dated) {
    if (asOf !== undefined && on > asOf) continue;
    const sentence = clockProblem(event) ?? tell(telling, event, on);
    if (sentence === undefined) story.push(event);
    else toSettle.push({ event, sentence });
  }
  const { known: _, ...told } = telling;
  return { ...told, story, toSettle };
}

const tellingFrom = (state: YardState, known: Known): Telling => ({
  known,
  boxes: new Map(state.boxes),
  colonies: new Map(state.colonies),
  attempts: new Map(state.attempts),
  queens: new Map(state.queens),
  frames: new Map(state.frames),
  rounds: new Map(state.rounds),
  weather: new Map([...state.weather].map(([yard, days]) => [yard, new Map(days)])),
  trials: new Map(state.trials),
});

/** The state as it would be after something that is only thought of yet, or why that cannot be. */
export function stateAfter(
  state: YardState,
  known: Known,
  act: Pick<Entry, 'kind' | 'payload'>,
  on: Day,
): YardState | string {
  const telling = tellingFrom(state, known);
  const entry = {
    ...act,
    id: 'thought',
    kindVersion: kindVersionOf(act.kind),
    occurredAt: `${on}T12:00:00.000Z`,
    zone: 'UTC',
    person: '',
    device: '',
    deviceSeq: 0,
  } as Entry;
  const sentence = tell(telling, entry, on);
  if (sentence !== undefined) return sentence;
  const { known: _, ...told } = telling;
  return { ...state, ...told };
}
