import type { OddsAnswer, OddsQuestion, Problem } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { roundCalendar } from '../calendar/roundCalendar.ts';
import { type Constants, constantsWith } from '../constants/registry.ts';
import { refuse } from '../problems.ts';
import { betaDrawn, hashed, type Random, seededRandom } from '../random.ts';
import { EGGS_AFTER_D, OLD_ENOUGH_D } from './flights.ts';

/** More cells than this help nobody. */
const MOST_MORE = 500;
/** From a day’s notice a donor’s comb is grafted from (handbook 5, donor). */
const COMB_D = 4;
/** The fan ends so long after today at the latest. */
const FAN_D = 200;
const FAN = { low: 0.05, middle: 0.5, high: 0.95 } as const;
/**
 * Rates, weather, each round and what is thought of beside the plan draw numbers of their own in each play, so that
 * another round, or another lot, changes nothing of the others.
 */
const STREAM = { rates: 1, sky: 2, round: 3, beside: 4 } as const;

/**
 * A plan played many times (handbook 5). In each play one rate of takes and one of acceptance are drawn from what the
 * record knows of them (Beta, flat before anything is counted), each round’s own acceptance about the latter, and the
 * weather day by day; each virgin waits for days that fly, mates, lays, and is ready after her days of laying, or is
 * lost where no flight came in time. The same seed gives the same odds everywhere. Throws `ProblemsError`.
 */
export function seasonOdds(question: OddsQuestion): OddsAnswer {
  refuse(oddsProblems(question));
  const constants = constantsWith(question.constants);
  const { plays, seed, record, accepted, today } = question;
  const lots = lotsInOrder(question);
  const days = lastDay(question, lots) + 1;
  const rounds = question.rounds.map((round, at, all) => ({
    ...round,
    given: givenOn(round.graft, today, constants),
    /** Which of those of its day it is. */
    alike: all.slice(0, at).filter(({ graft }) => graft === round.graft).length,
  }));
  const sky = skyOf(
    question,
    [...rounds.map(({ given }) => given), ...lots.flatMap(({ more }) => (more ? [more.given] : []))],
    constants,
  );
  const had = queensHad(question, days);
  const ready = Array.from({ length: days }, () => new Uint16Array(plays));
  const met = lots.map(() => 0);
  const needs = lots.map(() => new Uint16Array(plays));
  for (let play = 0; play < plays; play++) {
    const drawing = (...of: number[]): Random => seededRandom(hashed(seed, play, ...of));
    const rates = drawing(STREAM.rates);
    const rate = drawnRate(record, rates);
    const acceptance = drawnRate(accepted, rates);
    sky.draw(drawing(STREAM.sky));
    const born = new Uint16Array(days);
    for (const { grafts, cells, rooms, given, alike } of rounds) {
      const random = drawing(STREAM.round, given, alike);
      const all = Math.min(rooms, cells + acceptedOf(grafts, acceptance, constants, random));
      for (let cell = 0; cell < all; cell++) {
        const day = readyOn(given, rate, sky.flies, question, constants, random);
        if (day < days) born[Math.max(0, day)] = (born[Math.max(0, day)] ?? 0) + 1;
      }
    }
    let sum = 0;
    for (let day = 0; day < days; day++) {
      sum += (born[day] ?? 0) + (had[day] ?? 0);
      (ready[day] as Uint16Array)[play] = sum;
    }
    lots.forEach(({ day, wanted, more }, lot) => {
      const short = wanted - (ready[day]?.[play] ?? 0);
      if (short <= 0) met[lot] = (met[lot] ?? 0) + 1;
      else {
        const beside = drawing(STREAM.beside, day);
        (needs[lot] as Uint16Array)[play] = more
          ? cellsFor(short, () => readyOn(more.given, rate, sky.flies, question, constants, beside) <= day)
          : MOST_MORE;
      }
    });
  }
  return {
    lots: lots.map(({ name, more }, lot) => {
      const cells = quantile(needs[lot] as Uint16Array, constants.lotSurely);
      return {
        name,
        chance: (met[lot] ?? 0) / plays,
        more: cells < MOST_MORE ? cells : null,
        graft: cells > 0 && cells < MOST_MORE ? (more?.graft ?? null) : null,
      };
    }),
    fan: ready.map((queens, day) => ({
      on: plusDays(today, day),
      low: quantile(queens, FAN.low),
      middle: quantile(queens, FAN.middle),
      high: quantile(queens, FAN.high),
    })),
  };
}

/** Takes are no more than attempts, and accepted grafts no more than grafts. */
export function oddsProblems({ record, accepted }: Pick<OddsQuestion, 'record' | 'accepted'>): Problem[] {
  return Object.entries({ record, accepted }).flatMap(([path, { takes, tried }]) =>
    takes > tried
      ? [
          {
            path: `${path}.takes`,
            value: takes,
            sentence: `There cannot be more takes (${takes}) than attempts (${tried}).`,
          },
        ]
      : [],
  );
}

interface LotWanted {
  name: string;
  /** Days from today. */
  day: number;
  /** Of it and all before it. */
  wanted: number;
  /** A graft that more cells for it can be of. */
  more: { graft: Day; given: number } | undefined;
}

function lotsInOrder(question: OddsQuestion): LotWanted[] {
  const { today } = question;
  const constants = constantsWith(question.constants);
  let wanted = 0;
  return [...question.lots]
    .filter(({ by }) => by >= today)
    .sort((one, other) => (one.by < other.by ? -1 : one.by > other.by ? 1 : 0))
    .map(({ name, queens, by }) => {
      wanted += queens;
      const graft = graftFor(by, question);
      return {
        name,
        day: daysBetween(today, by),
        wanted,
        more: graft === undefined ? undefined : { graft, given: givenOn(graft, today, constants) },
      };
    });
}

/** The first graft that is still to come and whose queens can be ready by a day: one that is planned, or a new one. */
function graftFor(by: Day, { rounds, today, laying_d }: OddsQuestion): Day | undefined {
  return [...rounds.map(({ graft }) => graft), plusDays(today, COMB_D)]
    .filter((graft) => graft >= today && firstReady(graft, laying_d) <= by)
    .sort()[0];
}
const firstReady = (graft: Day, laying_d: number): Day =>
  roundCalendar({ graft, give: 'cell', laying_d }).take[0];

const givenOn = (graft: Day, today: Day, { cellToRipe_d }: Constants): number =>
  daysBetween(today, plusDays(graft, cellToRipe_d));

/** The last day that the fan shows, in days from today: of the last lot, or of the last queens that are expected. */
function lastDay({ rounds, today, laying_d }: OddsQuestion, lots: readonly LotWanted[]): number {
  const ends = rounds.map(({ graft }) =>
    daysBetween(today, roundCalendar({ graft, give: 'cell', laying_d }).take[1]),
  );
  return Math.max(0, ...lots.map(({ day }) => day), ...ends.map((end) => Math.min(FAN_D, end)));
}

/** Queens that there are, by the day on which the first of their round can be taken. */
function queensHad({ rounds, today, laying_d }: OddsQuestion, days: number): Uint16Array {
  const had = new Uint16Array(days);
  for (const { graft, queens } of rounds) {
    const day = Math.max(0, daysBetween(today, firstReady(graft, laying_d)));
    if (day < days) had[day] = (had[day] ?? 0) + queens;
  }
  return had;
}

const drawnRate = ({ takes, tried }: OddsQuestion['record'], random: Random): number =>
  betaDrawn(1 + takes, 1 + tried - takes, random);

/** Of the larvae of one round: starters differ, so that its own acceptance lies about that of all. */
function acceptedOf(grafts: number, acceptance: number, { roundsAlike }: Constants, random: Random): number {
  if (grafts === 0) return 0;
  const own = betaDrawn(roundsAlike * acceptance, roundsAlike * (1 - acceptance), random);
  let cells = 0;
  for (let graft = 0; graft < grafts; graft++) if (random() < own) cells += 1;
  return cells;
}

interface Sky {
  draw: (random: Random) => void;
  /** Of a day, counted from today. */
  flies: (day: number) => boolean;
}

/** Weather from the first flights to the last: as known, else as the day before, or else by the time of the year. */
function skyOf({ today, flying, known }: OddsQuestion, given: readonly number[], constants: Constants): Sky {
  const { flightsFrom_d, failedByLatest_d, weatherStays } = constants;
  const first = Math.min(...given, 0) + flightsFrom_d;
  const length = Math.max(0, Math.max(...given, 0) + failedByLatest_d + 1 - first);
  const shares = Array.from(
    { length },
    (_, at) => flying[Number(plusDays(today, first + at).slice(5, 7)) - 1] ?? 0,
  );
  const told = new Map(known.map(({ on, flies }) => [daysBetween(today, on) - first, flies]));
  const days = new Uint8Array(length);
  return {
    draw: (random) => {
      for (let at = 0; at < length; at++) {
        const isKnown = told.get(at);
        const stays = at > 0 && random() < weatherStays;
        const flies = isKnown ?? (stays ? days[at - 1] === 1 : random() < (shares[at] ?? 0));
        days[at] = flies ? 1 : 0;
      }
    },
    flies: (day) => days[day - first] === 1,
  };
}

/** The day from today on which the queen of one cell is ready; never, where it is no take or no flight came in time. */
function readyOn(
  given: number,
  rate: number,
  flies: Sky['flies'],
  { laying_d }: OddsQuestion,
  { flightsFrom_d, failedByLatest_d, matesOnDay }: Constants,
  random: Random,
): number {
  if (random() >= rate) return Number.POSITIVE_INFINITY;
  const eggsAfter_d = oneOf(EGGS_AFTER_D, random);
  const last = given + failedByLatest_d - eggsAfter_d;
  for (let day = given + flightsFrom_d + oneOf(OLD_ENOUGH_D, random); day <= last; day++)
    if (flies(day) && random() < matesOnDay) return day + eggsAfter_d + laying_d;
  return Number.POSITIVE_INFINITY;
}
const oneOf = (days: readonly number[], random: Random): number =>
  days[Math.floor(random() * days.length)] ?? 0;

/** So many cells until as many of them as are short come in time. */
function cellsFor(short: number, isInTime: () => boolean): number {
  let [cells, left] = [0, short];
  while (left > 0 && cells < MOST_MORE) {
    cells += 1;
    if (isInTime()) left -= 1;
  }
  return cells;
}

/** The least of these that so large a share of them does not exceed; they are put in order. */
function quantile(values: Uint16Array, share: number): number {
  values.sort();
  return values[Math.max(0, Math.ceil(share * values.length) - 1)] ?? 0;
}
