import type { CombSide, DesignContent } from '@yellow-cell/contract';
import { beesOfSeams, type Day, defaultConstants, deriveBox, parts } from '@yellow-cell/core';
import type { DemoDesign } from './designs.ts';
import { type Diary, newDiary } from './diary.ts';
import type { Place } from './season.ts';
import { type Seed, seedFrom } from './seed.ts';

/** A box of the demo as its season ends: its rooms, in their order, and how it is built. */
export interface AutumnBox {
  label: string;
  design: DemoDesign;
  rooms: readonly Place[];
}

const SEED = 52;

/** Boxes that are made one colony of, over all their rooms, and how many seams it counts at the middle of October. */
const UNITED: Readonly<Record<string, number>> = {
  B1: 5,
  B3: 6.5,
  B6: 5.5,
  B7: 6,
  B9: 7,
  B11: 5,
  B12: 6,
  N1: 2.5,
  N2: 2,
  N4: 4,
  N5: 2,
  S1: 5,
  S2: 4,
};
/** Seams of what goes into winter beside each other, or alone, room by room; undefined was not counted. */
const COUNTED: Readonly<Record<string, readonly (number | undefined)[]>> = {
  B2: [4.5, 4],
  B4: [1, 1.5, 1.5],
  B5: [4.5, 3.5],
  B8: [undefined, 1, 2.5],
  B10: [4, 4.5],
  N3: [4.5],
  N6: [4],
};
/** Looked through frame by frame in the middle of October. */
const LOOKED = ['B1', 'B3', 'B12', 'N3', 'B9'];
/** Hefted that week, with the stores that are in them: kg. */
const HEFTED: Readonly<Record<string, number>> = { B6: 3.5, B7: 4.2, B2: 4, B11: 2.4, N6: 1.6 };
/** Hefted again in winter, with what is left then. */
const IN_WINTER: readonly (readonly [string, Readonly<Record<string, number>>])[] = [
  [
    '12-13',
    { B1: 11.6, B2: 8.8, B3: 12.4, B6: 5.8, B7: 6.3, B11: 4.7, B12: 12.1, N3: 9.1, N4: 4.4, N6: 4.1 },
  ],
  ['01-24', { B1: 10.7, B2: 7.6, B3: 10.6, B6: 4.4, B7: 4.9, B9: 9.4, B12: 10.2, N3: 8.3, N4: 2.9, N6: 3.8 }],
];

/** The year's end: rooms are made one, counted, treated, looked through and hefted, fed in October, and followed into February. */
export function autumn(
  boxes: readonly AutumnBox[],
  frames: ReadonlyMap<string, string>,
  year: number,
): Diary {
  const seed = seedFrom(SEED);
  const diary = newDiary(seed, 'winter-book');
  const on = (monthDay: string): Day => `${monthDay < '03' ? year + 1 : year}-${monthDay}`;
  const living = boxes.map((box) => ({ ...box, rooms: settle(seed, diary, box, on) }));
  for (const { label, rooms } of living)
    for (const [index, room] of rooms.entries()) {
      const of = { box: room.box, colony: room.colony ?? '' };
      const { box, bays } = room;
      diary.write('roleSet', on('09-06'), { box, role: 'wintering', bays }, { hour: 18 });
      const outBy = on('09-23');
      diary.write(
        'stripsPut',
        on('09-08'),
        { ...of, product: 'Strips, by their label', outBy },
        { hour: 16 },
      );
      // One set is forgotten.
      if (label !== 'B5' || index > 0) diary.write('stripsOut', on('09-22'), of, { hour: 15 });
      const seams = UNITED[label] ?? COUNTED[label]?.[index];
      if (seams !== undefined)
        diary.write('strengthSeen', on('10-12'), { ...of, seams }, { hour: seed.between(12, 14) });
      if (LOOKED.includes(label)) lookThrough(seed, diary, room, seams ?? 3, frames, on('10-16'));
      if (seams !== undefined && seams >= 3)
        for (const day of ['10-22', '10-27'])
          diary.write('fed', on(day), { ...of, feed: 'syrup21', amount_kg: 2 }, { hour: 17 });
      if (label === 'N5')
        diary.write(
          'failed',
          on('01-30'),
          { ...of, reason: 'starved' },
          { hour: 13, note: 'A handful of bees, heads in the cells.' },
        );
      if (seams !== undefined && seams >= 4 && index === 0)
        diary.write('strengthSeen', on('02-08'), { ...of, seams: seams - 1 }, { hour: 13 });
    }
  const heft = (monthDay: string, stores: Readonly<Record<string, number>>, felt: boolean) => {
    for (const { label, design, rooms } of living) {
      const stores_kg = stores[label];
      const box = rooms[0]?.box;
      if (stores_kg === undefined || box === undefined) continue;
      const weight_kg = Math.round((weightWithout(design, rooms, label) + stores_kg) * 10) / 10;
      diary.write('weighed', on(monthDay), { box, weight_kg, felt }, { hour: 11 });
    }
  };
  heft('10-17', HEFTED, true);
  for (const [day, stores] of IN_WINTER) heft(day, stores, false);
  return diary;
}

/** Early in September: the queenless join those that lay, and of most boxes one colony is made over all their rooms. */
function settle(
  seed: Seed,
  diary: Diary,
  { label, design, rooms }: AutumnBox,
  on: (monthDay: string) => Day,
): Place[] {
  const laying = rooms.filter(({ status, colony }) => status === 'laying' && colony);
  const [keeper] = laying;
  const unites = label in UNITED;
  const goes = rooms.filter(({ colony, status }) => colony && (unites ? true : status !== 'laying'));
  if (!keeper?.colony) {
    for (const { box, colony = '' } of goes)
      diary.write('failed', on('09-02'), { box, colony, reason: 'starved' }, { hour: 18 });
    return [];
  }
  for (const room of goes) {
    const { box, colony, attempt, status } = room;
    if (room === keeper || !colony) continue;
    if (status === 'laying' && attempt)
      diary.write(
        'queenTaken',
        on('09-01'),
        { box, colony, attempt, to: 'sold', beesRemain: true },
        { hour: seed.between(9, 10) },
      );
    diary.write(
      'combined',
      on('09-02'),
      { box, colony, intoBox: keeper.box, into: keeper.colony },
      { hour: 18 },
    );
  }
  if (unites) pullBoards(diary, design, rooms, keeper, on('09-05'));
  return unites
    ? [{ ...keeper, slots: rooms.flatMap(({ slots }) => slots), bays: rooms.flatMap(({ bays }) => bays) }]
    : [...laying];
}

/** All boards out, and every way out but the keeper's closed. */
export function pullBoards(
  diary: Diary,
  { content }: DemoDesign,
  rooms: readonly Place[],
  keeper: Place,
  on: Day,
): void {
  const { box } = keeper;
  const boards = content.layers.flatMap((layer) => (layer.kind === 'body' ? layer.boards : []));
  for (const { id } of boards) diary.write('dividerSet', on, { box, board: id, stands: false }, { hour: 16 });
  const compartments = deriveBox(content).compartments;
  const [own] = compartments[rooms.indexOf(keeper)]?.entrances ?? [];
  for (const { entrances } of compartments)
    for (const { id } of entrances)
      if (id !== own?.id)
        diary.write('entranceSet', on, { box, entrance: id, state: 'closed' }, { hour: 17 });
}

/** From the wall to the nest and on: stores, pollen and stores, brood in the middle, then empty comb and foundation. */
function lookThrough(
  seed: Seed,
  diary: Diary,
  { box, colony = '', slots }: Place,
  seams: number,
  frames: ReadonlyMap<string, string>,
  on: Day,
): void {
  const nest = Math.min(slots.length - 1, Math.max(1, Math.floor(slots.length / 2)));
  slots.forEach((slot, index) => {
    const away = index - nest;
    const sides = combAt(away, seams, index === slots.length - 2, seed);
    diary.write(
      'frameAudited',
      on,
      { box, colony, frame: frames.get(box + slot) ?? seed.id(), slot, sides },
      { hour: 13 },
    );
  });
}

export function combAt(away: number, seams: number, oneSided: boolean, seed: Seed): [CombSide, CombSide] {
  const far = Math.abs(away);
  const tenths = (from: number, to: number) => seed.between(from, to) / 10;
  if (far === 0) {
    const brood = () => ({ sealed: tenths(2, 3), openBrood: 0.1, stores: tenths(3, 4), pollen: 0.1 });
    return [brood(), brood()];
  }
  if (far === 1) {
    const beside = () => ({ stores: tenths(5, 7), pollen: tenths(1, 2) });
    return [{ ...beside(), sealed: 0.1 }, beside()];
  }
  if (oneSided) return [{ foundation: 1 }, { stores: 0.6 }];
  if (far <= seams / 2 + 0.5) return [{ stores: tenths(7, 9) }, { stores: tenths(6, 8) }];
  return far === 3 ? [{ stores: 0.02 }, {}] : [{ foundation: 1 }, { foundation: 1 }];
}

/** What the scale shows of a box beside the stores in it: wood, combs and bees. */
const weightWithout = ({ content }: DemoDesign, rooms: readonly Place[], label: string): number =>
  weightOf(
    content,
    rooms.reduce((sum, { slots }) => sum + slots.length, 0),
    UNITED[label] === undefined ? (COUNTED[label] ?? []) : [UNITED[label]],
  );

/** Of a box with so many frames and colonies of so many seams, without stores; what was not counted weighs nothing. */
export function weightOf(
  content: DesignContent,
  hung: number,
  seams: readonly (number | undefined)[],
): number {
  const pitch_mm = deriveBox(content).compartments[0]?.frames[0]?.format.pitch_mm ?? 0;
  const bees_kg = seams.reduce<number>(
    (sum, each) => sum + beesOfSeams(each ?? 0, pitch_mm, defaultConstants.litresPerKg),
    0,
  );
  return parts({ design: content }).weights.empty_kg + hung * defaultConstants.frame_kg + bees_kg;
}
