import type { EntranceState, Trouble } from '@yellow-cell/contract';
import { countOf } from '../../say/words.ts';
import { shortCheckWords, troubleWords } from '../../yard/statusWords.ts';
import type { DayNamed } from '../days.ts';
import { ask, fact, type Phrase } from '../fact.ts';
import type { Got } from '../pattern.ts';
import type { PlaceMeant } from '../places.ts';

const ENTRANCE_WORDS: Readonly<Record<EntranceState, string>> = {
  open: 'open',
  reduced: 'reduced',
  workersOnly: 'for workers only',
  vent: 'on vent',
  closed: 'closed',
};
const entrance = ({ state }: Got) => [
  fact('entranceSet', `entrance ${ENTRANCE_WORDS[state as EntranceState]}`, { state }),
];
const trouble = (over: boolean) => (got: Got) => {
  const what = got.trouble as Trouble;
  return [fact('troubleSeen', `${troubleWords[what]} ${over ? 'over' : 'seen'}`, { trouble: what, over })];
};
const cover = (on: boolean) => () => [fact('coverSet', `cover ${on ? 'on' : 'off'}`, { covered: on })];

/** Days that strips stay, from their date or from a count; the day is reckoned where the day of the entry is known. */
export interface OutBy {
  named?: DayNamed;
  days?: number;
}
const strips = ({ name, day, whole, unit }: Got) => {
  const outBy: OutBy =
    whole === undefined ? { named: day as DayNamed } : { days: Number(whole) * (unit === 'week' ? 7 : 1) };
  return [fact('stripsPut', 'strips put in', { name, outBy })];
};
const NAME = '({name}? @strips {name}?)';
const IN = '(in|put in|given|on)';

/** What is done in a room besides: strips, covers, entrances, combining, stocking. */
export const carePhrases: readonly Phrase[] = [
  { says: [`${NAME} ${IN}? out? @until {day}`, `${IN} ${NAME} out? @until {day}`], means: strips },
  {
    says: [`${NAME} ${IN}? for {whole} (weeks|week|wk|wks)`, `${IN} ${NAME} for {whole} (weeks|week|wk|wks)`],
    means: (got) => strips({ ...got, unit: 'week' }),
  },
  {
    says: [`${NAME} ${IN}? for {whole} (days|day|d)`, `${IN} ${NAME} for {whole} (days|day|d)`],
    means: strips,
  },
  {
    says: [`{name}? @strips {name}? ${IN}?`, `${IN} @strips`],
    means: () =>
      ask(
        'Out by which day, as the label says?',
        'strips in for 6 weeks',
        'strips in for 8 weeks',
        'strips out',
      ),
  },
  {
    says: ['@strips (are|were)? @out', '@taken @strips out?', '@taken out @strips'],
    means: () => [fact('stripsOut', 'strips out')],
  },
  {
    says: ['{name}? @strips {name}? @out {day}'],
    means: (_, typed) =>
      ask(
        'Put in, to come out by that day; or taken out?',
        typed.replace(/\b(out|off|taken|removed|pulled)\b/iu, 'until'),
        'strips out',
      ),
  },
  {
    says: ['short check (done|made)?', 'checked short'],
    means: () => [fact('shortChecked', 'short check', { did: Object.keys(shortCheckWords) })],
  },
  { says: ['{trouble} @seen?', '@seen {trouble}'], means: trouble(false) },
  { says: ['{trouble} @over', '@no more? {trouble} @seen?'], means: trouble(true) },
  {
    says: ['@cover off', '@cover taken off', '@taken @cover off?', '@taken off @cover'],
    means: cover(false),
  },
  { says: ['@cover @back? on', '@cover put? @back on?', 'put @cover @back? on?'], means: cover(true) },
  { says: ['@cover'], means: () => ask('The cover: off, or on?', 'cover off', 'cover on') },
  {
    says: ['@entrance (to|on|is|set|set to|turned to|now)? {state}', '{state} @entrance'],
    means: entrance,
  },
  { says: ['(on|to)? vent'], means: () => entrance({ state: 'vent' }) },
  { says: ['reduced'], means: () => entrance({ state: 'reduced' }) },
  {
    says: ['@closed', 'open'],
    means: () => ask('Is that the entrance?', 'entrance closed', 'entrance open'),
  },
  {
    says: ['@entrance'],
    means: () =>
      ask(
        'The entrance: open, reduced, on vent or closed?',
        'entrance open',
        'entrance reduced',
        'entrance vent',
        'entrance closed',
      ),
  },
  {
    says: ['@combined (with|into|to|and|in) {place}', '@combined {place}'],
    means: ({ place }) => [fact('combined', 'combined', { into: place as PlaceMeant })],
  },
  {
    says: ['@combined {place:of} (with|into|to|and|in)? {place}'],
    means: ({ of, place }) =>
      ask(
        'Which goes into which?',
        ...[
          [of, place],
          [place, of],
        ].map(([from, into]) => `${placeWords(from)} combined into ${placeWords(into)}`),
      ),
  },
  { says: ['@combined'], means: () => ask('Combined into which room?') },
  {
    says: [
      '@stocked with? ~ ?{whole:sealed} @frames? of? sealed? (brood|br) ~ ?{whole:open} @frames? of? open (brood|br) ~ ?{whole:stores} @frames? of? @stores ~ ?{whole:drawn} @frames? of? @drawn (comb|combs)? ~ {whole:shakes} @shakes (of bees)?',
    ],
    means: stocked,
  },
  {
    says: ['@stocked'],
    means: () => ask('Stocked with which frames, and how many shakes of bees?', USUAL_STOCK),
  },
];
const placeWords = (place: unknown): string => {
  const { box, room } = place as PlaceMeant;
  return [box?.label, room].filter(Boolean).join(' ');
};
/** As handbook 5 has it for three frames; the number of shakes is the person's to say. */
const USUAL_STOCK = 'stocked 1 brood 1 stores 1 drawn 2 shakes';

function stocked({ sealed = 0, open = 0, stores = 0, drawn = 0, shakes }: Got) {
  const [withBrood, withOpen] = [Number(sealed), Number(open)];
  const frames = { sealedBrood: withBrood + withOpen, stores: Number(stores), drawn: Number(drawn) };
  if (frames.sealedBrood + frames.stores + frames.drawn === 0)
    return ask('Stocked with which frames?', USUAL_STOCK.replace('2 shakes', `${shakes} shakes`));
  if (Number(shakes) > 40) return ask(`${shakes} shakes of bees are not counted.`);
  return [
    fact(
      'stocked',
      `stocked, ${frames.sealedBrood} brood, ${frames.stores} stores, ${frames.drawn} drawn, ${countOf(Number(shakes), 'shake')}`,
      { frames, shakes, openBrood: withOpen > 0 },
    ),
  ];
}
