import type { CombSide } from '@yellow-cell/contract';
import { type Day, yearColour } from '@yellow-cell/core';
import type { Diary } from './diary.ts';
import type { Seed } from './seed.ts';

/** What the demo's breeder sees and does beside the cells: a chance of its own, so that the rounds stay as they are. */
export interface Care {
  seed: Seed;
  diary: Diary;
  marked: number;
  /** Each place keeps its frame through the season. */
  frames: Map<string, string>;
}
interface Of {
  box: string;
  colony: string;
  attempt: string;
}

/** Seams of bees, in halves, of a compartment that is neither crowded nor weak. */
export function countSeams({ seed, diary }: Care, of: Of, frames: number, on: Day): void {
  const seams = Math.max(1.5, Math.round((0.55 + seed.random() * 0.35) * frames * 2) / 2);
  diary.write('strengthSeen', on, { box: of.box, colony: of.colony, seams: Math.min(seams, frames - 0.5) });
}

const side = (seed: Seed, brood: boolean): CombSide =>
  brood
    ? {
        eggs: seed.between(1, 2) / 10,
        openBrood: seed.between(1, 2) / 10,
        sealed: seed.between(3, 4) / 10,
        stores: seed.between(1, 2) / 10,
      }
    : { stores: seed.between(5, 9) / 10, pollen: 0.1 };

/** The day the pattern is scored: every frame looked through, the queen found, marked and numbered. */
export function lookThrough(care: Care, of: Of, slots: readonly string[], on: Day): void {
  const { seed, diary } = care;
  const inColony = { box: of.box, colony: of.colony };
  const nest = Math.floor(slots.length / 2);
  slots.forEach((slot, index) => {
    const brood = index === nest;
    const sides: [CombSide, CombSide] = [side(seed, brood), side(seed, brood)];
    diary.write(
      'frameAudited',
      on,
      { ...inColony, frame: frameIn(care, of.box, slot), slot, sides, bees: [0.75, 0.5] },
      { hour: 19 },
    );
  });
  const seams = seed.pick([
    [slots.length + 0.5, 2],
    [Math.max(1.5, slots.length - 0.5), 7],
    [1, 1],
  ] as const);
  diary.write('strengthSeen', on, { ...inColony, seams }, { hour: 19 });
  const slot = slots[nest];
  if (slot === undefined) return;
  diary.write('queenSeen', on, { ...inColony, queen: of.attempt, seen: true, slot }, { hour: 19 });
  if (!seed.chance(0.8)) return;
  care.marked += 1;
  diary.write(
    'queenMarked',
    on,
    {
      ...inColony,
      queen: of.attempt,
      colour: yearColour(Number(on.slice(0, 4))),
      number: String(((care.marked - 1) % 99) + 1),
      clipped: false,
    },
    { hour: 20 },
  );
}

function frameIn({ seed, frames }: Care, box: string, slot: string): string {
  const id = frames.get(box + slot) ?? seed.id();
  frames.set(box + slot, id);
  return id;
}

const BLOOMS = [
  ['03-20', 'Willow', 'full'],
  ['04-28', 'Dandelion', 'full'],
  ['05-20', 'Locust tree', 'begins'],
  ['06-02', 'Locust tree', 'over'],
  ['06-18', 'Lime', 'begins'],
] as const;

/** What flowers about a yard, and a question put to its boxes. */
export function yardSeason(
  { seed, diary }: Care,
  yard: string,
  boxes: readonly string[],
  year: number,
): void {
  for (const [day, plant, what] of BLOOMS) diary.write('bloomSeen', `${year}-${day}`, { yard, plant, what });
  const half = Math.floor(boxes.length / 2);
  if (half === 0) return;
  diary.write('trialBegun', `${year}-04-20`, {
    trial: seed.id(),
    yard,
    question: 'Does a second hole raise takes?',
    measured: 'takes of all cells given from May to July',
    boxesIn: boxes.slice(0, half),
    boxesAgainst: boxes.slice(half),
  });
}
