import type { Entry, NewDesign, NewYard } from '@yellow-cell/contract';
import { type Day, dayOf, plusDays } from '@yellow-cell/core';
import { buildBox } from './buildBox.ts';
import type { Care } from './care.ts';
import { type DemoDesign, type DesignKey, demoDesigns } from './designs.ts';
import { type Diary, newDiary } from './diary.ts';
import { endSeason, type Place, runSeason } from './season.ts';
import { type Seed, seedFrom } from './seed.ts';
import { weatherBetween } from './weather.ts';
import { ZONE } from './yards.ts';

/** A breeder's yard of many boxes over several seasons, for measuring: the demo's own story, told for row after row. */
export interface LargeYard {
  yard: NewYard;
  designs: NewDesign[];
  /** Weather, week by week. */
  weather: Entry[];
  /** What happened in a row of boxes that share their givers and their bank, in order. */
  row(number: number): Entry[];
}

/** Boxes of a row: mating boxes in three, and those that serve them. */
const ROW = { mating: 37, givers: 2, banks: 1 } as const;
export const BOXES_A_ROW = ROW.mating + ROW.givers + ROW.banks;
const SEED = 77;
/** A row has about three times the places of the demo's rounds. */
const TIMES = 3;
/** How often a comb of the giver's goes along with her bees. */
const COMB_GIVEN = 0.5;
const NOTED = 0.04;

export function largeYard(until: string, years: number): LargeYard {
  const seed = seedFrom(SEED);
  const yard: NewYard = {
    id: seed.id(),
    name: 'Long terrace',
    latitude_deg: 48.2,
    longitude_deg: 13.4,
    zone: ZONE,
  };
  const designs = demoDesigns(seed);
  const last = Number(dayOf(until, ZONE).slice(0, 4));
  const first = last - years + 1;
  const days = weatherBetween(`${first}-01-01`, `${last}-12-31`, seed);
  const weather = new Map([[yard.id, new Map(days.map((day) => [day.date, day]))]]);
  const book = newDiary(seedFrom(SEED - 1), 'weather-book');
  for (let at = 0; at < days.length; at += 7) {
    const week = days.slice(at, at + 7);
    book.write('weatherRecorded', week.at(-1)?.date ?? '', { yard: yard.id, days: week }, { hour: 21 });
  }
  const isPast = ({ occurredAt }: Entry) => Date.parse(occurredAt) <= Date.parse(until);
  return {
    yard,
    designs: Object.values(designs).map(({ saved }) => saved),
    weather: book.entries().filter(isPast),
    row(number) {
      const own = seedFrom(SEED + 1 + number * 2);
      const diary = newDiary(own, `phone-${number}`);
      const careSeed = seedFrom(SEED + 2 + number * 2);
      const hand = newDiary(careSeed, `hand-${number}`);
      const care: Care = { seed: careSeed, diary: noting(careSeed, hand), marked: 0, frames: new Map() };
      const boxes = builder(own, diary, yard.id, designs, number, `${first}-03-2${number % 9}`);
      const places = Array.from({ length: ROW.mating }, () => boxes('threeWay', false)).flat();
      const givers = Array.from({ length: ROW.givers }, () => settled(own, diary, boxes('single', true)));
      const [bank] = Array.from({ length: ROW.banks }, () => settled(own, diary, boxes('bank', true)));
      const giverFor = (place: Place, on: Day) => {
        const giver = givers[own.between(0, givers.length - 1)] as Settled;
        if (giver.combOn !== on && own.chance(COMB_GIVEN)) {
          giver.combOn = on;
          giveComb(own, diary, care, giver, place, on);
        }
        return { box: giver.box, colony: giver.colony };
      };
      const world = {
        seed: own,
        diary,
        counts: diary,
        weather,
        care,
        times: TIMES,
        giverFor,
        ...(bank && { bank: { box: bank.box, colony: bank.colony } }),
      };
      for (let year = first; year <= last; year++) {
        runSeason(world, places, year);
        if (bank) sellBanked(own, diary, bank, year);
        endSeason(world, places, year);
      }
      const told = [...diary.entries(), ...hand.entries()].filter(isPast);
      return [...told, ...corrections(own, told, until)].sort(
        (a, b) => Date.parse(a.occurredAt) - Date.parse(b.occurredAt),
      );
    },
  };
}

/** Bees that stay; the giver of a day's comb gives no other on it. */
type Settled = Place & { colony: string; combOn?: Day };

function builder(
  seed: Seed,
  diary: Diary,
  yard: string,
  designs: Record<DesignKey, DemoDesign>,
  row: number,
  on: Day,
) {
  let built = 0;
  return (key: DesignKey, winters: boolean): Place[] => {
    const label = `${rowName(row)}${++built}`;
    const spot = { stand: label, east_m: built * 2.4, north_m: row * 3, bearing_deg: 180 };
    const place = { label, box: seed.id(), yard, ...spot };
    return buildBox(diary, designs[key], place, on, plusDays(on, 1), winters);
  };
}

const rowName = (row: number): string => `R${row + 1}-`;

/** Bees that live in the first room of a box for good. */
function settled(seed: Seed, diary: Diary, places: readonly Place[]): Settled {
  const place = { ...(places[0] as Place), colony: seed.id() };
  const { box, bays, colony, frames, freeOn } = place;
  diary.write(
    'stocked',
    freeOn,
    {
      box,
      colony,
      bays,
      frames: { sealedBrood: 2, stores: 1, drawn: Math.max(0, frames - 3) },
      shakes: 2,
      openBrood: false,
    },
    { hour: 18 },
  );
  return place;
}

/** A comb of the giver's changes places with one of the room's. */
function giveComb(seed: Seed, diary: Diary, care: Care, giver: Settled, place: Place, on: Day): void {
  const [from, to] = [middleOf(giver), middleOf(place)];
  if (!from || !to) return;
  const idAt = (key: string) => care.frames.get(key) ?? seed.id();
  const [given, back] = [idAt(from.box + from.slot), idAt(to.box + to.slot)];
  care.frames.set(from.box + from.slot, back);
  care.frames.set(to.box + to.slot, given);
  diary.write(
    'framesMoved',
    on,
    {
      moves: [
        { frame: given, from, to, turned: false },
        { frame: back, from: to, to: from, turned: false },
      ],
      purpose: 'stock',
    },
    { hour: 19 },
  );
}

function middleOf({ box, slots }: Place): { box: string; slot: string } | undefined {
  const slot = slots[Math.floor(slots.length / 2)];
  return slot === undefined ? undefined : { box, slot };
}

/** Queens of the bank are sold before the autumn, those first that came first. */
function sellBanked(seed: Seed, diary: Diary, { box, colony }: Settled, year: number): void {
  const banked = diary.entries().flatMap(({ kind, payload, occurredAt }) => {
    const { bank, attempt } = payload as { bank?: object; attempt?: string };
    return kind === 'queenTaken' && bank && attempt && occurredAt.startsWith(String(year)) ? [attempt] : [];
  });
  banked.forEach((queen, index) => {
    const on = plusDays(`${year}-08-08`, Math.floor((index * 24) / banked.length));
    diary.write(
      'queenTaken',
      on,
      { box, colony, queen, to: 'sold', beesRemain: true },
      { hour: seed.between(6, 19) },
    );
  });
}

const WORDS = ['gentle', 'dark', 'nervous', 'dry combs', 'wet corner', 'wasps about', 'pollen', 'quiet'];

/** What people write beside an entry, now and then. */
function noting(seed: Seed, diary: Diary): Diary {
  return {
    ...diary,
    write(kind, on, payload, more = {}) {
      const note = seed.chance(NOTED)
        ? `${WORDS[seed.between(0, WORDS.length - 1)]}, ${WORDS[seed.between(0, WORDS.length - 1)]} ${seed.between(1, 99)}`
        : undefined;
      diary.write(kind, on, payload, { ...(note === undefined ? {} : { note }), ...more });
    },
  };
}

const CORRECTED = 0.01;

/** Strengths that were typed wrongly, and put right on the same evening. */
function corrections(seed: Seed, told: readonly Entry[], until: string): Entry[] {
  return told.flatMap((entry): Entry[] => {
    if (entry.kind !== 'strengthSeen' || !seed.chance(CORRECTED)) return [];
    const { payload } = entry;
    const right = {
      ...entry,
      id: seed.id(),
      corrects: entry.id,
      payload: { ...payload, seams: Math.max(1, (payload.seams ?? 2) - 0.5) },
    };
    return Date.parse(right.occurredAt) <= Date.parse(until) ? [right] : [];
  });
}
