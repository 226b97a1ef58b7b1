import type {
  EntranceState,
  Feed,
  LineMeasures,
  QueenColour,
  QueenFate,
  Trouble,
} from '@yellow-cell/contract';
import { type Amount, volumeOf, weightOf } from './amounts.ts';
import { dayAtToken } from './days.ts';
import { numberAt } from './numbers.ts';
import { placeAt, placesAt } from './places.ts';
import type { Source } from './source.ts';
import type { Token } from './tokens.ts';

export interface Read<Value> {
  next: number;
  value: Value;
}
type Slot<Value> = (source: Source, at: number) => readonly Read<Value>[];

const none: readonly never[] = [];
const one = <Value>(next: number, value: Value): readonly Read<Value>[] => [{ next, value }];

/** The words of a list, of one word or several, the longest that fits. */
const oneOf =
  <Value>(ways: readonly (readonly [string, Value])[]): Slot<Value> =>
  ({ tokens }, at) => {
    const fits = ways.filter(([words]) =>
      words.split(' ').every((word, index) => tokens[at + index]?.text === word),
    );
    const [longest] = fits.sort(([a], [b]) => b.split(' ').length - a.split(' ').length);
    return longest ? one(at + longest[0].split(' ').length, longest[1]) : none;
  };
const named = <Value extends string>(words: Readonly<Record<string, Value>>): Slot<Value> =>
  oneOf(Object.entries(words));

const number: Slot<number> = ({ tokens }, at) => {
  const read = numberAt(tokens, at);
  const [value] = read?.values ?? [];
  return read && value !== undefined && read.values.length === 1 ? one(read.next, value) : none;
};
const whole: Slot<number> = (source, at) => {
  const article = ['a', 'an'].includes(source.tokens[at]?.text ?? '') ? one(at + 1, 1) : none;
  return [...number(source, at).filter(({ value }) => Number.isInteger(value)), ...article];
};
/** Figures alone, as on a queen's mark. */
const figures: Slot<string> = ({ tokens }, at) => {
  const token = tokens[at];
  return token?.is === 'number' && /^\d{1,4}$/.test(token.text) ? one(at + 1, token.text) : none;
};

/** A figure before a unit. “1,250 g” can only be of thousands; “1,250 kg” may be either. */
const amount =
  (
    of: (value: number, unit: string, measures: LineMeasures) => Amount | undefined,
  ): Slot<Amount | 'unclear'> =>
  ({ tokens, measures }, at) => {
    const read = numberAt(tokens, at);
    if (!read) return none;
    const unit = tokens[read.next];
    if (unit?.is !== 'word') return none;
    const amounts = read.values.flatMap((value) => of(value, unit.text, measures) ?? []);
    const meant = SMALL_UNITS.includes(unit.text) ? amounts.at(-1) : amounts[0];
    if (!meant) return none;
    return one(read.next + 1, amounts.length === 1 || SMALL_UNITS.includes(unit.text) ? meant : 'unclear');
  };
const SMALL_UNITS = ['g', 'gr', 'gram', 'grams', 'ml'];
const kilograms = (value: number, unit: string): Amount | undefined => {
  const kg = weightOf(value, unit);
  return kg === undefined ? undefined : { kg };
};
const either = (value: number, unit: string, measures: LineMeasures): Amount | undefined =>
  kilograms(value, unit) ?? volumeOf(value, unit, measures);

export const FEED_WORDS = [
  ['1:1', 'syrup11'],
  ['1:1 syrup', 'syrup11'],
  ['syrup 1:1', 'syrup11'],
  ['thin syrup', 'syrup11'],
  ['light syrup', 'syrup11'],
  ['2:1', 'syrup21'],
  ['2:1 syrup', 'syrup21'],
  ['syrup 2:1', 'syrup21'],
  ['thick syrup', 'syrup21'],
  ['heavy syrup', 'syrup21'],
  ['fondant', 'fondant'],
  ['candy', 'fondant'],
  ['patty', 'patty'],
  ['patties', 'patty'],
  ['pollen patty', 'patty'],
  ['dry sugar', 'drySugar'],
  ['sugar', 'drySugar'],
  ['stores comb', 'storesFrame'],
  ['stores frame', 'storesFrame'],
] as const satisfies readonly (readonly [string, Feed])[];

const COLOURS: Readonly<Record<string, QueenColour>> = {
  white: 'white',
  yellow: 'yellow',
  red: 'red',
  green: 'green',
  blue: 'blue',
};
const TROUBLES: Readonly<Record<string, Trouble>> = {
  wasps: 'wasps',
  wasp: 'wasps',
  robbing: 'robbing',
  robbers: 'robbing',
  beetles: 'beetles',
  beetle: 'beetles',
  chalk: 'chalk',
  chalkbrood: 'chalk',
  'chalk brood': 'chalk',
  mites: 'mites',
  'deformed wings': 'deformedWings',
  dysentery: 'dysentery',
};
const FATES: Readonly<Record<string, QueenFate>> = {
  sold: 'sold',
  bank: 'bank',
  'to bank': 'bank',
  'to the bank': 'bank',
  banked: 'bank',
  'in bank': 'bank',
  'to colony': 'colony',
  'to a colony': 'colony',
  culled: 'culled',
  pinched: 'culled',
  died: 'died',
  dead: 'died',
  'found dead': 'died',
  aside: 'aside',
  'put aside': 'aside',
  'set aside': 'aside',
};
const STATES: Readonly<Record<string, EntranceState>> = {
  open: 'open',
  opened: 'open',
  reduced: 'reduced',
  narrowed: 'reduced',
  vent: 'vent',
  vented: 'vent',
  closed: 'closed',
  shut: 'closed',
  'workers only': 'workersOnly',
  excluder: 'workersOnly',
};

const PERCENT = ['%', 'percent', 'pc'];
const share: Slot<number> = (source, at) =>
  number(source, at).flatMap(({ next, value }) =>
    PERCENT.includes(source.tokens[next]?.text ?? '') ? one(next + 1, value) : none,
  );

/** What is read out of a line, by the name that the grammar gives it. */
export const SLOTS = {
  number,
  whole,
  figures,
  share,
  /** A bare figure of more than any frames or seams are counted: 21 and more. */
  large: ((source, at) => {
    const [read] = number(source, at);
    if (!read || read.value <= 20 || PERCENT.includes(source.tokens[read.next]?.text ?? '')) return none;
    return [read];
  }) as Slot<number>,
  weight: amount(kilograms),
  amount: amount(either),
  celsius: ((source, at) =>
    number(source, at).flatMap(({ next, value }) => {
      const unit = source.tokens[next]?.text ?? '';
      if (['c', 'celsius'].includes(unit)) return one(next + 1, value);
      return ['f', 'fahrenheit'].includes(unit) ? one(next + 1, ((value - 32) * 5) / 9) : none;
    })) as Slot<number>,
  feed: oneOf<Feed>(FEED_WORDS),
  colour: named(COLOURS),
  trouble: named(TROUBLES),
  fate: named(FATES),
  state: named(STATES),
  day: (({ tokens, on, measures }, at) => {
    const read = dayAtToken(tokens, at, on, measures.dates);
    return read ? one(read.next, read.named) : none;
  }) as Slot<unknown>,
  place: ((source, at) => {
    const place = placeAt(source, at);
    return place ? one(place.next, place) : none;
  }) as Slot<unknown>,
  /** A name that the grammar does not know, as of a product. */
  name: ((source, at) => {
    const token = source.tokens[at];
    const isName = token?.is === 'word' && token.text.length > 2 && !source.isWord(token.text);
    return token && isName && placesAt(source, at).length === 0 ? one(at + 1, token) : none;
  }) as Slot<Token>,
} as const;
export type SlotName = keyof typeof SLOTS;

/** Words that the slots know, for what is spelt amiss. */
export const slotWords: readonly string[] = [
  ...[FEED_WORDS.map(([words]) => words), ...[COLOURS, TROUBLES, FATES, STATES].map(Object.keys)].flat(),
]
  .flatMap((words) => words.split(' '))
  .filter((word) => /^\p{L}/u.test(word));
