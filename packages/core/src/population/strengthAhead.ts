import type { Attempt, Colony, Format, PopulationDay } from '@yellow-cell/contract';
import { CELLS_PER_CM2, combSide } from '../box/measures.ts';
import { type Day, daysBetween, earlier, later, plusDays } from '../calendar/days.ts';
import { growingSeason } from '../calendar/growingSeason.ts';
import type { Constants } from '../constants/registry.ts';
import type { Band } from '../winter/forecast.ts';
import type { StandingCompartment } from '../yard/compartments.ts';
import type { Weather } from '../yard/due/expectation.ts';
import { putOff } from '../yard/due/weather.ts';
import { bandAbout } from './bandAbout.ts';
import { beesCounted } from './beesCounted.ts';
import { broodBeside } from './broodBeside.ts';
import { EMERGES, followed } from './population.ts';
import { wellFed } from './wellFed.ts';

/** How strong a small colony is on any day, by what it was made of and what was counted since. */
export interface StrengthAhead {
  /** Bees in kg, 5, 50 and 95 of a hundred, from the first thing that is known of it on. */
  course: readonly ({ on: Day } & Band)[];
  counts: readonly { on: Day; kg: number }[];
  /** How far the last count moved what was reckoned. */
  moved: { on: Day; by_kg: number } | undefined;
  /** Bees that cover all its combs. */
  full_kg: number;
  /** First workers of her own; the day it is crowded, weak, or may give a frame; how long it holds on without her. */
  ownBeesFrom: Day | undefined;
  crowdedOn: Day | undefined;
  weakOn: Day | undefined;
  givesFrom: Day | undefined;
  holdsUntil: Day | undefined;
}

const LAYS: readonly Colony['status'][] = ['laying', 'proven', 'queenright'];

interface Known {
  on: Day;
  /** Bees and sealed cells that came in, or bees that were counted. */
  adds?: { kg: number; sealed: number };
  counted_kg?: number;
}
interface State {
  on: Day;
  kg: number;
  spread: number;
  open: number;
  sealed: number;
}

/** What the strength of a room is asked with. */
export interface StrengthAsked {
  on: Day;
  latitude_deg: number;
  weather: Weather;
  constants: Constants;
}

/**
 * A room followed day by day from what it was stocked with (`population`), moved by each count as far as that is surer
 * than what was reckoned (a filter on one figure, its spread growing by `strayDay`); within the half year in which there
 * is brood, by what is known of it. Undefined in winter, and where nothing is known, or has not been for long.
 */
export function strengthAhead(
  room: StandingCompartment,
  format: Format,
  { on, latitude_deg, weather, constants }: StrengthAsked,
): StrengthAhead | undefined {
  const { colony, attempt, frames, seam_kg } = room;
  const season = growingSeason(on, latitude_deg);
  if (!colony || frames === 0 || !season) return undefined;
  const told = knownOf(colony, room, format, constants).filter((fact) => fact.on >= season.from);
  const [first, last] = [told[0], told.at(-1)];
  if (!first || !last || daysBetween(last.on, on) > constants.strengthStale_d) return undefined;
  const laysFrom = layingFrom(colony, attempt, first.on, weather, constants);
  const hive: Hive = { format, frames, constants };
  const ends = earlier(plusDays(later(on, last.on), constants.strengthAhead_d), season.to);
  const begun = broodBegun(first, colony, attempt, constants);
  const { course, moved, state, rows } = followKnown(told, ends, { ...hive, laysFrom, begun });
  const full_kg = frames * seam_kg * constants.crowdedShare;
  const weak_kg = constants.weakSeams * seam_kg;
  const ahead = course.filter((day) => day.on >= on);
  const gives = constants.givesSealed * sealedIn(format, constants);
  const without =
    laysFrom !== null && laysFrom <= on ? [] : daysOf(state, daysBetween(state.on, ends), null, hive);
  return {
    course,
    counts: told.flatMap(({ on: day, counted_kg }) =>
      counted_kg === undefined ? [] : [{ on: day, kg: counted_kg }],
    ),
    moved,
    full_kg,
    ownBeesFrom: laysFrom === null ? undefined : plusDays(laysFrom, EMERGES),
    crowdedOn: ahead.find(({ middle }) => middle >= full_kg)?.on,
    weakOn: ahead.find(({ middle }) => middle < weak_kg)?.on,
    givesFrom: rows.find(({ on: day, sealed }) => day >= on && sealed >= gives)?.on,
    holdsUntil: without.find(({ on: day, bees }) => day >= on && bees / constants.bees_kg1 < weak_kg)?.on,
  };
}

/** What the days of a room are followed with. */
interface Hive {
  format: Format;
  frames: number;
  constants: Constants;
}

/** Its days from a state on, that of the state first, kept in stores. */
function daysOf(
  { on, kg, open, sealed }: State,
  days: number,
  laysFrom: Day | null,
  { format, frames, constants }: Hive,
): PopulationDay[] {
  return followed(
    {
      from: on,
      days: days + 1,
      format,
      frames,
      bees_kg: kg,
      openCells: open,
      sealedCells: sealed,
      laysFrom,
      ...wellFed(format, frames, constants),
    },
    constants,
  );
}

interface Followed extends Pick<StrengthAhead, 'moved'> {
  course: ({ on: Day } & Band)[];
  /** As it was once the last thing was told, and its days from then on. */
  state: State;
  rows: readonly PopulationDay[];
}

/** Brood that is there already beside bees that are counted first: none before her first egg, all once its bees are out. */
function broodBegun(
  { on, counted_kg = 0 }: Known,
  { status }: Colony,
  attempt: Attempt | undefined,
  constants: Constants,
): Begun {
  const { layingOn } = attempt ?? {};
  const laid_d = layingOn ? daysBetween(layingOn, on) : LAYS.includes(status) ? EMERGES : 0;
  const share = Math.min(1, Math.max(0, laid_d / EMERGES));
  return broodBeside(counted_kg * share, constants);
}
type Begun = ReturnType<typeof broodBeside>;

/** From one thing that is told to the next, and from the last to the end. */
function followKnown(
  told: readonly Known[],
  ends: Day,
  { laysFrom, begun, ...hive }: Hive & { laysFrom: Day | null; begun: Begun },
): Followed {
  const { bees_kg1, spreadBees, strayDay, strengthSpread } = hive.constants;
  const kgOf = (row: PopulationDay | undefined): number => (row?.bees ?? 0) / bees_kg1;
  const { openCells: open, sealedCells: sealed } = begun;
  let state: State = { on: told[0]?.on ?? ends, kg: 0, spread: spreadBees * 2, open, sealed };
  let found: Followed = { course: [], moved: undefined, state, rows: [] };
  told.forEach((fact, at) => {
    const now = toldOf(state, fact, at === 0, hive.constants);
    const isLast = at === told.length - 1;
    const days = daysBetween(fact.on, told[at + 1]?.on ?? ends);
    const rows = daysOf(now.state, days, laysFrom, hive);
    const course = (isLast ? rows : rows.slice(0, days)).map((row, day) => {
      const spread = Math.min(strengthSpread, now.state.spread + day * strayDay);
      return { on: row.on, ...bandAbout(kgOf(row), spread) };
    });
    found = {
      course: [...found.course, ...course],
      moved: now.by_kg === undefined ? found.moved : { on: fact.on, by_kg: now.by_kg },
      state: now.state,
      rows,
    };
    const end = rows.at(-1);
    state = {
      on: end?.on ?? fact.on,
      kg: kgOf(end),
      spread: Math.min(strengthSpread, now.state.spread + days * strayDay),
      open: (end?.eggs ?? 0) + (end?.open ?? 0),
      sealed: end?.sealed ?? 0,
    };
  });
  return found;
}

/** Cells of a frame of sealed brood. */
const sealedIn = (format: Format, { sealedShare }: Constants): number =>
  2 * combSide(format) * CELLS_PER_CM2 * sealedShare;

/** What it was made of and got, and what was counted, in the order of days; counts before it was stocked are of others. */
function knownOf(
  { stocks = [], counts = [], stockedOn }: Colony,
  room: StandingCompartment,
  format: Format,
  constants: Constants,
): Known[] {
  const { seam_kg } = room;
  const adds = stocks.map(
    ({ on, sealedBrood, stores, shakes }): Known => ({
      on,
      adds: {
        kg:
          (sealedBrood + stores) * seam_kg * constants.frameBees +
          shakes * seam_kg * constants.shaken * (1 - constants.fliesHome),
        sealed: sealedBrood * sealedIn(format, constants),
      },
    }),
  );
  const counted = counts
    .filter(({ on }) => on >= stockedOn)
    .map(
      ({ on, seams }): Known => ({
        on,
        counted_kg: beesCounted(seams, room, format.pitch_mm, constants),
      }),
    );
  // Of what came in without bees nothing is known; on one day what came in is counted with the rest.
  return [...adds.filter((fact) => fact.adds && fact.adds.kg > 0), ...counted].sort(
    (a, b) => a.on.localeCompare(b.on) || Number(b.adds !== undefined) - Number(a.adds !== undefined),
  );
}

/** What was reckoned, once more came in, or once it was counted. */
function toldOf(
  now: State,
  { on, adds, counted_kg }: Known,
  isFirst: boolean,
  { spreadBees }: Constants,
): { state: State; by_kg?: number } {
  if (adds) return { state: { ...now, on, kg: now.kg + adds.kg, sealed: now.sealed + adds.sealed } };
  const kg = counted_kg ?? now.kg;
  if (isFirst) return { state: { ...now, on, kg, spread: spreadBees } };
  const trust = now.spread ** 2 / (now.spread ** 2 + spreadBees ** 2);
  const by_kg = trust * (kg - now.kg);
  return {
    state: { ...now, on, kg: now.kg + by_kg, spread: now.spread * Math.sqrt(1 - trust) },
    by_kg,
  };
}

/** The day of her first egg, told or expected; null where there is no queen, and none on her way. */
function layingFrom(
  { status }: Colony,
  attempt: Attempt | undefined,
  from: Day,
  weather: Weather,
  constants: Constants,
): Day | null {
  if (attempt?.layingOn) return attempt.layingOn;
  if (LAYS.includes(status)) return from;
  return attempt && !attempt.failed && !attempt.taken
    ? putOff(attempt, constants.eggsExpected_d, weather, constants)
    : null;
}
