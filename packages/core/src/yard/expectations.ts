import type { DueKind, WeatherDay } from '@yellow-cell/contract';
import { type Day, earlier, later, plusDays } from '../calendar/days.ts';
import { showDay } from '../calendar/showDay.ts';
import type { Constants } from '../constants/registry.ts';
import type { Attempt, Colony } from './state.ts';
import { feedWords } from './statusWords.ts';

/** Work that a colony expects, with its window and the reason in plain words. */
export interface Expectation {
  kind: DueKind;
  title: string;
  from: Day;
  expected: Day;
  to: Day;
  reason: string;
  /** True where the work no longer makes sense once its window is over. */
  lapses?: true;
}

export type Weather = ReadonlyMap<Day, WeatherDay>;

/** Rules that raise work (handbook 5, watching a compartment; 6, rules): what is expected of this colony, soonest first. */
export function expectationsOf(
  colony: Colony,
  attempt: Attempt | undefined,
  weather: Weather,
  constants: Constants,
): Expectation[] {
  if (colony.ended) return [];
  const raised = rules
    .flatMap((rule) => rule({ colony, attempt, weather, constants }) ?? [])
    .flatMap((each) => putOffBy(colony, each) ?? []);
  return raised.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}

/** Work that was dismissed is not asked for again; what was put off waits for its day. */
function putOffBy({ putOff = {} }: Colony, work: Expectation): Expectation | undefined {
  const until = putOff[work.kind];
  if (until === null) return undefined;
  if (until === undefined || until <= work.from) return work;
  return { ...work, from: until, expected: later(until, work.expected), to: later(until, work.to) };
}

interface Case {
  colony: Colony;
  attempt: Attempt | undefined;
  weather: Weather;
  constants: Constants;
}
type Rule = (given: Case) => Expectation | undefined;

const giveCell: Rule = ({ colony, constants }) => {
  if (colony.status !== 'stocked') return undefined;
  const from = plusDays(colony.since, constants.giveCellFrom_d);
  return {
    kind: 'giveCell',
    title: 'Give a ripe cell',
    from,
    expected: from,
    to: plusDays(colony.since, constants.giveCellTo_d),
    reason: `Without a queen since ${showDay(colony.since)}. After a day they take a ripe cell; left longer they dwindle or raise their own.`,
  };
};

const searchWildCells: Rule = ({ colony, constants }) => {
  if (!colony.openBrood || colony.status === 'laying' || colony.status === 'proven') return undefined;
  return {
    kind: 'searchWildCells',
    title: 'Search for wild cells',
    from: plusDays(colony.stockedOn, constants.wildCellsFrom_d),
    expected: plusDays(colony.stockedOn, constants.wildCellsFrom_d + 1),
    to: plusDays(colony.stockedOn, constants.wildCellsTo_d),
    reason: `Stocked ${showDay(colony.stockedOn)} with open brood, from which bees can raise a queen of their own.`,
    lapses: true,
  };
};

const checkOpening: Rule = ({ colony, attempt, constants }) => {
  if (colony.status !== 'cellGiven' || !attempt) return undefined;
  return {
    kind: 'checkOpening',
    title: 'Check that the cell opened',
    from: plusDays(attempt.givenOn, constants.openingFrom_d),
    expected: plusDays(attempt.givenOn, constants.openingExpected_d),
    to: plusDays(attempt.givenOn, constants.openingTo_d),
    reason: `Cell given ${showDay(attempt.givenOn)}. Opened at the tip with a hinged lid is good; torn at the side is not. Do not look for the virgin.`,
  };
};

const lookForEggs: Rule = ({ colony, attempt, weather, constants }) => {
  if (!awaitsEggs(colony) || !attempt) return undefined;
  const day = (count: number) => putOff(attempt, count, weather, constants);
  const delay = lostDays(attempt, constants.eggsExpected_d, weather, constants);
  const pushed =
    delay === 0 ? '' : ` ${delay} ${delay === 1 ? 'day' : 'days'} without flying weather put this off.`;
  return {
    kind: 'lookForEggs',
    title: 'Look for eggs',
    from: day(constants.eggsFrom_d),
    expected: day(constants.eggsExpected_d),
    to: day(constants.eggsTo_d),
    reason: `Cell given ${showDay(attempt.givenOn)}; eggs are usual ${constants.eggsFrom_d} to ${constants.eggsTo_d} days later.${pushed} Not between 11 and 17 h by the sun: she may be out.`,
  };
};

const declareFailed: Rule = ({ colony, attempt, weather, constants }) => {
  if (!awaitsEggs(colony) || !attempt) return undefined;
  const by = failBy(attempt, weather, constants);
  return {
    kind: 'declareFailed',
    title: 'Failed if still no eggs',
    from: by,
    expected: by,
    to: by,
    reason: `No eggs by ${showDay(by)}: failed. Each day without flying weather put it off by one, to day ${constants.failedByLatest_d} at most.`,
  };
};

const scorePattern: Rule = ({ colony, attempt, constants }) => {
  if (colony.status !== 'laying' || !attempt?.layingOn) return undefined;
  const from = later(
    plusDays(attempt.givenOn, constants.scoreFrom_d),
    plusDays(attempt.layingOn, constants.workerSealed_d),
  );
  return {
    kind: 'scorePattern',
    title: 'Score the pattern and mark her',
    from,
    expected: plusDays(from, 1),
    to: plusDays(from, constants.scoreTo_d - constants.scoreFrom_d),
    reason: `Eggs seen ${showDay(attempt.layingOn)}; sealed worker brood, flat and in a solid patch, tells a good queen.`,
  };
};

const harvest: Rule = ({ colony, attempt, constants }) => {
  if (colony.status !== 'proven' || !attempt?.layingOn) return undefined;
  return {
    kind: 'harvest',
    title: 'Ready to be taken',
    from: plusDays(attempt.layingOn, constants.harvestFrom_d),
    expected: plusDays(attempt.layingOn, constants.harvestExpected_d),
    to: plusDays(attempt.layingOn, constants.harvestTo_d),
    reason: `Laying since ${showDay(attempt.layingOn)}; ${constants.harvestFrom_d} days at least, better ${constants.harvestExpected_d}, and she is accepted well.`,
  };
};

const settleFailed: Rule = ({ colony, constants }) => {
  if (colony.status !== 'failed') return undefined;
  return {
    kind: 'settleFailed',
    title: 'Give a new cell or combine',
    from: colony.since,
    expected: colony.since,
    to: plusDays(colony.since, constants.afterFailure_d),
    reason: `Failed ${showDay(colony.since)}. A new cell with a frame of sealed brood, or combine; they dwindle.`,
  };
};

const lookAfterCombining: Rule = ({ colony, constants }) => {
  if (!colony.combinedOn) return undefined;
  const on = plusDays(colony.combinedOn, constants.afterCombining_d);
  return {
    kind: 'lookAfterCombining',
    title: 'Look again after combining',
    from: on,
    expected: on,
    to: plusDays(on, 2),
    reason: `Combined ${showDay(colony.combinedOn)}; bees that dislike the new smell may raise a wild cell.`,
    lapses: true,
  };
};

const openEntrance: Rule = ({ colony, constants }) => {
  if (!colony.shutOn) return undefined;
  const from = plusDays(colony.shutOn, constants.openFrom_d);
  return {
    kind: 'openEntrance',
    title: 'Open the shut entrance',
    from,
    expected: from,
    to: plusDays(colony.shutOn, constants.openTo_d),
    reason: `No bee gets out since ${showDay(colony.shutOn)}. One to three days keep them at home; longer, and they want feed, water and air.${colony.fed ? '' : ' Nothing is recorded as fed.'}`,
  };
};

const refillFeed: Rule = ({ colony, constants }) => {
  if (!colony.fed) return undefined;
  const { on, feed, amount_kg } = colony.fed;
  const lasts = Math.max(1, Math.round(amount_kg / constants.feedUse_kgDay));
  return {
    kind: 'refillFeed',
    title: 'See whether they want feed',
    from: plusDays(on, lasts),
    expected: plusDays(on, lasts),
    to: plusDays(on, lasts + constants.feedLate_d),
    reason: `${amount_kg} kg of ${feedWords[feed]} given ${showDay(on)}; a small colony takes about ${constants.feedUse_kgDay} kg a day.`,
    lapses: true,
  };
};

const stripsOut: Rule = ({ colony }) => {
  if (!colony.strips) return undefined;
  const { on, product, outBy } = colony.strips;
  return {
    kind: 'stripsOut',
    title: 'Take the strips out',
    from: plusDays(outBy, -2),
    expected: outBy,
    to: outBy,
    reason: `${product} put in ${showDay(on)}; left past the weeks of their label, strips breed resistance.`,
  };
};

const rules: readonly Rule[] = [
  giveCell,
  searchWildCells,
  checkOpening,
  lookForEggs,
  declareFailed,
  scorePattern,
  harvest,
  settleFailed,
  lookAfterCombining,
  openEntrance,
  refillFeed,
  stripsOut,
];

const awaitsEggs = ({ status }: Colony): boolean => status === 'cellGiven' || status === 'virgin';

/** The day by which an attempt without eggs has failed, put off by bad weather. */
export function failBy(attempt: Attempt, weather: Weather, constants: Constants): Day {
  return putOff(attempt, constants.failedBy_d, weather, constants);
}

/** A day of the attempt, one later for each day without flying weather since she could fly. */
function putOff(attempt: Attempt, day: number, weather: Weather, constants: Constants): Day {
  return plusDays(attempt.givenOn, day + lostDays(attempt, day, weather, constants));
}

/**
 * Days without flying weather between her first flights and the day asked for, itself put off as they come;
 * at most as many as the latest day to declare failed allows. Days without a record count as flying days.
 */
function lostDays(
  { givenOn }: Attempt,
  day: number,
  weather: Weather,
  { flightsFrom_d, flyingDay_h, failedBy_d, failedByLatest_d }: Constants,
): number {
  const most = failedByLatest_d - failedBy_d;
  let lost = 0;
  for (let count = flightsFrom_d; count < day + lost && lost < most; count++) {
    const record = weather.get(plusDays(givenOn, count));
    if (record && record.flying_h < flyingDay_h) lost++;
  }
  return lost;
}

/** `before`: seen from a day ahead, work that comes due between today and then. */
export type Urgency = 'overdue' | 'due' | 'ahead' | 'before';

/** Where an expectation stands on a day, which may lie ahead of today: then only what is overdue today is overdue. */
export function urgencyOn({ from, to }: Pick<Expectation, 'from' | 'to'>, on: Day, today = on): Urgency {
  if (to < on) return on > today && to >= today ? 'before' : 'overdue';
  return from <= on ? 'due' : 'ahead';
}

/**
 * The one thing to name first. Up to today: a deadline that has come, else what is due longest, else what
 * comes next. On a day ahead: what falls on it, else what is overdue already, else what comes next.
 */
export function firstExpectation(
  expectations: readonly Expectation[],
  on: Day,
  today = on,
): Expectation | undefined {
  const open = expectations.filter(({ lapses, to }) => !lapses || to >= on);
  if (on <= today) return open.find(({ kind, from }) => kind === 'declareFailed' && from <= on) ?? open[0];
  const by = (...wanted: Urgency[]) => open.find((each) => wanted.includes(urgencyOn(each, on, today)));
  return by('due') ?? by('overdue') ?? by('ahead') ?? open.at(-1);
}

/** The days she can fly to mate, as the timeline shows them. */
export function flightWindow(attempt: Attempt, weather: Weather, constants: Constants): readonly [Day, Day] {
  return [
    plusDays(attempt.givenOn, constants.flightsFrom_d),
    earlier(putOff(attempt, constants.eggsFrom_d, weather, constants), failBy(attempt, weather, constants)),
  ];
}
