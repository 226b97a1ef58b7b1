import { type Day, daysBetween, plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { countOf } from '../../say/words.ts';
import { cellDay } from '../due/weather.ts';
import { EMERGES_AFTER_GRAFT_D } from '../tell/observe.ts';
import type { Act } from './act.ts';
import type { Objection, Situation } from './situation.ts';

/** A day more than the usual: a cool finisher puts emergence off. */
const EMERGED_SURELY_D = EMERGES_AFTER_GRAFT_D + 1;

/** The last day on which a cell of a round can still be one. */
export const cellsUntil = ({ graftedOn }: { graftedOn: Day }): Day => plusDays(graftedOn, EMERGED_SURELY_D);

/** What comes before its time, or after it: kept with a reason (handbook 5, watching a compartment). */
export function timeWarnings(situation: Situation, act: Act): Objection[] {
  const sentence = timeSentence(situation, act);
  return sentence === undefined ? [] : [{ sentence }];
}

function timeSentence({ state, on, constants }: Situation, act: Act): string | undefined {
  switch (act.kind) {
    case 'cellGiven': {
      const round = act.payload.round === undefined ? undefined : state.rounds.get(act.payload.round);
      if (round?.planned)
        return `Round ${round.number} is planned for ${showDay(round.graftedOn, on)}, and not grafted yet.`;
      if (!round || on <= cellsUntil(round)) return undefined;
      return `Round ${round.number} was grafted ${showDay(round.graftedOn, on)}: its queens emerged by ${showDay(cellsUntil(round), on)}.`;
    }
    case 'cellOpened': {
      const attempt = state.attempts.get(act.payload.attempt);
      return attempt?.openedOn === undefined
        ? undefined
        : `That cell was seen opened on ${showDay(attempt.openedOn, on)} already.`;
    }
    case 'eggsSeen': {
      const attempt = attemptOf(state, act.payload.colony);
      if (!attempt || attempt.layingOn) return undefined;
      const first = plusDays(cellDay(attempt), constants.flightsFrom_d + constants.laysAfterFlight_d);
      return on < first
        ? `${countOf(daysBetween(attempt.givenOn, on), 'day')} after the ${attempt.what} was given she cannot lay yet: eggs before ${showDay(first, on)} are another queen’s, or workers’.`
        : undefined;
    }
    case 'patternScored': {
      const attempt = attemptOf(state, act.payload.colony);
      if (!attempt) return undefined;
      const flies = plusDays(cellDay(attempt), constants.flightsFrom_d + constants.laysAfterFlight_d);
      const sealed = plusDays(attempt.layingOn ?? flies, constants.workerSealed_d);
      return on < sealed
        ? `No brood of hers can be sealed before ${showDay(sealed, on)}: what is sealed now was given, or is another’s.`
        : undefined;
    }
    default:
      return undefined;
  }
}

const attemptOf = ({ colonies, attempts }: Situation['state'], id: string) => {
  const attempt = attempts.get(colonies.get(id)?.attempt ?? '');
  return attempt && !attempt.failed && !attempt.taken ? attempt : undefined;
};
