/** A seeded source of numbers in [0, 1): the same seed gives the same numbers everywhere (mulberry32). */
export type Random = () => number;

export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Whole numbers mixed into one of 32 bits, a seed for numbers of their own (the finisher of MurmurHash3 after each). */
export function hashed(...numbers: readonly number[]): number {
  let mixed = 0;
  for (const number of numbers) {
    mixed = (Math.imul(mixed, 31) + number) >>> 0;
    mixed = Math.imul(mixed ^ (mixed >>> 16), 0x85ebca6b);
    mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2ae35);
    mixed = (mixed ^ (mixed >>> 16)) >>> 0;
  }
  return mixed;
}

/** Standard normal by the method of Box and Muller, in its polar form: no more than two numbers are drawn anew as a rule. */
export function normal(random: Random): number {
  for (;;) {
    const [u, v] = [2 * random() - 1, 2 * random() - 1];
    const square = u * u + v * v;
    if (square > 0 && square < 1) return u * Math.sqrt((-2 * Math.log(square)) / square);
  }
}

/** Beta(a, b), a and b above 0: two gammas, one over both. */
export function betaDrawn(a: number, b: number, random: Random): number {
  const [one, other] = [gamma(a, random), gamma(b, random)];
  return one / (one + other);
}

/** Gamma with this shape and scale 1, by the method of Marsaglia and Tsang (2000). */
function gamma(shape: number, random: Random): number {
  if (shape < 1) return gamma(shape + 1, random) * (1 - random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = normal(random);
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - random()) < (x * x) / 2 + d - d * v + d * Math.log(v)) return d * v;
  }
}
