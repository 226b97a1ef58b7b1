import type { ReduceQuestion, ReduceSlot } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reduce, reduceProblems } from './reduce.ts';

type Side = NonNullable<ReduceSlot['sides']>[number];
const side = (more: Partial<Side> = {}): Side => ({ stores: 0, pollen: 0, brood: 0, drawn: 1, ...more });
const both = (more: Partial<Side>): [Side, Side] => [side(more), side(more)];
const brood = both({ brood: 0.4, stores: 0.2 });
const stores = (share: number) => both({ stores: share });
const ask = (
  slots: readonly (ReduceSlot['sides'] | null)[],
  more: Partial<ReduceQuestion> = {},
): ReduceQuestion => ({
  format: 'langstroth-deep',
  slots: slots.map((sides, at) => ({ slot: at + 1, ...(sides ? { sides } : {}) })),
  seams: 4,
  need_kg: 9,
  school: 'sun',
  sunSide: 'left',
  ...more,
});
const placed = (question: ReduceQuestion) =>
  reduce(question).frames.map(({ verdict, to }) => (verdict === 'out' ? 'out' : to));
/** One side of a Langstroth deep: (448 − 22) × (232 − 29) mm² of comb, 1.65 g of stores to a cm². */
const FULL_KG = (42.6 * 20.3 * 1.65) / 1_000;

describe('a cavity fitted to its colony', () => {
  it('keeps brood, stores and pollen, and lets foundation, part drawn and empty comb go once stores suffice', () => {
    const question = ask(
      [null, stores(0.9), brood, brood, both({ pollen: 0.3 }), both({}), both({ drawn: 0.3 }), stores(0.6)],
      { need_kg: 2 },
    );
    const { frames, notes } = reduce(question);
    expect(frames.map(({ verdict }) => verdict)).toEqual([
      'out',
      'keep',
      'keep',
      'keep',
      'keep',
      'out',
      'out',
      'keep',
    ]);
    expect(frames.map(({ to }) => to)).toEqual([null, 1, 4, 5, 3, null, null, 2]);
    expect(frames[5]?.why).toContain('Empty drawn comb');
    expect(frames[6]?.why).toContain('Part drawn');
    expect(notes).toEqual([]);
  });

  it('counts the stores of what stays, a third more than is needed, and the sugar and syrup for what is short', () => {
    const { stores_kg, carry_kg, short_kg, sugar_kg, syrup_l } = reduce(
      ask([stores(0.9), brood, both({ pollen: 0.5 })]),
    );
    expect(stores_kg).toBeCloseTo(2.2 * FULL_KG, 9);
    expect(carry_kg).toBe(12);
    expect(short_kg).toBeCloseTo(12 - 2.2 * FULL_KG, 9);
    expect(sugar_kg).toBeCloseTo(short_kg / 1.1, 9);
    expect(syrup_l).toBeCloseTo(short_kg / 1.1 / 0.88, 9);
    expect(reduce(ask([stores(0.9)], { need_kg: 0 }))).toMatchObject({
      carry_kg: 0,
      short_kg: 0,
      sugar_kg: 0,
      syrup_l: 0,
    });
  });

  it('leaves as many empty combs as the feed will fill, and none where nothing is short', () => {
    const empties = [brood, both({}), both({}), both({})];
    const keptAt = (need_kg: number) =>
      reduce(ask(empties, { need_kg })).frames.filter(({ verdict, to }) => verdict === 'keep' && to !== null)
        .length - 1;
    const has = 0.4 * FULL_KG;
    const needFor = (short: number) => ((has + short) * 3) / 4;
    expect(keptAt(needFor(0))).toBe(0);
    expect(keptAt(needFor(0.01))).toBe(1);
    expect(keptAt(needFor(2 * FULL_KG - 0.01))).toBe(1);
    expect(keptAt(needFor(2 * FULL_KG + 0.01))).toBe(2);
    expect(keptAt(99)).toBe(3);
  });

  it('puts stores by the school: on the sun side, on both, or away from it, the heaviest outermost', () => {
    const combs = [stores(0.3), brood, brood, stores(0.9), stores(0.6)];
    expect(placed(ask(combs))).toEqual([3, 4, 5, 1, 2]);
    expect(placed(ask(combs, { sunSide: 'right' }))).toEqual([3, 1, 2, 5, 4]);
    expect(placed(ask(combs, { school: 'behind' }))).toEqual([3, 1, 2, 5, 4]);
    expect(placed(ask(combs, { school: 'behind', sunSide: 'right' }))).toEqual([3, 4, 5, 1, 2]);
    expect(placed(ask(combs, { school: 'both' }))).toEqual([2, 3, 4, 1, 5]);
  });

  it('turns a comb whose undrawn side would look outward, and no other', () => {
    const left: [Side, Side] = [side({ drawn: 0.2 }), side({ stores: 0.8 })];
    const right: [Side, Side] = [side({ stores: 0.8 }), side({ drawn: 0.2 })];
    const verdicts = (sunSide: 'left' | 'right') =>
      reduce(ask([left, brood, right], { sunSide })).frames.map(({ verdict, turned }) => [verdict, turned]);
    expect(verdicts('left')).toEqual([
      ['turn', true],
      ['keep', false],
      ['keep', false],
    ]);
    expect(verdicts('right')).toEqual([
      ['keep', false],
      ['keep', false],
      ['turn', true],
    ]);
    expect(reduce(ask([left, right])).frames.map(({ turned }) => turned)).toEqual([false, false]);
  });

  it('speaks of few bees, and of more than the frames that stay', () => {
    expect(reduce(ask([brood], { seams: 3.5 })).notes.join(' ')).toMatch(/combine.*drawn comb/s);
    expect(reduce(ask([brood, brood, brood, stores(1)], { seams: 4 })).notes).toEqual([]);
  });

  it('places each kept comb once, brood together in its order, and weighs only what stays', () => {
    const share = fc.constantFrom(0, 0.04, 0.05, 0.3);
    const comb = fc.option(
      fc
        .tuple(share, share, share, share)
        .map(([a, b, c, d]): [Side, Side] => [side({ stores: a, brood: b }), side({ stores: c, pollen: d })]),
    );
    const school = fc.constantFrom('sun' as const, 'both' as const, 'behind' as const);
    fc.assert(
      fc.property(
        fc.array(comb, { minLength: 1, maxLength: 12 }),
        school,
        fc.constantFrom('left' as const, 'right' as const),
        fc.nat(20),
        (combs, by, sunSide, need_kg) => {
          const question = ask(combs, { school: by, sunSide, need_kg });
          const { frames, stores_kg, short_kg, carry_kg } = reduce(question);
          const places = frames.flatMap(({ to }) => to ?? []).sort((a, b) => a - b);
          expect(places).toEqual(places.map((_, at) => at + 1));
          const nest = frames
            .filter((_, at) => combs[at]?.some((each) => each.brood >= 0.05))
            .map(({ to }) => to ?? 0);
          expect(nest).toEqual(nest.map((_, at) => (nest[0] ?? 0) + at));
          const kept = frames.flatMap(({ to }, at) => (to === null ? [] : [combs[at]]));
          const held = kept.reduce(
            (sum, sides) => sum + (sides?.[0].stores ?? 0) + (sides?.[1].stores ?? 0),
            0,
          );
          expect(stores_kg).toBeCloseTo(held * FULL_KG, 9);
          expect(short_kg).toBeCloseTo(Math.max(0, carry_kg - stores_kg), 9);
        },
      ),
    );
  });

  it('refuses what cannot be, each in its place', () => {
    const bad = ask([both({ stores: 0.7, brood: 0.7 }), both({ stores: 0.5, drawn: 0.4 }), brood], {
      format: 'none',
    });
    bad.slots[2] = { slot: 1, sides: brood };
    expect(reduceProblems(bad).map(({ path }) => path)).toEqual([
      'format',
      'slots.0.sides.0',
      'slots.0.sides.1',
      'slots.1.sides.0',
      'slots.1.sides.1',
      'slots.2.slot',
    ]);
    // Stores, pollen and brood together are no more than what is drawn.
    const full = both({ stores: 0.4, pollen: 0.3, brood: 0.3 });
    expect(reduceProblems(ask([full]))).toEqual([]);
    expect(reduceProblems(ask([both({ stores: 0.4, pollen: 0.4, brood: 0.3 })]))).toHaveLength(2);
  });
});
