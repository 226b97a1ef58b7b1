import { type Day, plusDays } from '@yellow-cell/core';
import { buildBox } from './buildBox.ts';
import type { DemoDesign, DesignKey } from './designs.ts';
import { type Diary, newDiary } from './diary.ts';
import { ROUNDS } from './season.ts';
import { type Seed, seedFrom } from './seed.ts';
import type { BoxPlan, YardKey } from './yards.ts';

/** What the special boxes are made of. */
interface Special {
  designs: Record<DesignKey, DemoDesign>;
  yards: Record<YardKey, { id: string }>;
  year: number;
}

const plans = [
  ['D1', 'donorHolding', 'meadow', 0, 172],
  ['A1', 'allInOne', 'meadow', 1, 188],
  ['X1', 'starter', 'meadow', 2, 180],
  ['K1', 'bank', 'meadow', 3, 165],
  ['FC1', 'followerReduced', 'orchard', 0, 150],
  ['C1', 'changer', 'orchard', 1, 180],
  ['V1', 'display', 'orchard', 2, 190],
  ['W1', 'followerReduced', 'orchard', 3, 170],
  ['G1', 'single', 'meadow', 4, 176],
  ['Q1', 'quarter', 'orchard', 4, 180],
] as const satisfies readonly (readonly [string, DesignKey, YardKey, number, number])[];
type Label = (typeof plans)[number][0];

/** Where the row of special boxes stands, behind those that mate queens. */
const ROW_NORTH_M = 10.2;

const specialPlans: readonly BoxPlan[] = plans.map(([label, design, yard, place, bearing_deg]) => ({
  label,
  design,
  yard,
  stand: String(21 + place),
  east_m: 1.2 + place * 2.6,
  north_m: ROW_NORTH_M,
  bearing_deg,
}));

interface Room {
  box: string;
  bays: string[];
  slots: string[];
}

/** The boxes that mate no queens, one for each role: built, and lived in for a season, with a chance of their own, so that the rounds stay as they are. */
export function specialBoxes({ designs, yards, year }: Special): Diary {
  const seed = seedFrom(SEED);
  const diary = newDiary(seed, 'rearing-phone');
  const on = (monthDay: string): Day => `${year}-${monthDay}`;
  const built = `${year - 1}-04-02`;
  const rooms = new Map(
    specialPlans.map(({ design, yard, ...spot }): [Label, Room[]] => {
      const place = { ...spot, box: seed.id(), yard: yards[yard].id };
      return [spot.label as Label, buildBox(diary, designs[design], place, built, plusDays(built, 2), false)];
    }),
  );
  const room = (label: Label, at = 0): Room => {
    const found = rooms.get(label)?.[at];
    if (!found) throw new Error(`No room ${at} in ${label}.`);
    return found;
  };
  const hive = (label: Label, day: Day, queen?: 'laying', at = 0) => {
    const { box, bays } = room(label, at);
    const colony = seed.id();
    diary.write(
      'stocked',
      day,
      {
        box,
        colony,
        bays,
        frames: { sealedBrood: 1, stores: 1, drawn: 1 },
        shakes: queen ? 0 : 6,
        openBrood: queen !== undefined,
        ...(queen ? { queen } : {}),
      },
      { hour: 9 },
    );
    return { box, colony };
  };

  donor(seed, diary, hive('D1', on('04-20'), 'laying'), room('D1'), year);
  const rearing = hive('A1', on('04-18'), 'laying');
  diary.write('strengthSeen', on('05-24'), { ...rearing, seams: 8 }, { hour: 18 });
  const father = hive('FC1', on('04-12'), 'laying');
  diary.write(
    'roleSet',
    on('04-12'),
    { box: father.box, role: 'father', bays: room('FC1').bays },
    { hour: 10 },
  );
  diary.write(
    'queenRecorded',
    on('04-12'),
    { ...father, queen: seed.id(), name: 'Thistle', birthYear: year - 1 },
    { hour: 10 },
  );
  starter(diary, room('X1'), seed, rearing, year);
  for (let week = 0; week <= CARED_WEEKS; week += 1)
    diary.write('wildCellsSearched', plusDays(on('04-19'), 7 * week), { ...rearing, found: 0 }, { hour: 17 });
  const wanted = seedFrom(SEED + 2);
  const lots = LOTS.map(([day, name, queens, by]) => ({ day, lot: wanted.id(), name, queens, by: on(by) }));
  bank(seed, diary, hive('K1', on('05-02')), room('K1'), year, lots[0]?.lot ?? '');

  const changing = hive('C1', on('05-04'), 'laying');
  for (const day of ['05-08', '05-16', '05-24'])
    diary.write('fed', on(day), { ...changing, feed: 'syrup11', amount_kg: 3 }, { hour: 19 });
  change(seed, diary, changing, room('C1'), room('C1', 1), year);
  const shown = hive('V1', on('05-08'), 'laying');
  diary.write(
    'outingLeft',
    on('05-16'),
    { ...shown, place: 'The school’s open day', backBy: `${on('05-16')}T15:00:00.000Z` },
    { hour: 9 },
  );
  diary.write('outingReturned', on('05-16'), shown, { hour: 16 });
  const wintered = hive('W1', `${year - 1}-09-10`, 'laying');
  diary.write('strengthSeen', on('03-28'), { ...wintered, seams: 3.5 }, { hour: 13 });
  const growing = hive('G1', on('05-12'), 'laying');
  diary.write('strengthSeen', on('05-22'), { ...growing, seams: 3 }, { hour: 18 });
  diary.write('roleSet', on('04-10'), { box: room('Q1').box, role: 'stores' }, { hour: 11 });
  for (const { day, ...lot } of lots) diary.write('lotWanted', on(day), lot, { hour: 20 });
  for (const [of, seams] of [
    [rearing, 8],
    [growing, 4.5],
    [father, 5],
    [wintered, 5],
  ] as const)
    diary.write('strengthSeen', on('10-13'), { ...of, seams }, { hour: 13 });
  const before = seedFrom(SEED + 1);
  for (const [day, name, queens, by] of LOTS_BEFORE)
    diary.write(
      'lotWanted',
      `${year - 1}-${day}`,
      { lot: before.id(), name, queens, by: `${year - 1}-${by}` },
      { hour: 20 },
    );
  return diary;
}

/** Queens that are wanted in a season: said when, for whom, how many, by when. */
const LOTS = [
  ['04-30', 'Order from the next valley', 26, '06-20'],
  ['05-12', 'Our own boxes', 16, '07-15'],
  ['05-20', 'The beginners’ course', 12, '08-10'],
] as const;
/** And in the season before. */
const LOTS_BEFORE = [
  ['04-24', 'Order from the next valley', 24, '06-25'],
  ['05-02', 'Our own boxes', 20, '07-20'],
  ['05-30', 'Late requeening', 16, '08-25'],
] as const;
const SEED = 51;
/** The finisher is searched every week as long as rounds are grafted. */
const CARED_WEEKS = 12;

type Of = { box: string; colony: string };

/** The colony between two frames: its queen went above in mid-May, and its last drones below emerge in June. */
function change(seed: Seed, diary: Diary, of: Of, { box, bays }: Room, above: Room, year: number): void {
  const run = seed.id();
  const by = `${year}-06-20`;
  diary.write(
    'playbookBegun',
    `${year}-05-04`,
    { box, run, playbook: 'formatChange', bays, by },
    { hour: 11 },
  );
  for (const [step, day] of [
    ['below', '05-04'],
    ['above', '05-04'],
    ['syrup', '05-08'],
    ['drawn', '05-16'],
    ['queenUp', '05-17'],
    ['entrance', '05-17'],
    ['syrup', '05-24'],
  ] as const) {
    diary.write('stepTicked', `${year}-${day}`, { box, run, step }, { hour: step === 'below' ? 12 : 18 });
    const bay = above.bays[0] ?? '';
    if (step === 'queenUp')
      diary.write('queenSeen', `${year}-${day}`, { ...of, seen: true, bay }, { hour: 18 });
  }
}

/** Every four days a frame of her youngest larvae is taken, and a drawn comb given for it. */
function donor(seed: Seed, diary: Diary, of: Of, { slots }: Room, year: number): void {
  const begun = `${year}-04-20`;
  diary.write(
    'queenRecorded',
    begun,
    { ...of, queen: seed.id(), name: 'Sable', birthYear: year - 2 },
    { hour: 10 },
  );
  const slot = slots[1] ?? '';
  let frame = seed.id();
  for (let day = 4; day < 92; day += 4) {
    const next = seed.id();
    const place = { box: of.box, slot };
    diary.write(
      'framesMoved',
      plusDays(begun, day),
      {
        moves: [
          { frame, from: place, to: null, turned: false },
          { frame: next, from: null, to: place, turned: false },
        ],
        purpose: 'graft',
      },
      { hour: 15 },
    );
    frame = next;
  }
}

/** Closed on the morning of each graft; a day later its cells go to the finisher, and its bees with them. */
function starter(diary: Diary, { box, bays }: Room, seed: Seed, finisher: Of, year: number): void {
  for (const { monthDay } of ROUNDS) {
    const on = `${year}-${monthDay}`;
    const colony = seed.id();
    const frames = { sealedBrood: 0, stores: 3, drawn: 0 };
    diary.write('stocked', on, { box, colony, bays, frames, shakes: 9, openBrood: false }, { hour: 10 });
    diary.write('roleSet', on, { box, role: 'starter', bays }, { hour: 11 });
    diary.write('fed', on, { box, colony, feed: 'syrup11', amount_kg: 1 }, { hour: 16 });
    diary.write(
      'combined',
      plusDays(on, 1),
      { box, colony, intoBox: finisher.box, into: finisher.colony },
      { hour: 18, note: 'Tipped out before the finisher once its cells were over.' },
    );
  }
}

/** Queens come in caged, one is sold for a lot; a frame of sealed brood goes in every week. */
function bank(seed: Seed, diary: Diary, of: Of, { bays }: Room, year: number, lot: string): void {
  const cages = ['A1', 'A2', 'A3', 'A4'];
  const queens = cages.map((cage, index) => {
    const queen = seed.id();
    const facts = {
      what: 'mated',
      caged: true,
      cage,
      mother: { name: index % 2 ? 'Thistle' : 'Sable' },
    } as const;
    diary.write('queenGiven', `${year}-05-${String(6 + index * 6).padStart(2, '0')}`, {
      ...of,
      queen,
      ...facts,
    });
    return queen;
  });
  diary.write('queenTaken', `${year}-05-27`, {
    ...of,
    queen: queens[0] ?? '',
    to: 'sold',
    beesRemain: true,
    lot,
  });
  for (let week = 1; week < 12; week += 1)
    diary.write(
      'stocked',
      plusDays(`${year}-05-02`, 7 * week),
      { ...of, bays, frames: { sealedBrood: 1, stores: 0, drawn: 0 }, shakes: 0, openBrood: true },
      { hour: 17 },
    );
}
