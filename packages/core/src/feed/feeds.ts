import type { Feed } from '@yellow-cell/contract';

/** Syrup by its sugar to water, by weight: kilograms of it, and of the sugar in it, to a litre (handbook 7, frame by frame). */
export const SYRUPS = {
  syrup11: { kgPerLitre: 1.24, sugar_kgPerLitre: 0.62 },
  syrup21: { kgPerLitre: 1.32, sugar_kgPerLitre: 0.88 },
} as const;
/** A kilogram of sugar comes to so much of stores, what is lost in handling taken off (handbook 7). */
export const STORES_OF_SUGAR = 1.1;
const storesOf = ({
  kgPerLitre,
  sugar_kgPerLitre,
}: {
  kgPerLitre: number;
  sugar_kgPerLitre: number;
}): number => (STORES_OF_SUGAR * sugar_kgPerLitre) / kgPerLitre;

/** Stores that a kilogram of each feed comes to. Fondant and patties by their sugar, an estimate of ours; syrup of which no more is said is taken for 1:1. */
export const STORES_OF = {
  sugar: STORES_OF_SUGAR,
  syrup: storesOf(SYRUPS.syrup11),
  syrup11: storesOf(SYRUPS.syrup11),
  syrup21: storesOf(SYRUPS.syrup21),
  fondant: 0.9,
  patty: 0.6,
  storesFrame: 1,
} as const;

/** What a kilogram of a feed comes to as stores, in kg: a patty is no syrup. */
export const storesPerKg = (feed: Feed): number => STORES_OF[feed === 'drySugar' ? 'sugar' : feed];
/** The sugar that would come to as much of stores, in kg. */
export const sugarIn = (feed: Feed, amount_kg: number): number =>
  (amount_kg * storesPerKg(feed)) / STORES_OF_SUGAR;
