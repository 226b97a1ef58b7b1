/** How sure one can want to be, in words. */
export const SURELY: readonly (readonly [number, string])[] = [
  [0.5, 'as often as not'],
  [0.8, '8 times in 10'],
  [0.9, '9 times in 10'],
  [0.95, '19 times in 20'],
];
