import { type Random, seededRandom } from '@yellow-cell/core';

/** All of the demo's chance comes from here, so that it is the same each time. */
export interface Seed {
  random: Random;
  /** A UUID made from the seed. */
  id(): string;
  /** A whole number from `least` to `most`, both included. */
  between(least: number, most: number): number;
  chance(share: number): boolean;
  /** One of several, each with its weight. */
  pick<T>(weighted: readonly (readonly [T, number])[]): T;
  shuffled<T>(list: readonly T[]): T[];
}

export function seedFrom(number: number): Seed {
  const random = seededRandom(number);
  const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  return {
    random,
    between,
    id: () => uuid(random),
    chance: (share) => random() < share,
    pick: (weighted) => pickWeighted(weighted, random()),
    shuffled: (list) =>
      list
        .map((item) => ({ item, key: random() }))
        .sort((a, b) => a.key - b.key)
        .map(({ item }) => item),
  };
}

function pickWeighted<T>(weighted: readonly (readonly [T, number])[], random: number): T {
  let left = random * weighted.reduce((total, [, weight]) => total + weight, 0);
  const found = weighted.find(([, weight]) => {
    left -= weight;
    return left < 0;
  });
  if (!found) throw new Error('There is nothing to pick from.');
  return found[0];
}

function uuid(random: Random): string {
  const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16));
  hex[12] = '4';
  hex[16] = '8';
  const text = hex.join('');
  return [text.slice(0, 8), text.slice(8, 12), text.slice(12, 16), text.slice(16, 20), text.slice(20)].join(
    '-',
  );
}
