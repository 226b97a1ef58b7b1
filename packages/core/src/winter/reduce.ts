import type { Format, Problem, ReduceAnswer, ReduceQuestion, ReduceSlot } from '@yellow-cell/contract';
import { combSide } from '../box/measures.ts';
import { type Constants, constantsWith } from '../constants/registry.ts';
import { STORES_OF_SUGAR, SYRUPS } from '../feed/feeds.ts';
import { standardFormats } from '../formats/formats.ts';
import { above } from '../numbers.ts';
import { refuse } from '../problems.ts';
import { countOf } from '../say/words.ts';

type Sides = NonNullable<ReduceSlot['sides']>;
/** What decides on a comb; `unlooked` was not looked through. */
export type Holds = 'brood' | 'stores' | 'pollen' | 'empty' | 'partDrawn' | 'foundation' | 'unlooked';
interface Comb {
  slot: number;
  sides: Sides | undefined;
  holds: Holds;
}
/** A comb before winter; `unlooked` where nothing is known of what it holds. */
export type CombToReduce = ReduceSlot & { unlooked?: true };
/** What is asked of a row of combs of any format. */
export interface Reducing extends Omit<ReduceQuestion, 'format' | 'slots'> {
  format: Format;
  slots: readonly CombToReduce[];
}
const WHY: Readonly<Record<Holds, string>> = {
  brood: 'Brood on it: in the middle, its order kept.',
  stores: 'Stores worth feeling: to the stores side, the heaviest outermost.',
  pollen: 'Pollen: next to the brood.',
  empty: 'Empty drawn comb.',
  partDrawn: 'Part drawn, and nothing in it.',
  foundation: 'Foundation.',
  unlooked: 'Not looked through: it stays with the bees until it is.',
};
/** What stays whatever is to be fed. */
export const STAYS: readonly Holds[] = ['brood', 'stores', 'pollen', 'unlooked'];

/**
 * A colony's cavity fitted to it, frame by frame (handbook 7): what stays, what is turned, what comes out and where the
 * rest goes by the school of where stores belong; and what must still be fed. Shares of a side, kg, litres. Throws `ProblemsError`.
 */
export function reduce(
  question: ReduceQuestion,
  constants = constantsWith(question.constants),
): ReduceAnswer {
  refuse(reduceProblems(question));
  return reduceCombs({ ...question, format: formatOf(question.format) }, constants);
}

/** The same for combs of any format, some of which may not have been looked through. */
export function reduceCombs(question: Reducing, constants: Constants): ReduceAnswer {
  const { format, slots, need_kg, seams } = question;
  const full_kg = fullSide(format, constants);
  const combs = slots
    .toSorted((a, b) => a.slot - b.slot)
    .map(
      (each): Comb => ({
        slot: each.slot,
        sides: each.sides,
        holds: each.unlooked ? 'unlooked' : holdsOf(each.sides, constants),
      }),
    );
  const useful = combs.filter(({ holds }) => STAYS.includes(holds));
  const weightOf = (some: readonly Comb[]): number =>
    some.reduce((sum, comb) => sum + storesOf(comb) * full_kg, 0);
  const carry_kg = need_kg / constants.winterTakes;
  const kept = inOrder([...useful, ...toBeFilled(combs, carry_kg - weightOf(useful), full_kg)], question);
  const stores_kg = weightOf(kept);
  const short_kg = Math.max(0, carry_kg - stores_kg);
  const sugar_kg = short_kg / STORES_OF_SUGAR;
  return {
    frames: combs.map((comb) => frameOf(comb, kept, constants)),
    stores_kg,
    carry_kg,
    short_kg,
    sugar_kg,
    syrup_l: sugar_kg / SYRUPS.syrup21.sugar_kgPerLitre,
    notes: notesOf(seams, kept.length, constants),
  };
}

/** Stores on one side of a full comb, in kg. */
export const fullSide = (format: Format, { honey_gcm2 }: Constants): number =>
  (combSide(format) * honey_gcm2) / 1_000;

function formatOf(id: string): Format {
  const format = standardFormats.find((each) => each.id === id);
  if (!format) throw new Error(`There is no standard format ${id}.`);
  return format;
}
const most = (sides: Sides, of: 'stores' | 'pollen' | 'brood'): number =>
  Math.max(...sides.map((side) => side[of]));
const storesOf = ({ sides }: Comb): number => (sides ? sides[0].stores + sides[1].stores : 0);

/** What decides on a comb: brood before stores before pollen before what is drawn. */
export function holdsOf(sides: Sides | undefined, { worthFeeling, drawnShare }: Constants): Holds {
  if (!sides) return 'foundation';
  for (const of of ['brood', 'stores', 'pollen'] as const) if (most(sides, of) >= worthFeeling) return of;
  const drawn = sides.filter((side) => side.drawn >= drawnShare).length;
  return drawn === 2
    ? 'empty'
    : drawn === 1 || sides.some((side) => side.drawn >= worthFeeling)
      ? 'partDrawn'
      : 'foundation';
}

/** As many empty combs as what is still to be fed will fill, the nearest to the others first. */
function toBeFilled(combs: readonly Comb[], short_kg: number, full_kg: number): Comb[] {
  const kept: Comb[] = [];
  let rest = short_kg;
  for (const comb of combs) {
    if (comb.holds !== 'empty' || !comb.sides || !above(rest, 0)) continue;
    kept.push(comb);
    rest -= (comb.sides[0].drawn + comb.sides[1].drawn) * full_kg;
  }
  return kept;
}

/** From the left: stores by their school around the nest, pollen beside it, the heaviest outermost. */
function inOrder(combs: readonly Comb[], { school, sunSide }: Reducing): Comb[] {
  const nest = combs.filter(({ holds }) => holds === 'brood' || holds === 'unlooked');
  const pollen = combs.filter(({ holds }) => holds === 'pollen');
  const heavy = combs
    .filter(({ holds }) => holds === 'stores' || holds === 'empty')
    .sort((a, b) => storesOf(b) - storesOf(a) || a.slot - b.slot);
  if (school === 'both') {
    // Outer places are filled in turn, so that both sides carry alike.
    const left = heavy.filter((_, rank) => rank % 2 === 0);
    const right = heavy.filter((_, rank) => rank % 2 === 1);
    const before = pollen.filter((_, rank) => rank % 2 === 0);
    const after = pollen.filter((_, rank) => rank % 2 === 1);
    return [...left, ...before, ...nest, ...after, ...right.toReversed()];
  }
  // The sun side is the front as a rule: behind is away from it.
  const storesLeft = (sunSide === 'left') === (school === 'sun');
  return storesLeft ? [...heavy, ...pollen, ...nest] : [...nest, ...pollen, ...heavy.toReversed()];
}

function frameOf(comb: Comb, kept: readonly Comb[], constants: Constants): ReduceAnswer['frames'][number] {
  const { slot, sides, holds } = comb;
  const at = kept.indexOf(comb);
  if (at < 0 || (!sides && holds !== 'unlooked')) {
    const why = holds === 'empty' ? `${WHY.empty} What is to be fed does not need it.` : WHY[holds];
    return { slot, verdict: 'out', why, to: null, turned: false };
  }
  const to = at + 1;
  const undrawn = sides?.map((side) => side.drawn < constants.drawnShare) ?? [];
  const inward = inwardSide(at, kept);
  const looks = undrawn[0] === undrawn[1] ? undefined : undrawn[0] ? 0 : 1;
  if (holds === 'stores' && looks !== undefined && inward !== undefined && looks !== inward)
    return {
      slot,
      verdict: 'turn',
      why: 'Stores on one side, the other not drawn: the undrawn side inward, to be finished.',
      to,
      turned: true,
    };
  const why = holds === 'empty' ? `${WHY.empty} It stays for the feed still to be given.` : WHY[holds];
  return { slot, verdict: 'keep', why, to, turned: false };
}

/** Which side of a kept comb looks to the nest; none within it, and none where there is no brood. */
function inwardSide(at: number, kept: readonly Comb[]): 0 | 1 | undefined {
  const nest = kept.flatMap(({ holds }, place) => (holds === 'brood' ? [place] : []));
  const [first, last] = [nest[0], nest.at(-1)];
  if (first === undefined || last === undefined) return undefined;
  return at < first ? 1 : at > last ? 0 : undefined;
}

function notesOf(seams: number, kept: number, { smallSeams }: Constants): string[] {
  return [
    ...(seams < smallSeams
      ? [
          `Fewer than ${countOf(smallSeams, 'seam')} of bees: combine them, or winter them as a pair over one divider.`,
        ]
      : []),
    ...(seams > kept
      ? ['There are more seams of bees than frames that stay: leave them drawn comb to sit on.']
      : []),
  ];
}

/** A format that is known, places told apart, and no side that holds more than it has. */
export function reduceProblems({ format, slots }: Pick<ReduceQuestion, 'format' | 'slots'>): Problem[] {
  const places = slots.map(({ slot }) => slot);
  return [
    ...(standardFormats.some(({ id }) => id === format)
      ? []
      : [{ path: 'format', value: format, sentence: `There is no standard format ${format}.` }]),
    ...slots.flatMap(({ slot, sides }, index) => [
      ...(places.indexOf(slot) < index
        ? [{ path: `slots.${index}.slot`, value: slot, sentence: `Two frames stand in place ${slot}.` }]
        : []),
      ...(sides ?? []).flatMap(({ stores, pollen, brood, drawn }, side) => {
        const held = stores + pollen + brood;
        if (!above(held, drawn)) return [];
        return [
          {
            path: `slots.${index}.sides.${side}`,
            value: held,
            sentence: above(held, 1)
              ? `What this side of frame ${slot} holds comes to more than the whole side.`
              : `This side of frame ${slot} holds more than is drawn of it.`,
          },
        ];
      }),
    ]),
  ];
}
