import type { QueenFate } from '@yellow-cell/contract';
import { fateWords } from '../../yard/statusWords.ts';
import { ask, fact, type Phrase } from '../fact.ts';
import type { Got } from '../pattern.ts';

const seen = [fact('queenSeen', 'queen seen', { seen: true })];
const notSeen = [fact('queenSeen', 'queen looked for, not seen', { seen: false })];
const taken = ({ fate }: Got) => [
  fact('queenTaken', `queen taken, ${fateWords[fate as QueenFate]}`, { to: fate, beesRemain: true }),
];
const marked =
  (clipped: boolean) =>
  ({ colour, figures }: Got) => [
    fact(
      'queenMarked',
      `queen marked ${colour}${figures ? ` ${figures}` : ''}${clipped ? ', clipped' : ''}`,
      {
        colour,
        ...(figures === undefined ? {} : { number: figures }),
        clipped,
      },
    ),
  ];
const COLOURS = ['white', 'yellow', 'red', 'green', 'blue'];

/** The queen: seen, marked, taken. */
export const queenPhrases: readonly Phrase[] = [
  { says: ['@queen @seen', '@seen @queen', '@queen was? @seen'], means: () => seen },
  {
    says: [
      '@queen @not @seen',
      '@no @queen @seen',
      '@notDone @see (the? @queen)',
      '@queen @notDone @see',
      '@seen no @queen',
    ],
    means: () => notSeen,
  },
  {
    says: ['@no @queen', 'queenless'],
    means: () => ask('No queen: looked for and not seen, or failed?', 'queen not seen', 'failed'),
  },
  { says: ['queenright'], means: () => ask('By what is it known?', 'queen seen', 'eggs') },
  {
    says: ['@queen'],
    means: () => ask('The queen: seen, not seen, or taken?', 'queen seen', 'queen not seen', 'queen taken'),
  },
  {
    says: ['@queen? @marked @queen? {colour} (no? {figures})?', '{colour} @marked (no? {figures})?'],
    means: marked(false),
  },
  {
    says: [
      '@queen? @marked @queen? {colour} (no? {figures})? (and? clipped)',
      '@queen? clipped @marked {colour} (no? {figures})?',
    ],
    means: marked(true),
  },
  {
    says: ['@queen? @marked @queen?'],
    means: () => ask('Which colour was she marked?', ...COLOURS.map((colour) => `marked ${colour}`)),
  },
  {
    says: ['{colour} (no? {figures})?'],
    means: ({ colour, figures }) =>
      ask('Was she marked so?', `marked ${colour}${figures ? ` ${figures}` : ''}`),
  },
  {
    says: ['@queen? clipped'],
    means: () =>
      ask('Clipped, and marked in which colour?', ...COLOURS.map((colour) => `marked ${colour} clipped`)),
  },
  {
    says: ['@queen (is|was|has)? @taken? {fate}', '@taken @queen (and? put)? {fate}', '@taken {fate}'],
    means: taken,
  },
  {
    says: ['{fate} @queen'],
    means: (got, typed) =>
      ['sold', 'died', 'culled'].includes(String(got.fate))
        ? taken(got)
        : ask(`What of “${typed}”?`, 'queen seen', 'queen taken'),
  },
  {
    says: ['@queen @taken', '@taken @queen', '@taken'],
    means: () =>
      ask(
        'Where did the queen go?',
        ...Object.keys(fateWords).map((fate) => `queen taken ${fate === 'colony' ? 'to a colony' : fate}`),
      ),
  },
  {
    says: ['@queen? killed @queen?'],
    means: () => ask('Culled by you, or killed by the bees?', 'queen culled', 'failed queen killed'),
  },
  {
    says: ['{fate}'],
    means: ({ fate }) =>
      fate === 'died'
        ? ask('Who is dead?', 'queen dead', 'note dead')
        : ask('Is that of the queen?', `queen taken ${fate === 'colony' ? 'to a colony' : fate}`),
  },
];
