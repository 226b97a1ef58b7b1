import { type PlaceKnown, squash } from './placeNames.ts';
import type { Source } from './source.ts';
import type { Token } from './tokens.ts';

export type PlaceRead =
  | { is: 'box'; box: PlaceKnown; next: number }
  | { is: 'room'; typed: string; next: number }
  | { is: 'all'; next: number };

const BEFORE_PLACE = ['in', 'at', 'box', 'hive'];
const ALL = ['all', 'both', 'each', 'every'];
/** Rooms are called by the side that they lie on; these are the short forms of those words. */
const SHORT: Readonly<Record<string, readonly string[]>> = {
  n: ['north'],
  s: ['south'],
  e: ['east'],
  w: ['west'],
  nw: ['northwest'],
  ne: ['northeast'],
  sw: ['southwest'],
  se: ['southeast'],
  m: ['middle'],
  c: ['middle', 'centre'],
  centre: ['middle'],
  center: ['middle', 'centre'],
  low: ['lower'],
  bottom: ['lower'],
  top: ['upper'],
  u: ['upper'],
};
export const placeWords: readonly string[] = [
  ...BEFORE_PLACE,
  ...ALL,
  'centre',
  'center',
  'low',
  'bottom',
  'top',
];

/** A box, a room, or all of them, that begins at a token. */
export function placesAt(source: Source, at: number): PlaceRead[] {
  const before = BEFORE_PLACE.includes(source.tokens[at]?.text ?? '');
  const from = before ? at + 1 : at;
  // A label may begin with such a word itself: “Box 9”.
  const box = boxAt(source, at, at === 0) ?? (before ? boxAt(source, from, true) : undefined);
  const room = roomAt(source, from);
  const all = ALL.includes(source.tokens[from]?.text ?? '') ? [{ is: 'all', next: from + 1 } as const] : [];
  return [...(box ? [box] : []), ...(room ? [room] : []), ...all];
}

/** Another room to go to: “e”, “b2 e”, “b2”. */
export interface PlaceMeant {
  next: number;
  box: PlaceKnown | undefined;
  room: string | undefined;
}
export function placeAt(source: Source, at: number): PlaceMeant | undefined {
  const box = boxAt(source, at, true);
  const room = roomAt(source, box?.next ?? at);
  if (!box && !room) return undefined;
  return { next: room?.next ?? box?.next ?? at, box: box?.box, room: room?.typed };
}

function boxAt(
  { tokens, names }: Source,
  at: number,
  alone: boolean,
): (PlaceRead & { is: 'box' }) | undefined {
  for (let end = Math.min(tokens.length, at + MOST_TOKENS); end > at; end--) {
    const run = tokens.slice(at, end);
    const box = run.some(({ apart }, index) => apart && index > 0)
      ? undefined
      : names.byLabel.get(squash(typedOf(run)));
    // A label of figures alone is one only where nothing else could be counted.
    if (box && (alone || run.some(({ is }) => is !== 'number'))) return { is: 'box', box, next: end };
  }
  return undefined;
}
const MOST_TOKENS = 6;

function roomAt(source: Source, at: number): (PlaceRead & { is: 'room' }) | undefined {
  for (let end = Math.min(source.tokens.length, at + MOST_TOKENS); end > at; end--) {
    const run = source.tokens.slice(at, end);
    const typed = typedOf(run);
    if (roomsCalled(typed, source.names.rooms, source.isWord).length > 0)
      return { is: 'room', typed, next: end };
  }
  return undefined;
}

/** The rooms that a person may mean, of those of a box: by the whole name, else by as much as is typed of it. */
export function roomsCalled(
  typed: string,
  rooms: readonly string[],
  isWord: (text: string) => boolean,
): readonly string[] {
  const said = wordsOf(typed);
  const [first = ''] = said;
  if (!/\p{L}/u.test(typed)) return [];
  const ways = [tight(typed), ...(said.length === 1 ? (SHORT[first] ?? []) : [])];
  const whole = rooms.filter((name) => ways.includes(tight(name)));
  if (whole.length > 0) return whole;
  if (said.length > 1)
    return rooms.filter((name) => said.every((word, index) => wordsOf(name)[index] === word));
  if (/\d/.test(first) || isWord(first)) return [];
  return rooms.filter((name) => ways.some((way) => tight(name).startsWith(way)));
}

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[\s.]+/)
    .filter(Boolean);
const tight = (name: string): string => name.toLowerCase().replaceAll(/[\s.-]/g, '');
const typedOf = (run: readonly Token[]): string =>
  run.map(({ text, glued }, index) => (glued || index === 0 ? text : ` ${text}`)).join('');
