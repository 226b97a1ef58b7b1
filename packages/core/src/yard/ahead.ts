import type { Attempt, Colony, Status } from '@yellow-cell/contract';
import { type Day, later, plusDays } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import type { StandingCompartment } from './compartments.ts';
import type { Weather } from './due/expectation.ts';
import { cellDay, putOff } from './due/weather.ts';

/** A step that is expected of an attempt, and the day on which the plan takes it to happen. */
interface Step {
  from: Status;
  to: Status;
  on: Day;
}

/**
 * A room on a day ahead: what is expected of its cell or queen until then is taken to have happened on its day, or
 * today where that is past; `assumed` says so. Nothing else is carried forward: what is not done stays to be done.
 */
export function carriedForward(
  room: StandingCompartment,
  { on, today }: { on: Day; today: Day },
  weather: Weather,
  constants: Constants,
): StandingCompartment & { assumed?: true } {
  const { colony, attempt } = room;
  if (on <= today || !colony || !attempt) return room;
  let [status, since, now] = [colony.status, colony.since, attempt];
  for (const step of stepsOf(attempt, weather, constants)) {
    const day = later(step.on, today);
    if (step.from !== status || day > on) continue;
    [status, since, now] = [step.to, day, after(now, step.to, day)];
  }
  if (status === colony.status) return room;
  const bees: Colony = { ...colony, status, since };
  return { ...room, colony: bees, attempt: now, status, since, assumed: true };
}

function stepsOf(attempt: Attempt, weather: Weather, constants: Constants): Step[] {
  const eggs = attempt.layingOn ?? putOff(attempt, constants.eggsExpected_d, weather, constants);
  const scored = later(
    plusDays(cellDay(attempt), constants.scoreFrom_d),
    plusDays(eggs, constants.workerSealed_d),
  );
  return [
    { from: 'cellGiven', to: 'virgin', on: plusDays(attempt.givenOn, constants.openingExpected_d) },
    { from: 'virgin', to: 'laying', on: eggs },
    { from: 'laying', to: 'proven', on: plusDays(scored, 1) },
  ];
}

const after = (attempt: Attempt, status: Status, on: Day): Attempt =>
  status === 'virgin'
    ? { ...attempt, openedOn: attempt.openedOn ?? on }
    : status === 'laying'
      ? { ...attempt, layingOn: attempt.layingOn ?? on }
      : attempt;
