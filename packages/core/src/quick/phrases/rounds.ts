import type { FailReason } from '@yellow-cell/contract';
import { failWords } from '../../yard/statusWords.ts';
import { ask, fact, type Phrase } from '../fact.ts';
import type { Got } from '../pattern.ts';

const ofRound = ({ round }: Got) => (round === undefined ? {} : { round });
const roundWords = ({ round }: Got): string => (round === undefined ? '' : ` of round ${round}`);
const failed = (reason: FailReason) => [fact('failed', `failed, ${failWords[reason]}`, { reason })];
const fails = (reason: FailReason, ...says: readonly string[]): Phrase => ({
  says,
  means: () => failed(reason),
});
const virgin = (caged: boolean) => (got: Got) => [
  fact('queenGiven', `virgin given ${caged ? 'caged' : 'loose'}${roundWords(got)}`, {
    what: 'virgin',
    caged,
    ...ofRound(got),
  }),
];
const ROUND = '((of|from)? @round {whole:round})';

/** What is given, and what becomes of it. */
export const roundPhrases: readonly Phrase[] = [
  {
    says: [
      `a? ripe? @cell @given ${ROUND}?`,
      `(@given|gave) a? ripe? @cell ${ROUND}?`,
      `ripe @cell ${ROUND}?`,
      `@cell ${ROUND} @given?`,
      `${ROUND} @cell @given?`,
    ],
    means: (got) => [fact('cellGiven', `cell given${roundWords(got)}`, ofRound(got))],
  },
  {
    says: ['a? (@cell|cells) @seen?'],
    means: () => ask('What of the cell?', 'cell given', 'cell opened', 'not opened'),
  },
  {
    says: ['{whole} queen? cells', 'queen cells', 'queen cell', '@round {whole}'],
    means: () =>
      ask('What of the cells: given, opened, or wild ones?', 'cell given', 'cell opened', 'wild cells 1'),
  },
  {
    says: ['@cell (has|is|was)? (@open|@hatched)', '@virgin @hatched', '@hatched', 'opened @cell'],
    means: () => [fact('cellOpened', 'cell seen opened')],
  },
  { says: ['@cell {whole}'], means: ({ whole }) => ask(`A cell of round ${whole}?`, `cell r${whole}`) },
  { says: ['@missing'], means: () => ask('What is lost?', 'virgin lost', 'queen not seen', 'absconded') },
  { says: ['opened'], means: () => ask('What was opened?', 'cell opened', 'entrance open') },
  {
    says: ['@cell? (has|is|was)? @not (@open|@hatched) yet?', 'unopened @cell', '@cell unopened'],
    means: () =>
      ask(
        'Not opened: failed, or still to be looked at?',
        'failed, not opened',
        'note to be looked at again',
      ),
  },
  {
    says: [
      `@virgin @given? (caged|in cage) ${ROUND}?`,
      `@given a? caged @virgin ${ROUND}?`,
      `caged @virgin @given? ${ROUND}?`,
    ],
    means: virgin(true),
  },
  {
    says: [
      `@virgin @given? @loose ${ROUND}?`,
      `@virgin (run|ran) in ${ROUND}?`,
      `@given a? @loose @virgin ${ROUND}?`,
    ],
    means: virgin(false),
  },
  {
    says: [`@virgin @given? ${ROUND}?`, `@given a? @virgin ${ROUND}?`],
    means: ({ round }) => {
      const of = round === undefined ? '' : ` r${round}`;
      return ask(
        'The virgin: given caged or loose, or lost?',
        `virgin caged${of}`,
        `virgin loose${of}`,
        'virgin lost',
      );
    },
  },
  {
    says: ['@virgin @seen', '@seen @virgin'],
    means: () => [{ ...fact('queenSeen', 'queen seen', { seen: true }), asTyped: true }],
  },
  fails('unknown', '@failed'),
  fails('cellNotOpened', '@failed @cell? @not (@open|@hatched)', '@failed unopened'),
  fails('virginLost', '@failed? @virgin @missing', '@failed? lost @virgin', '@failed lost'),
  fails(
    'droneLayer',
    '@failed? drone layer',
    '@failed? @queen? is? a? dronelayer',
    '@failed @queen? laying? drones',
    '@queen is? a? drone layer',
  ),
  fails('layingWorkers', '@failed? laying @workers', '@failed? @workers laying'),
  fails('absconded', '@failed? absconded'),
  fails('robbed', '@failed robbed out?', 'robbed out'),
  fails('starved', '@failed? starved out?'),
  fails('queenKilled', '@failed @queen killed'),
  fails('smothered', '@failed? smothered', '@failed? overheated'),
  fails('superseded', '@failed? @queen? superseded'),
  {
    says: ['robbed'],
    means: () => ask('Robbed out, so that it failed, or being robbed?', 'failed robbed', 'robbing'),
  },
];
