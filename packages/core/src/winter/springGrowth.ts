import type { PopulationDay } from '@yellow-cell/contract';
import { type Day, plusDays } from '../calendar/days.ts';
import { bandAbout } from '../population/bandAbout.ts';
import { beesCounted } from '../population/beesCounted.ts';
import { broodBeside } from '../population/broodBeside.ts';
import { followed } from '../population/population.ts';
import { wellFed } from '../population/wellFed.ts';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import { framesBehind } from './cavity.ts';
import { type Band, bandOf, forecastWinter, PLAN_RUNS, winterBetween } from './forecast.ts';
import { winteringOf } from './preparation.ts';
import { fullSide } from './reduce.ts';
import { type Watching, type WatchLine, winterCount } from './watch.ts';

/** The bees of a room from the end of winter on, or from their last count after it. */
export interface SpringGrowth {
  /** Combs that it has, of all the rooms that it lives in, and the bees that cover them, in kg. */
  frames: number;
  full_kg: number;
  /** Bees in kg day by day: 5, 50 and 95 of a hundred. */
  course: readonly ({ on: Day } & Band)[];
  /** When its bees fill its combs: early, as expected, late; undefined beyond what is looked ahead. */
  crowded: { early: Day | undefined; expected: Day | undefined; late: Day | undefined };
  /** Days on which a follower beside it moves on by one frame. */
  widen: readonly Day[];
  /** The day on which its stores run low where the weather keeps it in and nothing is fed; undefined too where they are not known. */
  lowOn: Day | undefined;
}

/** So far ahead colonies are followed from the end of winter; later every count is newer than this. */
export const SPRING_D = 90;
/** More stores than any winter takes: who starves is no question of how the living grow. */
const PLENTY_KG = 100;

/** How a colony grows out of winter; undefined where it was not counted. `from` is the first day after winter. */
export function springGrowth(
  box: BoxView,
  room: CompartmentView,
  line: WatchLine | undefined,
  asked: Watching & { from: Day },
): SpringGrowth | undefined {
  const { constants } = asked;
  const format = box.model.compartments[room.position]?.frames[0]?.format;
  const start = startOf(box, room, line, asked);
  const own = framesOf(box, room);
  if (!start || !format || own === 0) return undefined;
  const lived = new Set(box.compartments.flatMap(({ colony, bays }) => (colony ? bays : [])));
  const behind = framesBehind(box.design, room.bays, lived);
  const frames = own + behind;
  const holds_kg = frames * 2 * fullSide(format, constants);
  const known_kg = start.counted ? undefined : line?.forecast?.months.at(-1)?.middle_kg;
  const follow = (bees_kg: number, had: ReturnType<typeof wellFed>): PopulationDay[] => {
    const { on: from } = start;
    const of = { from, days: SPRING_D, format, frames, bees_kg, laysFrom: from };
    return followed({ ...of, ...broodBeside(bees_kg, constants), ...had }, constants);
  };
  // How they grow is asked of bees that are kept in stores; when these run low, of bees kept in by the weather.
  const fed = wellFed(format, frames, constants);
  const kept = (bees_kg: number) => follow(bees_kg, fed);
  const [low, middle, high] = [kept(start.low), kept(start.middle), kept(start.high)];
  const kg = (days: readonly PopulationDay[], at: number): number =>
    (days[at]?.bees ?? 0) / constants.bees_kg1;
  const course = middle.map(({ on }, at) => ({
    on,
    low: kg(low, at),
    middle: kg(middle, at),
    high: kg(high, at),
  }));
  const seam_kg = room.seam_kg * constants.crowdedShare;
  const fills = (combs: number, of: keyof Band): Day | undefined =>
    course.find((day) => day[of] >= combs * seam_kg)?.on;
  const least_kg = Math.min(constants.reserve_kg, holds_kg * constants.lowShare);
  return {
    frames: own,
    full_kg: own * seam_kg,
    course,
    crowded: { early: fills(own, 'high'), expected: fills(own, 'middle'), late: fills(own, 'low') },
    widen: Array.from({ length: behind }, (_, more) => fills(own + more, 'middle')).filter(
      (day) => day !== undefined,
    ),
    lowOn:
      known_kg === undefined
        ? undefined
        : follow(start.middle, { stores_kg: Math.min(known_kg, holds_kg / 2), forage_gFlier: 0 }).find(
            (day) => day.stores_kg < least_kg,
          )?.on,
  };
}

/** Of all the rooms that a colony lives in: what is counted of it is counted of the whole. */
const framesOf = (box: BoxView, { colony }: CompartmentView): number =>
  box.compartments
    .filter((each) => each.colony?.id === colony?.id)
    .reduce((sum, { frames }) => sum + frames, 0);

/** Its bees where they were counted after winter, else as winter is likely to leave them, those that live through it. */
function startOf(
  box: BoxView,
  room: CompartmentView,
  line: WatchLine | undefined,
  { on, from, months, latitude_deg, constants }: Watching & { from: Day },
): ({ on: Day; counted: boolean } & Band) | undefined {
  const { colony } = room;
  const { strength } = colony ?? {};
  if (strength && strength.on >= from) {
    const pitch_mm = box.model.compartments[room.position]?.frames[0]?.format.pitch_mm ?? 0;
    const bees_kg = beesCounted(
      strength.seams,
      { ...room, frames: framesOf(box, room) },
      pitch_mm,
      constants,
    );
    return { on: strength.on, counted: true, ...bandAbout(bees_kg, constants.spreadBees) };
  }
  const counted = colony && winterCount(colony, on < from ? on : plusDays(from, -1));
  const walls = winteringOf(box, room, counted?.seams, constants);
  if (!counted || !walls) return undefined;
  const { spring_kg } = forecastWinter(
    {
      ...walls,
      ...winterBetween(months, counted.on, from, latitude_deg),
      factor: line?.factor ?? 1,
      stores_kg: PLENTY_KG,
    },
    constants,
    PLAN_RUNS,
  );
  const living = spring_kg.filter((kg) => kg > 0);
  return { on: from, counted: false, ...bandOf(Float64Array.from(living)) };
}
