import type { Round, WeatherDay } from '@yellow-cell/contract';
import type { Day } from '../../calendar/days.ts';
import { countOf } from '../../say/words.ts';
import { present, type Tellers } from './telling.ts';

type SeasonKind =
  | 'roundPlanned'
  | 'roundDropped'
  | 'lotWanted'
  | 'lotDropped'
  | 'grafted'
  | 'cellsAccepted'
  | 'cellsMoved'
  | 'combToDonor'
  | 'incubatorRead'
  | 'weatherRecorded'
  | 'bloomSeen'
  | 'trialBegun'
  | 'trialEnded'
  | 'withdrawn';

export const seasonTellers: Tellers<SeasonKind> = {
  roundPlanned({ rounds }, { payload: { round: id, donorQueen, graftOn, ...rest } }) {
    const before = rounds.get(id);
    if (before && !before.planned) return `Round ${before.number} is grafted already: its day is a fact.`;
    rounds.set(id, {
      id,
      ...rest,
      ...present({ donorQueen, comb: before?.comb }),
      graftedOn: graftOn,
      planned: true,
      plan: { graftOn, grafts: rest.grafts },
    });
    return undefined;
  },

  roundDropped({ rounds }, { payload: { round: id } }) {
    const round = rounds.get(id);
    if (!round) return NO_ROUND;
    if (!round.planned) return `Round ${round.number} is grafted already: it cannot be dropped.`;
    rounds.delete(id);
    return undefined;
  },

  // Lots are read from the log where they are shown; they change no box.
  lotWanted: () => undefined,
  lotDropped: () => undefined,

  grafted({ rounds }, { payload: { round: id, donorQueen, countedAtOnce, ...rest } }, on) {
    const before = rounds.get(id);
    if (before && !before.planned) return `Round ${rest.number} was already grafted.`;
    const { plan, comb } = before ?? {};
    const round: Round = { id, ...rest, ...present({ donorQueen, plan, comb }), graftedOn: on };
    if (countedAtOnce === undefined) rounds.set(id, round);
    return countedAtOnce === undefined ? undefined : count(rounds, round, countedAtOnce, on);
  },

  cellsAccepted({ rounds }, { payload: { round: id, accepted } }, on) {
    const round = rounds.get(id);
    return round && !round.planned ? count(rounds, round, accepted, on) : NO_ROUND;
  },

  cellsMoved({ rounds }, { payload: { round: id, cells, to, where } }, on) {
    const round = rounds.get(id);
    if (!round || round.planned) return NO_ROUND;
    const most = round.accepted?.cells ?? round.grafts;
    if (cells > most) return `Round ${round.number} has ${countOf(most, 'cell')}; ${cells} cannot be moved.`;
    const moved = [...(round.moved ?? []), { on, cells, to, ...present({ where }) }];
    // What was read was read where they lay until then.
    const { incubated, ...rest } = round;
    const last = round.moved?.findLast((each) => each.to !== 'discarded');
    const stay = to === 'discarded' || (last?.to === to && last.where === where);
    rounds.set(id, { ...rest, moved, ...(stay ? present({ incubated }) : {}) });
    return undefined;
  },

  combToDonor({ rounds }, { payload: { round: id }, occurredAt }) {
    const round = rounds.get(id);
    if (!round) return 'There is no such round.';
    if (!round.planned) return `Round ${round.number} is grafted already: its comb was given before.`;
    rounds.set(id, { ...round, comb: { at: occurredAt } });
    return undefined;
  },

  incubatorRead({ rounds }, { payload: { round: id, temperature_C, humidity_pct }, occurredAt }) {
    const round = rounds.get(id);
    if (!round || round.planned) return NO_ROUND;
    if (!round.moved?.some(({ to }) => to === 'incubator'))
      return `No cells of round ${round.number} were carried to an incubator.`;
    rounds.set(id, { ...round, incubated: { at: occurredAt, temperature_C, ...present({ humidity_pct }) } });
    return undefined;
  },

  weatherRecorded({ weather, known }, { payload }) {
    if (!known.yards.has(payload.yard)) return NO_YARD;
    const days = weather.get(payload.yard) ?? new Map<Day, WeatherDay>();
    // What is told later of a day adds to what was known of it, or takes its place.
    for (const day of payload.days) days.set(day.date, merged(days.get(day.date), day));
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

/** A day as it is told, and where that leaves something open, as it was known before. */
const merged = (before: WeatherDay | undefined, day: WeatherDay): WeatherDay => ({
  date: day.date,
  min_C: day.min_C ?? before?.min_C ?? null,
  max_C: day.max_C ?? before?.max_C ?? null,
  wind_ms: day.wind_ms ?? before?.wind_ms ?? null,
  rain_mm: day.rain_mm ?? before?.rain_mm ?? null,
  flying_h: day.flying_h ?? before?.flying_h ?? null,
});

const NO_YARD = 'There is no such yard.';
const NO_ROUND = 'That round was not grafted yet.';

function count(rounds: Map<string, Round>, round: Round, cells: number, on: Day): string | undefined {
  if (cells > round.grafts)
    return `${countOf(cells, 'cell')} cannot be accepted of ${countOf(round.grafts, 'graft')}.`;
  rounds.set(round.id, { ...round, accepted: { on, cells } });
  return undefined;
}
