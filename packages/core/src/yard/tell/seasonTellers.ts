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

  weatherRecorded({ weather }, { payload }) {
    const days = weather.get(payload.yard) ?? new Map<Day, WeatherDay>();
    for (const day of payload.days) days.set(day.date, day);
    weather.set(payload.yard, days);
    return undefined;
  },

  // Records of a yard, read from the log where they are shown; they change no box.
  bloomSeen: () => undefined,
  trialBegun: () => undefined,
  trialEnded: () => undefined,
  withdrawn: () => undefined,
};
