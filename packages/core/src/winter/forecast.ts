import { type Day, daysBetween } from '../calendar/days.ts';
import { monthNames } from '../calendar/months.ts';
import type { Constants } from '../constants/registry.ts';
import { normal, type Random, seededRandom } from '../random.ts';
import { clusterWatts, kgOfHeat, winter } from './cluster.ts';

/** A winter by months (handbook 3): stores and bees at the end of each, as bands from the spread of the assumptions. */
export interface WinterMonth {
  name: string;
  days: number;
  outside_C: number;
  /** Mean of the warmest hour of its days, where that is known. */
  max_C?: number;
}
export interface WinterPlan {
  bees_kg: number;
  ua_WK: number;
  stores_kg: number;
  months: readonly WinterMonth[];
  /** Days from the shortest day to the first of the months; left out, they are the six about the coldest. */
  since_d?: number;
  /** Measured use ÷ reckoned use; 1 until hefts say otherwise. */
  factor?: number;
  /** Bees over a divider, in kg: they keep each other warm, and count for at most as many as there are here. */
  company_kg?: number;
}
export interface Band {
  low: number;
  middle: number;
  high: number;
}
export interface WinterBand {
  name: string;
  low_kg: number;
  middle_kg: number;
  high_kg: number;
  /** Bees, in kg; none where the colony is dead by then. */
  bees_kg: Band;
}
export interface WinterForecast {
  months: readonly WinterBand[];
  /** Share of the runs in which stores ran out, and in which too few bees were left at the turn of the winter. */
  starved: number;
  dwindled: number;
  /** Bees in spring, in kg, one for each run, fewest first; 0 where it died. */
  spring_kg: readonly number[];
  effort_Wkg: number;
}

/** Runs of a colony in a list and on its own page, so that both tell the same odds: to a twentieth. */
export const PLAN_RUNS = 150;

const TAIL = 0.05;
/** From 1 October to 21 December, and from 1 April to 21 June. */
const OCTOBER_D = -81;
/** A month is gone through in so many steps: bees grow fewer within it, and work harder for it. */
const STEPS = 3;
/** Days from the first egg of the year to its first bee. */
const REARED_D = 21;

/** Runs the winter many times with assumptions drawn within their spread; the same seed gives the same band. */
export function forecastWinter(plan: WinterPlan, constants: Constants, runs = 500, seed = 1): WinterForecast {
  const random = seededRandom(seed);
  // Numbers alone, so that they sort as such, and fast.
  const left = plan.months.map(() => new Float64Array(runs));
  const bees = plan.months.map(() => new Float64Array(runs));
  const spring_kg = new Float64Array(runs);
  let [starved, dwindled] = [0, 0];
  for (let run = 0; run < runs; run++) {
    const course = courseOf(plan, drawnFor(plan, random, constants), constants);
    for (const [index, { stores_kg, bees_kg }] of course.months.entries()) {
      const [stores, alive] = [left[index], bees[index]];
      if (stores) stores[run] = stores_kg;
      if (alive) alive[run] = bees_kg;
    }
    spring_kg[run] = course.months.at(-1)?.bees_kg ?? plan.bees_kg;
    if (course.died === 'starved') starved += 1;
    if (course.died === 'dwindled') dwindled += 1;
  }
  const coldest = Math.min(...plan.months.map(({ outside_C }) => outside_C));
  return {
    months: plan.months.map(({ name }, index) => {
      const { low, middle, high } = bandOf(left[index]);
      return { name, low_kg: low, middle_kg: middle, high_kg: high, bees_kg: bandOf(bees[index]) };
    }),
    starved: runs === 0 ? 0 : starved / runs,
    dwindled: runs === 0 ? 0 : dwindled / runs,
    spring_kg: [...spring_kg.sort()],
    effort_Wkg: winter(
      { bees_kg: plan.bees_kg, ua_WK: plan.ua_WK, outside_C: coldest, days: 1, brood: false },
      constants,
    ).effort_Wkg,
  };
}

/** Share of the winters in which it comes through with at least so many bees, in kg; with any where none are named. */
export function comesThrough({ spring_kg }: Pick<WinterForecast, 'spring_kg'>, least_kg = 0): number {
  if (spring_kg.length === 0) return 1;
  return spring_kg.filter((kg) => kg > 0 && kg >= least_kg).length / spring_kg.length;
}

/** What is left of a winter from a day on: its months, and how far the first of them is from the shortest day. Out of season the whole of the next one. */
export function winterAhead(
  months: readonly WinterMonth[],
  on: Day,
  latitude_deg: number,
): { months: WinterMonth[]; since_d: number } {
  const at = monthAt(months, on);
  const month = months[at];
  if (!month) return { months: [...months], since_d: OCTOBER_D };
  const gone_d = Number(on.slice(8)) - 1;
  const shortest = `${on.slice(0, 4)}-${latitude_deg < 0 ? '06' : '12'}-21`;
  const since_d = daysBetween(shortest, on);
  return {
    months: [{ ...month, days: Math.max(1, month.days - gone_d) }, ...months.slice(at + 1)],
    since_d: since_d < -HALF_YEAR_D ? since_d + DAYS_A_YEAR_WHOLE : since_d,
  };
}
/** Which of the winter's months a day is in; -1 out of season. */
export const monthAt = (months: readonly WinterMonth[], day: Day): number =>
  months.findIndex(({ name }) => monthNames[Number(day.slice(5, 7)) - 1] === name);

/** The months of a winter from a day to another within it, the first and the last in part. */
export function winterBetween(
  months: readonly WinterMonth[],
  from: Day,
  to: Day,
  latitude_deg: number,
): { months: WinterMonth[]; since_d: number } {
  const ahead = winterAhead(months, from, latitude_deg);
  let left = daysBetween(from, to);
  return {
    since_d: ahead.since_d,
    months: ahead.months.flatMap((month) => {
      const days = Math.min(left, month.days);
      left -= days;
      return days > 0 ? [{ ...month, days }] : [];
    }),
  };
}
const HALF_YEAR_D = 182;
const DAYS_A_YEAR_WHOLE = 365;

/** What a colony that has enough is expected to use and to be, in kg, at the end of these months. */
export function expectedAfter(
  plan: Omit<WinterPlan, 'stores_kg'>,
  constants: Constants,
): { used_kg: number; bees_kg: number } {
  const last = expected({ ...plan, stores_kg: PLENTY_KG }, constants).months.at(-1);
  return last
    ? { used_kg: PLENTY_KG - last.stores_kg, bees_kg: last.bees_kg }
    : { used_kg: 0, bees_kg: plan.bees_kg };
}

/** The same month by month: what is used in each, and the bees at its end. */
export function expectedMonths(
  plan: Omit<WinterPlan, 'stores_kg'>,
  constants: Constants,
): { used_kg: number; bees_kg: number }[] {
  const { months } = expected({ ...plan, stores_kg: PLENTY_KG }, constants);
  return months.map(({ stores_kg, bees_kg }, at) => ({
    used_kg: (months[at - 1]?.stores_kg ?? PLENTY_KG) - stores_kg,
    bees_kg,
  }));
}

/** What the winter is expected to take of stores, in kg, of a colony that has enough. */
export const winterNeed = (plan: Omit<WinterPlan, 'stores_kg'>, constants: Constants): number =>
  expectedAfter(plan, constants).used_kg;
/** More than any winter takes: what is used of it is what is needed. */
const PLENTY_KG = 1_000;

/** What one run of a winter assumes. */
interface Drawn {
  bees_kg: number;
  ua_WK: number;
  litresPerKg: number;
  use: number;
  dying: number;
  /** Stores used while there is brood ÷ without. */
  brood: number;
  /** How few bees are too few at the turn. */
  turn: number;
  /** How much warmer each month is than the climate's. */
  warmer_K: readonly number[];
}

/** The winter in the middle of all assumptions, of a colony that lives through it however few are left: what is needed is what the living use. */
const expected = (plan: WinterPlan, constants: Constants): Course =>
  courseOf(
    plan,
    {
      bees_kg: plan.bees_kg,
      ua_WK: plan.ua_WK,
      litresPerKg: constants.litresPerKg,
      use: plan.factor ?? 1,
      dying: 1,
      brood: 1 + constants.winterBroodUse,
      turn: 0,
      warmer_K: [],
    },
    constants,
  );

function drawnFor(plan: WinterPlan, random: Random, constants: Constants): Drawn {
  const { spreadWeather_K, weatherTogether } = constants;
  const [whole, own] = [Math.sqrt(weatherTogether), Math.sqrt(1 - weatherTogether)];
  const winter_K = normal(random);
  return {
    bees_kg: plan.bees_kg * shareDrawn(constants.spreadBees, random),
    ua_WK: plan.ua_WK * shareDrawn(constants.spreadUa, random),
    litresPerKg: constants.litresPerKg * shareDrawn(constants.spreadRoom, random),
    use: (plan.factor ?? 1) * shareDrawn(constants.spreadUse, random),
    dying: shareDrawn(constants.spreadDying, random),
    // By half to double what they use without (handbook 3): any of it as likely.
    brood: 1 + constants.winterBroodUse * (1 + constants.spreadBroodUse * (2 * random() - 1)),
    turn: constants.turnLeast_kg * shareDrawn(constants.spreadTurn, random),
    warmer_K: plan.months.map(() => spreadWeather_K * (whole * winter_K + own * normal(random))),
  };
}

interface Course {
  months: { stores_kg: number; bees_kg: number }[];
  died?: 'starved' | 'dwindled';
}

/** One winter from its first day to its last: what is used, who dies, and from midwinter on who is reared. */
function courseOf(
  { months, stores_kg, since_d = OCTOBER_D, company_kg = 0 }: WinterPlan,
  drawn: Drawn,
  constants: Constants,
): Course {
  const course: Course = { months: [] };
  let [stores, bees, day] = [stores_kg, drawn.bees_kg, since_d];
  months.forEach(({ days, outside_C }, index) => {
    const step_d = days / STEPS;
    for (let step = 0; step < STEPS && course.died === undefined; step++, day += step_d) {
      const brood = day >= constants.broodFrom_d;
      const warmer_K = constants.surface_C - outside_C - (drawn.warmer_K[index] ?? 0);
      const watts = clusterWatts(bees, drawn.ua_WK, warmer_K, drawn.litresPerKg, constants);
      const used = kgOfHeat(watts, step_d, constants);
      stores -= used * drawn.use * (brood ? drawn.brood : 1);
      const strain = strainOf(watts / bees, constants);
      const dies =
        drawn.dying * (constants.winterDies + strain * (constants.winterDiesMost - constants.winterDies));
      const reared = (day + step_d / 2 - constants.broodFrom_d - REARED_D) / constants.rearedFully_d;
      const emerges = constants.winterEmerges * (1 - strain) * Math.min(1, Math.max(0, reared));
      bees *= Math.exp((emerges - dies) * step_d);
      if (stores <= 0) course.died = 'starved';
      else if (bees + Math.min(bees, company_kg * constants.companyShare) < drawn.turn)
        course.died = 'dwindled';
      if (course.died) [stores, bees] = [Math.max(0, stores), 0];
    }
    course.months.push({ stores_kg: stores, bees_kg: bees });
  });
  return course;
}

/** 0 where the winter is easy, 1 where they work so hard that they dwindle. */
const strainOf = (effort_Wkg: number, { easy_Wkg, dwindle_Wkg }: Constants): number =>
  Math.min(1, Math.max(0, (effort_Wkg - easy_Wkg) / Math.max(1e-9, dwindle_Wkg - easy_Wkg)));

/** 5, 50 and 95 of a hundred of these; they are put in order. */
export function bandOf(values = new Float64Array()): Band {
  values.sort();
  const at = (share: number): number =>
    values[Math.min(values.length - 1, Math.floor(share * values.length))] ?? 0;
  return { low: at(TAIL), middle: at(0.5), high: at(1 - TAIL) };
}

/** About 1, never below a fifth. */
const shareDrawn = (spread: number, random: Random): number => Math.max(0.2, 1 + spread * normal(random));

export interface Heft {
  /** Months since the winter began, and the stores found then. */
  month: number;
  stores_kg: number;
}

/** How much more, or less, is used than reckoned, so that the middle of the forecast meets the hefts best (least squares). */
export function calibrate(plan: WinterPlan, hefts: readonly Heft[], constants: Constants): number {
  const { months } = expected({ ...plan, factor: 1, stores_kg: PLENTY_KG }, constants);
  let [top, bottom] = [0, 0];
  for (const { month, stores_kg } of hefts) {
    const reckoned = month === 0 ? 0 : PLENTY_KG - (months[month - 1]?.stores_kg ?? PLENTY_KG);
    top += reckoned * (plan.stores_kg - stores_kg);
    bottom += reckoned * reckoned;
  }
  return bottom > 0 ? Math.max(0, top / bottom) : 1;
}
