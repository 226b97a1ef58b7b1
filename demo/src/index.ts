import type { WeatherDay } from '@yellow-cell/contract';
import { type Day, dayOf, plusDays } from '@yellow-cell/core';
import { type AutumnBox, autumn } from './autumn.ts';
import { buildBox } from './buildBox.ts';
import { yardSeason } from './care.ts';
import type { Demo } from './demo.ts';
import { demoDesigns } from './designs.ts';
import { BREEDER, type Diary, newDiary } from './diary.ts';
import { endSeason, runSeason, type World } from './season.ts';
import { seedFrom } from './seed.ts';
import { southernYard } from './south.ts';
import { specialBoxes } from './special.ts';
import { weatherBetween } from './weather.ts';
import { boxPlans, demoYards, ZONE } from './yards.ts';

export type { Demo } from './demo.ts';
export { recorded } from './recorded.ts';

export const DEMO_BREEDER = 'd0000000-0000-4000-8000-000000000001';
export const demoPerson = BREEDER;
export const demoBreederName = 'Feldspat queens';

/** The season that a day belongs to: a winter is that of the year in which it began. */
const seasonOf = (day: Day): number => Number(day.slice(0, 4)) - (day.slice(5) < DAILY_FROM ? 1 : 0);

/** Days of a season's story that are worth a look: its rounds, its autumn, its winter. */
export function demoDays(instant: string): Day[] {
  const year = seasonOf(dayOf(instant, ZONE));
  return [`${year}-05-31`, `${year}-10-20`, `${year + 1}-02-10`];
}

const SEED = 48;
/** From here on this season's weather was entered every evening; before, once a week. */
const DAILY_FROM = '04-01';

/**
 * An invented breeder's last season whole and this one up to an instant: the same seed and the same day give
 * the same demo, id for id. Everything is entries such as a user's.
 */
export function createDemo(until: string): Demo {
  const year = seasonOf(dayOf(until, ZONE));
  const seed = seedFrom(SEED);
  const diary = newDiary(seed);
  const yards = demoYards(seed);
  const designs = demoDesigns(seed);
  const plans = boxPlans(seed);
  const weather = new Map(
    Object.values(yards).map(({ id }) => [
      id,
      new Map(
        [
          ...weatherBetween(`${year - 1}-01-01`, `${year}-12-31`, seed),
          ...weatherBetween(`${year + 1}-01-01`, `${year + 1}-03-31`, seedFrom(SEED + 4)),
        ].map((day) => [day.date, day]),
      ),
    ]),
  );
  const rooms = plans.map(({ design, yard, ...spot }) => {
    const on = `${year - 1}-04-0${seed.between(1, 8)}`;
    const place = { ...spot, box: seed.id(), yard: yards[yard].id };
    return buildBox(diary, designs[design], place, on, plusDays(on, 3), design === 'single');
  });
  const places = rooms.flat();
  const built = rooms.map(([first]) => first?.box);
  const careSeed = seedFrom(SEED + 1);
  const careDiary = newDiary(careSeed, 'hive-tool');
  const care = { seed: careSeed, diary: careDiary, marked: 0, frames: new Map<string, string>() };
  const counts = newDiary(seedFrom(SEED + 2), 'rearing-book');
  const world: World = { seed, diary, counts, weather, care };
  runSeason(world, places, year - 1);
  endSeason(world, places, year - 1);
  runSeason(world, places, year);
  const boxes = plans.map(
    ({ label, design }, index): AutumnBox => ({
      label,
      design: designs[design],
      rooms: places.filter(({ box }) => box === built[index]).map((place) => ({ ...place })),
    }),
  );
  // This year’s end is another story; its chance is spent all the same, so that what follows stays as it is.
  endSeason({ ...world, diary: newDiary(seed) }, places, year);
  const winter = autumn(boxes, care.frames, year);
  for (const { id } of Object.values(yards)) {
    const boxes = [...new Set(places.flatMap(({ yard, box }) => (yard === id ? [box] : [])))];
    yardSeason(care, id, boxes, year);
  }
  const special = specialBoxes({ designs, yards, year });
  const south = southernYard(designs, year);
  for (const [yard, days] of weather) recordWeather(diary, yard, [...days.values()], year);
  return {
    yards: [...Object.values(yards), south.yard],
    designs: Object.values(designs).map(({ saved }) => saved),
    entries: [
      ...diary.entries(),
      ...careDiary.entries(),
      ...counts.entries(),
      ...special.entries(),
      ...winter.entries(),
      ...south.diary.entries(),
    ]
      .filter(({ occurredAt }) => Date.parse(occurredAt) <= Date.parse(until))
      .sort((a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt)),
  };
}

function recordWeather(diary: Diary, yard: string, days: readonly WeatherDay[], year: number): void {
  let week: WeatherDay[] = [];
  for (const day of days) {
    week.push(day);
    if (day.date >= `${year}-${DAILY_FROM}` || week.length === 7) {
      diary.write('weatherRecorded', day.date, { yard, days: week }, { hour: 21 });
      week = [];
    }
  }
}
