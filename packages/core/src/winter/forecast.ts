import { type Day, daysBetween } from '../calendar/days.ts';
import { type Constants, defaultConstants } from '../constants/registry.ts';
import { type Random, seededRandom } from '../random.ts';
import { winter } from './cluster.ts';

/** A winter by months (handbook 3): stores left at the end of each, as a band from the spread of the assumptions. */
export interface WinterMonth {
  name: string;
  days: number;
  outside_C: number;
}
export interface WinterPlan {
  bees_kg: number;
  ua_WK: number;
  stores_kg: number;
  months: readonly WinterMonth[];
  /** Measured use ÷ reckoned use; 1 until hefts say otherwise. */
  factor?: number;
}
export interface WinterBand {
  name: string;
  low_kg: number;
  middle_kg: number;
  high_kg: number;
}
export interface WinterForecast {
  months: readonly WinterBand[];
  /** Share of the runs in which stores ran out. */
  starved: number;
  effort_Wkg: number;
}

const TAIL = 0.05;

/** Runs the winter many times with assumptions drawn within their spread; the same seed gives the same band. */
export function forecastWinter(
  plan: WinterPlan,
  constants: Constants = defaultConstants,
  runs = 500,
  seed = 1,
): WinterForecast {
  const random = seededRandom(seed);
  const left: number[][] = plan.months.map(() => []);
  let starved = 0;
  for (let run = 0; run < runs; run++) {
    const drawn = {
      bees_kg: plan.bees_kg * shareDrawn(constants.spreadBees, random),
      ua_WK: plan.ua_WK * shareDrawn(constants.spreadUa, random),
      litresPerKg: constants.litresPerKg * shareDrawn(constants.spreadRoom, random),
    };
    const use = (plan.factor ?? 1) * shareDrawn(constants.spreadUse, random);
    let stores = plan.stores_kg;
    plan.months.forEach(({ days, outside_C }, index) => {
      const month = winter(
        { ...drawn, outside_C: outside_C + constants.spreadWeather_K * normal(random), days, brood: false },
        constants,
      );
      stores = Math.max(0, stores - month.stores_kg * use);
      left[index]?.push(stores);
    });
    if (stores === 0) starved += 1;
  }
  const coldest = Math.min(...plan.months.map(({ outside_C }) => outside_C));
  return {
    months: plan.months.map(({ name }, index) => bandOf(name, left[index] ?? [])),
    starved: runs === 0 ? 0 : starved / runs,
    effort_Wkg: winter(
      { bees_kg: plan.bees_kg, ua_WK: plan.ua_WK, outside_C: coldest, days: 1, brood: false },
      constants,
    ).effort_Wkg,
  };
}

function bandOf(name: string, values: number[]): WinterBand {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return { name, low_kg: at(TAIL), middle_kg: at(0.5), high_kg: at(1 - TAIL) };
}

/** About 1, never below a fifth. */
const shareDrawn = (spread: number, random: Random): number => Math.max(0.2, 1 + spread * normal(random));

/** Standard normal by the method of Box and Muller. */
function normal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

export interface Heft {
  /** Months since the winter began, and the stores found then. */
  month: number;
  stores_kg: number;
}

/** How much more, or less, is used than reckoned, so that the middle of the forecast meets the hefts best (least squares). */
export function calibrate(
  plan: WinterPlan,
  hefts: readonly Heft[],
  constants: Constants = defaultConstants,
): number {
  const used = plan.months.map(
    ({ days, outside_C }) =>
      winter({ bees_kg: plan.bees_kg, ua_WK: plan.ua_WK, outside_C, days, brood: false }, constants)
        .stores_kg,
  );
  let [top, bottom] = [0, 0];
  for (const { month, stores_kg } of hefts) {
    const reckoned = used.slice(0, month).reduce((sum, each) => sum + each, 0);
    top += reckoned * (plan.stores_kg - stores_kg);
    bottom += reckoned * reckoned;
  }
  return bottom > 0 ? Math.max(0, top / bottom) : 1;
}

/** Mean of a day in the demo's valley, in °C: a yearly wave of mean 9.6 °C and swing 10.6 K, coldest in the middle of January. */
export const valleyMean = (yearsSinceColdest: number): number =>
  9.6 - 10.6 * Math.cos(2 * Math.PI * yearsSinceColdest);

/** Its six months about the coldest, from October, or from April south of the equator, where the same valley is half a year later. */
export function valleyWinter(latitude_deg = 48): WinterMonth[] {
  return (latitude_deg < 0 ? SOUTHERN : NORTHERN).map(([name, days], index) => ({
    name,
    days,
    outside_C: valleyMean((index - 3) / 12),
  }));
}
const NORTHERN = [
  ['October', 31],
  ['November', 30],
  ['December', 31],
  ['January', 31],
  ['February', 28],
  ['March', 31],
] as const;
const SOUTHERN = [
  ['April', 30],
  ['May', 31],
  ['June', 30],
  ['July', 31],
  ['August', 31],
  ['September', 30],
] as const;

/** Mean of a day there, in °C: coldest on 15 January, or on 15 July south of the equator. */
export function valleyDay(date: Day, latitude_deg: number): number {
  const coldest = `${date.slice(0, 4)}-${latitude_deg < 0 ? '07' : '01'}-15`;
  return valleyMean(daysBetween(coldest, date) / DAYS_A_YEAR);
}
const DAYS_A_YEAR = 365.25;
