import type { Attempt, Colony, Status } from '@yellow-cell/contract';
import { type Day, plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { statusWords } from '../statusWords.ts';
import { firstOf } from '../things.ts';
import { type StatusEvent, statusAfter } from '../transitions.ts';
import { livingColony, present, type Telling } from './telling.ts';

/** The living colony that an entry is about and the status it would have after, or why the entry cannot be. */
export function colonyFor(
  telling: Telling,
  kind: StatusEvent,
  payload: { box: string; colony: string },
  on: Day,
): { colony: Colony; status: Status } | string {
  const colony = livingColony(telling, payload, on);
  if (typeof colony === 'string') return colony;
  const status = statusAfter(kind, colony.status);
  if (status !== undefined) return { colony, status };
  return `The compartment is “${statusWords[colony.status]}” since ${showDay(colony.since, on)}: ${CANNOT[kind]}`;
}

export const CANNOT: Readonly<Record<StatusEvent, string>> = {
  stocked: 'it cannot be stocked anew.',
  hivedLaying: 'a colony with its queen goes into an empty compartment.',
  hivedUnknown: 'a colony of which little is known goes into an empty compartment.',
  cellGiven: 'record what became of its queen or cell before giving a cell.',
  virginGiven: 'record what became of its queen or cell before giving a virgin.',
  matedGiven: 'record what became of its queen or cell before giving a queen.',
  cellOpened: 'there is no cell in it that could have opened.',
  eggsSeen: 'if there are eggs after all, withdraw that entry first.',
  patternScored: 'there is no brood of a queen in it to score.',
  failed: 'there is nothing in it that could fail.',
  queenTaken: 'there is no queen in it to take.',
  combined: 'there are no bees to combine.',
};

/** An observation of the colony and, where it is one, of its attempt. */
export function observe(
  telling: Telling,
  kind: StatusEvent,
  payload: { box: string; colony: string; attempt?: string | undefined },
  on: Day,
  change: (attempt: Attempt) => Attempt,
): string | undefined {
  const found = colonyFor(telling, kind, payload, on);
  if (typeof found === 'string') return found;
  const { colony, status } = found;
  if (payload.attempt !== undefined && payload.attempt !== colony.attempt)
    return 'The entry is about a cell that is not the one in this compartment.';
  const attempt = colony.attempt === undefined ? undefined : telling.attempts.get(colony.attempt);
  if (attempt && !attempt.taken && !attempt.failed) telling.attempts.set(attempt.id, change(attempt));
  const { putOff: _, ...moved } = colony;
  // What was put off belonged to the status before: another status has work of its own.
  const same = status === colony.status;
  telling.colonies.set(colony.id, same ? colony : { ...moved, status, since: on });
  return undefined;
}

/** The attempt with the day that it became a take, and its queen as a person from then on. */
export function withLaying(telling: Telling, attempt: Attempt, on: Day): Attempt {
  if (attempt.layingOn) return attempt;
  attemptsQueen(telling, attempt, on);
  return { ...attempt, layingOn: on };
}

/** Days from the graft to her emergence (handbook 5, development: queen, from a larva on day 4). */
export const EMERGES_AFTER_GRAFT_D = 12;
const EMERGES_AFTER_RIPE_D = 2;

/** The queen that came of an attempt; she bears its id. */
export function attemptsQueen(telling: Telling, attempt: Attempt, on: Day): void {
  if (telling.queens.has(attempt.id)) return;
  const round = attempt.round === undefined ? undefined : telling.rounds.get(attempt.round);
  const bornOn = round
    ? plusDays(round.graftedOn, EMERGES_AFTER_GRAFT_D)
    : plusDays(attempt.givenOn, EMERGES_AFTER_RIPE_D);
  const mother = round && (round.donorQueen ? { queen: round.donorQueen } : { name: round.donor });
  const colony = firstOf(telling.colonies, (each) => each.attempt === attempt.id && !each.ended);
  telling.queens.set(attempt.id, {
    id: attempt.id,
    colony: colony?.id ?? attempt.colony,
    box: colony?.box ?? attempt.box,
    since: on,
    bornOn,
    birthYear: Number(bornOn.slice(0, 4)),
    sightings: [],
    ...present({ mother, round: attempt.round }),
  });
}
