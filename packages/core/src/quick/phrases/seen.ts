import { countOf } from '../../say/words.ts';
import { ask, fact, type Phrase } from '../fact.ts';

const eggs = fact('eggsSeen', 'eggs seen');
const pattern = (share: unknown) =>
  Number(share) <= 100
    ? [fact('patternScored', `pattern ${share} %`, { pattern_pct: share })]
    : ask(`${share} is no share of 100.`);
const noEggs = [fact('noted', 'no eggs seen (a note)', { note: 'No eggs seen.' })];
const seams = (count: unknown) =>
  Number(count) <= MOST_SEAMS
    ? [fact('strengthSeen', `${countOf(Number(count), 'seam')} of bees`, { seams: count })]
    : ask(`${count} seams of bees are not in one compartment.`);
const MOST_SEAMS = 40;
const broodFrames = (count: unknown) =>
  Number(count) <= MOST_BROOD_FRAMES
    ? [fact('strengthSeen', `${countOf(Number(count), 'frame')} of brood`, { broodFrames: count })]
    : ask(`${count} of what: frames with brood, or per cent of a pattern?`, `brood ${count} %`);
/** No room has more; what is larger is a pattern. */
const MOST_BROOD_FRAMES = 12;

/** What is seen of brood and of bees. */
export const seenPhrases: readonly Phrase[] = [
  {
    says: ['fresh? @eggs @seen?', '@seen @eggs', '@queen? is? started? laying', '@queen? is? in lay'],
    means: () => [eggs],
  },
  {
    says: ['@lots of? @eggs @seen?', '@queen? is? laying (well|nicely|poorly)'],
    means: () => [{ ...eggs, asTyped: true }],
  },
  {
    says: ['@eggs {share}', '@eggs {large}', 'laying {share}'],
    means: ({ share, large }) => {
      const scored = pattern(share ?? large);
      return 'question' in scored ? scored : [eggs, ...scored];
    },
  },
  {
    says: ['@eggs {whole}'],
    means: ({ whole }) => ask(`Eggs, and ${whole} of what?`, `eggs, ${whole} seams`, `eggs, brood ${whole}`),
  },
  {
    says: ['@no @eggs (@seen|yet)?', '@eggs not @seen', '@queen? @not laying yet?', 'no fresh @eggs @seen?'],
    means: () => noEggs,
  },
  {
    says: [
      'brood? @pattern {share}',
      'brood? @pattern {number}',
      '{share} brood? @pattern',
      'brood {share}',
      '{share} brood',
      '{share}',
    ],
    means: ({ share, number }) => pattern(share ?? number),
  },
  { says: ['brood? @pattern'], means: () => ask('A pattern of how many per cent?') },
  {
    says: [
      '{number} @seams (of? bees)?',
      '@seams {number}',
      'bees {number}',
      'bees? on {number} @seams',
      'bees on {number} @frames',
    ],
    means: ({ number }) => seams(number),
  },
  { says: ['@seams (of? bees)?'], means: () => ask('How many seams of bees?') },
  {
    says: ['{whole} @frames? of? (brood|br)', '(brood|br) {whole} @frames?', '(brood|br) on {whole} @frames'],
    means: ({ whole }) => broodFrames(whole),
  },
  { says: ['(brood|br) @seen?'], means: () => ask('What of the brood?', 'eggs', 'brood 1 frame', 'no eggs') },
  {
    says: [
      '(@closed|sealed|capped|@open|drone|dead|spotty) (brood|br) {whole}? @frames?',
      '{whole} @frames? of? (@closed|sealed|capped|@open|drone) (brood|br)',
    ],
    means: ({ whole }) =>
      ask(
        'Brood of one kind is told frame by frame; here frames with any brood are counted.',
        ...(whole === undefined ? [] : [`brood ${whole}`]),
      ),
  },
  {
    says: ['@no wild (@cell|cells) @seen?', '@no wild'],
    means: () => [fact('wildCellsSearched', 'searched, no wild cells', { found: 0 })],
  },
  {
    says: [
      '{whole} wild (@cell|cells)? (@tornDown down?)?',
      'wild (@cell|cells)? {whole} (@tornDown down?)?',
    ],
    means: ({ whole }) =>
      whole === 0
        ? [fact('wildCellsSearched', 'searched, no wild cells', { found: 0 })]
        : [
            fact('wildCellsSearched', `${whole} wild ${whole === 1 ? 'cell' : 'cells'} torn down`, {
              found: whole,
            }),
          ],
  },
  { says: ['wild (@cell|cells)? @seen?'], means: () => ask('How many wild cells? 0 where none was found.') },
];
