import type { Attempt, FailReason, WeatherDay } from '@yellow-cell/contract';
import { type Day, daysBetween, defaultConstants, failBy, later, plusDays } from '@yellow-cell/core';
import { type Care, countSeams, lookThrough } from './care.ts';
import type { Diary } from './diary.ts';
import type { Seed } from './seed.ts';

/** A compartment as the demo's breeder thinks of it through a season. */
export interface Place {
  box: string;
  yard: string;
  bays: string[];
  frames: number;
  slots: string[];
  /** Single boxes keep their queen over winter. */
  winters: boolean;
  colony?: string;
  status: 'empty' | 'stocked' | 'failed' | 'laying';
  /** From when it can take the next cell. */
  freeOn: Day;
  attempt?: string;
}

interface RoundPlan {
  monthDay: string;
  donor: string;
  grafts: number;
}

/** Graft days by month and day; donors in turn. */
export const ROUNDS: readonly RoundPlan[] = [
  { monthDay: '04-24', donor: 'Sable', grafts: 26 },
  { monthDay: '05-09', donor: 'Thistle', grafts: 16 },
  { monthDay: '05-14', donor: 'Sable', grafts: 12 },
  { monthDay: '05-21', donor: 'Thistle', grafts: 24 },
  { monthDay: '06-04', donor: 'Sable', grafts: 36 },
  { monthDay: '06-17', donor: 'Bracken', grafts: 40 },
  { monthDay: '06-30', donor: 'Thistle', grafts: 36 },
  { monthDay: '07-13', donor: 'Bracken', grafts: 30 },
];

export interface World {
  seed: Seed;
  diary: Diary;
  /** What is counted of the cells, by chance of its own: the rest of the story does not hang on it. */
  counts: Diary;
  /** Weather of each yard by day. */
  weather: ReadonlyMap<string, ReadonlyMap<Day, WeatherDay>>;
  care: Care;
  /** Of how many such places the rounds are. */
  times?: number;
  /** Whose bees and brood a place is stocked with, where that is written down. */
  giverFor?: (place: Place, on: Day) => Bees;
  /** The bees that keep queens until they are wanted. */
  bank?: Bees;
}
interface Bees {
  box: string;
  colony: string;
}

/** A year's rounds, one after the other, into whatever places are free. */
export function runSeason(world: World, places: readonly Place[], year: number): void {
  for (const [index, plan] of ROUNDS.entries())
    runRound(world, places, plan, `${year}-${plan.monthDay}`, index + 1);
}

function runRound(
  world: World,
  places: readonly Place[],
  { donor, grafts: usual }: RoundPlan,
  graftedOn: Day,
  number: number,
): void {
  const { seed, diary, counts, times = 1 } = world;
  const grafts = usual * times;
  const round = seed.id();
  const accepted = Math.round(grafts * (0.62 + seed.random() * 0.24));
  diary.write('grafted', graftedOn, { round, number, donor, grafts }, { hour: 15 });
  counts.write('roundPlanned', plusDays(graftedOn, -PLANNED_AHEAD_D), {
    round,
    number,
    donor,
    graftOn: graftedOn,
    grafts,
  });
  counts.write('cellsAccepted', plusDays(graftedOn, 1), { round, accepted }, { hour: 16 });
  counts.write(
    'cellsMoved',
    plusDays(graftedOn, 1),
    { round, cells: accepted, to: 'finisher' },
    { hour: 17 },
  );
  const ripeOn = plusDays(graftedOn, defaultConstants.cellToRipe_d);
  const free = seed.shuffled(places.filter(({ freeOn }) => freeOn < ripeOn)).slice(0, accepted);
  for (const place of free) {
    stock(world, place, plusDays(ripeOn, -1));
    giveCell(world, place, round, ripeOn);
  }
}

/** Rounds are planned about a month ahead. */
const PLANNED_AHEAD_D = 30;

function stock({ seed, diary, giverFor }: World, place: Place, on: Day): void {
  const longAgo = daysBetween(place.freeOn, on) > 9;
  if (place.status !== 'empty' && !longAgo) return;
  const colony = place.status === 'empty' || !place.colony ? seed.id() : place.colony;
  place.colony = colony;
  place.status = 'stocked';
  diary.write(
    'stocked',
    on,
    {
      box: place.box,
      colony,
      bays: place.bays,
      frames: { sealedBrood: 1, stores: 1, drawn: Math.max(0, place.frames - 2) },
      shakes: place.frames > 2 ? seed.between(1, 2) : 1,
      openBrood: seed.chance(0.12),
      ...(giverFor && { giver: giverFor(place, on) }),
    },
    { hour: 18 },
  );
}

/** What may become of a cell, and how likely in a compartment of so many frames. */
function chanceOfTake({ frames }: Place, flyingShare: number): number {
  const byFrames = frames <= 2 ? 0.74 : frames === 3 ? 0.86 : 0.93;
  return byFrames * (0.62 + 0.38 * Math.min(1, flyingShare * 1.6));
}

function giveCell(world: World, place: Place, round: string, ripeOn: Day): void {
  const { seed, diary, weather, care } = world;
  const attempt = seed.id();
  const colony = place.colony ?? '';
  const of = { box: place.box, colony, attempt };
  const givenOn = ripeOn;
  diary.write('cellGiven', givenOn, { ...of, round }, { hour: seed.between(8, 10) });
  place.attempt = attempt;
  const days = weather.get(place.yard) ?? new Map<Day, WeatherDay>();
  const by = failBy({ givenOn } as Attempt, days, defaultConstants);
  const window = Array.from({ length: 9 }, (_, index) => days.get(plusDays(givenOn, 6 + index)));
  const flying =
    window.filter((day) => day && (day.flying_h ?? 0) >= defaultConstants.flyingDay_h).length / window.length;

  if (seed.chance(0.07)) {
    fail(world, place, of, 'cellNotOpened', plusDays(givenOn, seed.between(3, 5)));
    return;
  }
  const openedOn = plusDays(givenOn, seed.between(2, 4));
  diary.write('cellOpened', openedOn, of);
  countSeams(care, of, place.frames, openedOn);
  if (seed.chance(0.03)) {
    fail(world, place, of, seed.chance(0.5) ? 'absconded' : 'robbed', plusDays(givenOn, seed.between(7, 11)));
    return;
  }
  if (!seed.chance(chanceOfTake(place, flying))) {
    const note = flying < 0.4 ? 'Hardly a day for her to fly.' : undefined;
    fail(world, place, of, 'virginLost', plusDays(by, seed.between(-3, 1)), note);
    return;
  }
  const lost = daysBetween(plusDays(givenOn, defaultConstants.failedBy_d), by);
  const eggsOn = plusDays(givenOn, seed.between(12, 16) + Math.min(lost, 6));
  diary.write('eggsSeen', eggsOn, of);
  if (seed.chance(0.04)) {
    fail(
      world,
      place,
      of,
      'droneLayer',
      plusDays(eggsOn, seed.between(10, 13)),
      'Domed caps scattered in worker cells.',
    );
    return;
  }
  const scoredOn = later(plusDays(givenOn, seed.between(21, 24)), plusDays(eggsOn, 9));
  const pattern = Math.min(97, Math.round(74 + seed.random() * 22));
  diary.write(
    'patternScored',
    scoredOn,
    { ...of, pattern_pct: pattern },
    pattern > 92 ? { note: 'As solid as a board.' } : {},
  );
  lookThrough(care, of, place.slots, scoredOn);
  place.status = 'laying';
  takeQueen(world, place, of, plusDays(eggsOn, seed.between(16, 25)), pattern);
}

type Of = { box: string; colony: string; attempt: string };

function fail({ diary }: World, place: Place, of: Of, reason: FailReason, on: Day, note?: string): void {
  diary.write('failed', on, { ...of, reason }, note === undefined ? {} : { note });
  const gone = reason === 'absconded' || reason === 'robbed';
  place.status = gone ? 'empty' : 'failed';
  if (gone) delete place.colony;
  place.freeOn = on;
}

const LAST_TAKEN = '08-05';

function takeQueen({ seed, diary, bank }: World, place: Place, of: Of, on: Day, pattern: number): void {
  if (on.slice(5) > LAST_TAKEN) {
    place.freeOn = '9999-12-31'; // kept to the end of the season
    return;
  }
  const to =
    pattern < 78
      ? 'culled'
      : seed.pick([
          ['sold', 5],
          ['bank', 3],
          ['colony', 2],
        ] as const);
  diary.write('queenTaken', on, { ...of, to, beesRemain: true, ...(to === 'bank' && bank && { bank }) });
  place.status = 'stocked';
  place.freeOn = on;
}

/** Early September: the queenless are combined with those that lay, the queens move to winter quarters; singles stay. */
export function endSeason({ seed, diary }: World, places: readonly Place[], year: number): void {
  const combineOn = `${year}-09-0${seed.between(1, 3)}`;
  for (const place of places) {
    if (place.status === 'empty' || place.status === 'laying' || !place.colony) continue;
    const into =
      places.find(
        (other) =>
          other.status === 'laying' &&
          other.yard === place.yard &&
          (other.box === place.box || other.winters),
      ) ?? places.find((other) => other.status === 'laying' && other.yard === place.yard);
    if (into?.colony)
      diary.write(
        'combined',
        combineOn,
        { box: place.box, colony: place.colony, intoBox: into.box, into: into.colony },
        { hour: 18 },
      );
    else diary.write('failed', combineOn, { box: place.box, colony: place.colony, reason: 'starved' });
    empty(place, combineOn);
  }
  for (const place of places) {
    if (place.status !== 'laying' || !place.colony || !place.attempt) continue;
    const on = place.winters ? `${year + 1}-04-1${seed.between(0, 5)}` : `${year}-09-0${seed.between(5, 9)}`;
    const note = place.winters ? 'Wintered well; moved into a full body.' : 'Into winter quarters.';
    diary.write(
      'queenTaken',
      on,
      { box: place.box, colony: place.colony, attempt: place.attempt, to: 'colony', beesRemain: false },
      { note },
    );
    empty(place, on);
  }
}

function empty(place: Place, on: Day): void {
  place.status = 'empty';
  place.freeOn = on;
  delete place.colony;
  delete place.attempt;
}
