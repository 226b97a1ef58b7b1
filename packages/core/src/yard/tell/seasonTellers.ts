import type { WeatherDay } from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import { present, type Tellers } from './telling.ts';

type SeasonKind = 'grafted' | 'weatherRecorded' | 'bloomSeen' | 'trialBegun' | 'trialEnded' | 'withdrawn';

export const seasonTellers: Tellers<SeasonKind> = {
  grafted({ rounds }, { payload: { round: id, donorQueen, ...rest } }, on) {
    if (rounds.has(id)) return `Round ${rest.number} was already grafted.`;
    if (rest.accepted > rest.grafts)
      return `${rest.accepted} cells cannot be accepted of ${rest.grafts} grafts.`;
    rounds.set(id, { id, ...rest, ...present({ donorQueen }), graftedOn: on });
    return undefined;
  },

  weatherRecorded({ weather, known }, { payload }) {
    if (!known.yards.has(payload.yard)) return NO_YARD;
    const days = weather.get(payload.yard) ?? new Map<Day, WeatherDay>();
    for (const day of payload.days) days.set(day.date, day);
    weather.set(payload.yard, days);
    return undefined;
  },

  // Blooms and trials are read from the log where they are shown; they change no box.
  bloomSeen: ({ known }, { payload }) => (known.yards.has(payload.yard) ? undefined : NO_YARD),

  trialBegun({ trials, known }, { payload: { trial, yard } }) {
    if (!known.yards.has(yard)) return NO_YARD;
    if (trials.has(trial)) return 'This trial was already begun.';
    trials.set(trial, { yard, ended: false });
    return undefined;
  },

  trialEnded({ trials }, { payload: { trial, yard } }) {
    const begun = trials.get(trial);
    if (begun?.yard !== yard) return 'There was no such trial in this yard.';
    if (begun.ended) return 'This trial has ended already.';
    trials.set(trial, { yard, ended: true });
    return undefined;
  },

  // Applied where the events are put in order; it changes nothing of its own.
  withdrawn: () => undefined,
};

const NO_YARD = 'There is no such yard.';
