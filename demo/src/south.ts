import type { NewYard, WeatherDay } from '@yellow-cell/contract';
import type { Day } from '@yellow-cell/core';
import { combAt, pullBoards, weightOf } from './autumn.ts';
import { buildBox } from './buildBox.ts';
import type { DemoDesign, DesignKey } from './designs.ts';
import { type Diary, newDiary } from './diary.ts';
import { type Seed, seedFrom } from './seed.ts';
import { HIGH_COUNTRY, weatherBetween } from './weather.ts';

const SEED = 53;
const ZONE = 'Pacific/Auckland';

/** Boxes of a yard where May is autumn, a colony in each: its label, design, seams in May, stores in kg by a heft. */
const plans = [
  ['Z1', 'threeWay', 5, 8],
  ['Z2', 'twoWay', 6, undefined],
  ['Z3', 'single', 4.5, 5],
  ['Z4', 'followerReduced', 5, 9],
  ['Z5', 'twoWay', undefined, undefined],
] as const satisfies readonly (readonly [string, DesignKey, number | undefined, number | undefined])[];

export interface South {
  yard: NewYard;
  diary: Diary;
}

/** A yard at 41° S, of a partner of the breeder’s: its colonies go into winter when the valley’s are in full season. */
export function southernYard(designs: Record<DesignKey, DemoDesign>, year: number): South {
  const seed = seedFrom(SEED);
  const diary = newDiary(seed, 'paddock-phone', ZONE);
  const yard = {
    id: seed.id(),
    name: 'Windy paddock',
    latitude_deg: -41.3,
    longitude_deg: 172.8,
    zone: ZONE,
  };
  const on = (monthDay: string): Day => `${monthDay < '09' ? year : year - 1}-${monthDay}`;
  plans.forEach(([label, key, seams, stores_kg], place) => {
    const { content } = designs[key];
    const box = seed.id();
    const spot = {
      label,
      box,
      yard: yard.id,
      stand: String(place + 1),
      east_m: 1.5 + place * 2.4,
      north_m: 3,
      bearing_deg: 5 + place * 3,
    };
    const rooms = buildBox(diary, designs[key], spot, on('09-05'), on('09-06'), true);
    const bays = rooms.flatMap((room) => room.bays);
    const slots = rooms.flatMap((room) => room.slots);
    // One colony lives over all rooms of its box: its boards are out from the beginning.
    const [keeper] = rooms;
    if (keeper && rooms.length > 1) pullBoards(diary, designs[key], rooms, keeper, on('09-06'));
    const of = { box, colony: seed.id() };
    const frames = { sealedBrood: 2, stores: 1, drawn: Math.max(0, slots.length - 3) };
    diary.write(
      'stocked',
      on('10-20'),
      {
        ...of,
        bays: key === 'followerReduced' ? [...(rooms[0]?.bays ?? [])] : bays,
        frames,
        shakes: 2,
        openBrood: true,
        queen: 'laying',
      },
      { hour: 10 },
    );
    diary.write('roleSet', on('03-20'), { box, role: 'wintering' }, { hour: 11 });
    if (seams !== undefined) diary.write('strengthSeen', on('05-18'), { ...of, seams }, { hour: 13 });
    if (label === 'Z1') lookThrough(seed, diary, of, slots, seams ?? 4, on('05-20'));
    if (stores_kg !== undefined) {
      const weight_kg = Math.round((weightOf(content, slots.length, [seams]) + stores_kg) * 10) / 10;
      diary.write('weighed', on('05-24'), { box, weight_kg, felt: true }, { hour: 11 });
    }
  });
  const days = weatherBetween(`${year - 1}-09-01`, `${year + 1}-03-31`, seed, HIGH_COUNTRY);
  for (const { from, days: some } of inWeeks(days))
    diary.write('weatherRecorded', from, { yard: yard.id, days: some }, { hour: 21 });
  return { yard, diary };
}

/** Written down each Sunday evening, or whenever seven days are full. */
function inWeeks(days: readonly WeatherDay[]): { from: Day; days: WeatherDay[] }[] {
  return Array.from({ length: Math.ceil(days.length / WEEK) }, (_, week) =>
    days.slice(week * WEEK, (week + 1) * WEEK),
  ).map((some) => ({ from: some.at(-1)?.date ?? '', days: some }));
}
const WEEK = 7;

function lookThrough(
  seed: Seed,
  diary: Diary,
  of: { box: string; colony: string },
  slots: readonly string[],
  seams: number,
  on: Day,
): void {
  const nest = Math.floor(slots.length / 2);
  slots.forEach((slot, index) => {
    const sides = combAt(index - nest, seams, index === slots.length - 2, seed);
    diary.write('frameAudited', on, { ...of, frame: seed.id(), slot, sides }, { hour: 13 });
  });
}
