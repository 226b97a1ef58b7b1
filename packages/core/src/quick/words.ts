import type { EntranceState, FailReason, Feed, QueenColour, QueenFate, Trouble } from '@yellow-cell/contract';

/** The short hand of the quick line: each meaning with the words that say it, in lower case. */
export type Meaning =
  | { is: 'eggs' }
  | { is: 'pattern' }
  | { is: 'cell' }
  | { is: 'round' }
  | { is: 'opened' }
  | { is: 'failed' }
  | { is: 'fed' }
  | { is: 'strips' }
  | { is: 'out' }
  | { is: 'taken' }
  | { is: 'combine' }
  | { is: 'pull' }
  | { is: 'set' }
  | { is: 'divider' }
  | { is: 'no' }
  | { is: 'stock' }
  | { is: 'seams' }
  | { is: 'queen' }
  | { is: 'seen' }
  | { is: 'marked' }
  | { is: 'wild' }
  | { is: 'virgin' }
  | { is: 'weigh'; by: 'scale' | 'hand' }
  | { is: 'cover' }
  | { is: 'off' }
  | { is: 'over' }
  | { is: 'colour'; colour: QueenColour }
  | { is: 'trouble'; trouble: Trouble }
  | { is: 'filler' }
  | { is: 'reason'; reason: FailReason }
  | { is: 'feed'; feed: Feed }
  | { is: 'fate'; fate: QueenFate }
  | { is: 'state'; state: EntranceState };

const entries: readonly (readonly [string, Meaning])[] = [
  ['eggs egg laying brood', { is: 'eggs' }],
  ['pattern score scored', { is: 'pattern' }],
  ['cell cells', { is: 'cell' }],
  ['round batch', { is: 'round' }],
  ['opened emerged hatched', { is: 'opened' }],
  ['failed fail failure', { is: 'failed' }],
  ['fed feed', { is: 'fed' }],
  ['strips strip', { is: 'strips' }],
  ['out', { is: 'out' }],
  ['taken took take', { is: 'taken' }],
  ['combine combined unite united', { is: 'combine' }],

  ['pull pulled', { is: 'pull' }],
  ['set', { is: 'set' }],
  ['divider board follower', { is: 'divider' }],
  ['no not', { is: 'no' }],
  ['stocked stock', { is: 'stock' }],
  ['shakes shake', { is: 'filler' }],
  ['bees seams seam', { is: 'seams' }],
  ['queen', { is: 'queen' }],
  ['seen', { is: 'seen' }],
  ['marked', { is: 'marked' }],
  ['wild', { is: 'wild' }],
  ['virgin', { is: 'virgin' }],
  ['weight weighed weighs', { is: 'weigh', by: 'scale' }],
  ['hefted heft', { is: 'weigh', by: 'hand' }],
  ['cover lid', { is: 'cover' }],
  ['off', { is: 'off' }],
  ['over gone', { is: 'over' }],
  ['white', { is: 'colour', colour: 'white' }],
  ['yellow', { is: 'colour', colour: 'yellow' }],
  ['red', { is: 'colour', colour: 'red' }],
  ['green', { is: 'colour', colour: 'green' }],
  ['blue', { is: 'colour', colour: 'blue' }],
  ['wasps wasp', { is: 'trouble', trouble: 'wasps' }],
  ['robbing', { is: 'trouble', trouble: 'robbing' }],
  ['beetles', { is: 'trouble', trouble: 'beetles' }],
  ['chalk', { is: 'trouble', trouble: 'chalk' }],
  ['mites', { is: 'trouble', trouble: 'mites' }],
  [
    'layer the a an of with into in by to from given give entrance disc was is and at her on',
    { is: 'filler' },
  ],
  ['robbed', { is: 'reason', reason: 'robbed' }],
  ['absconded', { is: 'reason', reason: 'absconded' }],
  ['starved', { is: 'reason', reason: 'starved' }],
  ['lost virginlost', { is: 'reason', reason: 'virginLost' }],
  ['drone drones dronelayer', { is: 'reason', reason: 'droneLayer' }],
  ['unopened notopened', { is: 'reason', reason: 'cellNotOpened' }],
  ['superseded', { is: 'reason', reason: 'superseded' }],
  ['syrup syrup11', { is: 'feed', feed: 'syrup11' }],
  ['syrup21 thick', { is: 'feed', feed: 'syrup21' }],
  ['fondant candy', { is: 'feed', feed: 'fondant' }],
  ['patty patties', { is: 'feed', feed: 'patty' }],
  ['sugar', { is: 'feed', feed: 'drySugar' }],
  ['stores honey', { is: 'feed', feed: 'storesFrame' }],
  ['bank', { is: 'fate', fate: 'bank' }],
  ['sold', { is: 'fate', fate: 'sold' }],
  ['culled killed', { is: 'fate', fate: 'culled' }],
  ['died dead', { is: 'fate', fate: 'died' }],
  ['colony', { is: 'fate', fate: 'colony' }],
  ['aside', { is: 'fate', fate: 'aside' }],
  ['vent', { is: 'state', state: 'vent' }],
  ['open', { is: 'state', state: 'open' }],
  ['closed shut', { is: 'state', state: 'closed' }],
  ['reduced', { is: 'state', state: 'reduced' }],
];

const dictionary = new Map<string, Meaning>(
  entries.flatMap(([words, meaning]) => words.split(' ').map((word) => [word, meaning] as const)),
);

export interface Understood {
  word: string;
  meaning: Meaning;
}

/** The meaning of a typed word; near misses of longer words are forgiven. More than one meaning as near is none: it must be asked. */
export function meaningsOf(typed: string): Understood[] {
  const exact = dictionary.get(typed);
  if (exact) return [{ word: typed, meaning: exact }];
  const allowed = typed.length >= 7 ? 2 : typed.length >= 3 ? 1 : 0;
  if (allowed === 0) return [];
  let nearest = allowed;
  let found: Understood[] = [];
  for (const [word, meaning] of dictionary) {
    if (word.length < 3) continue;
    const distance = editDistance(typed, word);
    if (distance > nearest) continue;
    if (distance < nearest) found = [];
    nearest = distance;
    if (!found.some((each) => sameMeaning(each.meaning, meaning))) found.push({ word, meaning });
  }
  return found;
}

const sameMeaning = (a: Meaning, b: Meaning): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Letters put in, left out or changed, and neighbours changed over. */
export function editDistance(a: string, b: string): number {
  const rows = Array.from({ length: a.length + 1 }, (_, i) => [i, ...new Array<number>(b.length).fill(0)]);
  for (let j = 0; j <= b.length; j++) (rows[0] as number[])[j] = j;
  const at = (i: number, j: number): number => rows[i]?.[j] ?? 0;
  for (let i = 1; i <= a.length; i++)
    for (let j = 1; j <= b.length; j++) {
      const changed = at(i - 1, j - 1) + (a[i - 1] === b[j - 1] ? 0 : 1);
      const swapped =
        i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1] ? at(i - 2, j - 2) + 1 : changed;
      (rows[i] as number[])[j] = Math.min(at(i - 1, j) + 1, at(i, j - 1) + 1, changed, swapped);
    }
  return at(a.length, b.length);
}
