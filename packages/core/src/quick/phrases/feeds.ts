import type { Feed } from '@yellow-cell/contract';
import { SYRUPS } from '../../feed/feeds.ts';
import { capital } from '../../say/words.ts';
import { LITRES_PER_PINT } from '../../units/volume.ts';
import { inGrams } from '../../units/weight.ts';
import { feedWords } from '../../yard/statusWords.ts';
import type { Amount } from '../amounts.ts';
import { ask, fact, type Phrase, type Said } from '../fact.ts';
import type { Got } from '../pattern.ts';

const FEEDS = ['syrup 1:1', 'syrup 2:1', 'fondant', 'patty', 'dry sugar'];
const nameOf = (feed: Feed): string => (feed === 'storesFrame' ? 'stores comb' : feedWords[feed]);
/** More is not given at once to a small colony, nor to a large one. */
const MOST_FED_KG = 30;

function fed({ amount, feed: given }: Got): Said {
  const feed = given as Feed;
  const said = amount as Amount | 'unclear';
  if (said === 'unclear')
    return ask(
      'Is the separator one of thousands or of decimals? Write the amount without it, or with less figures.',
    );
  if ('kg' in said) return fedKilograms(feed, said.kg);
  const density = feed in SYRUPS ? SYRUPS[feed as keyof typeof SYRUPS].kgPerLitre : undefined;
  if (density === undefined) return ask(`${capital(nameOf(feed))} is weighed: how many kilograms or pounds?`);
  if ('pints' in said)
    return ask(
      'Pints and quarts of which measure? Settings can say it once for all.',
      ...(['us', 'imperial'] as const).map(
        (measure) => `fed ${litresIn(said.pints, measure)} l ${nameOf(feed)}`,
      ),
    );
  return fedKilograms(feed, inGrams(said.litres * density));
}
const litresIn = (pints: number, measure: 'us' | 'imperial'): number =>
  Number((pints * LITRES_PER_PINT[measure]).toFixed(3));

function fedKilograms(feed: Feed, kg: number): Said {
  if (!(kg > 0)) return ask('More than 0 is fed.');
  if (kg > MOST_FED_KG) return ask(`${kg} kg is not fed at once.`);
  return [fact('fed', `fed ${kg} kg of ${nameOf(feed)}`, { feed, amount_kg: kg })];
}

/** What is fed, how much of it, of which kind: none is supposed. */
export const feedPhrases: readonly Phrase[] = [
  { says: ['?@fed ~ {amount} of? ~ {feed}'], means: fed },
  { says: ['?@fed ~ {amount} of? ~ syrup', '?@fed ~ syrup'], means: (_, typed) => askRatio(typed) },
  {
    says: ['@fed ~ {amount}'],
    means: (_, typed) => ask('What was fed?', ...FEEDS.map((feed) => `${typed} ${feed}`)),
  },
  { says: ['?@fed ~ {feed}'], means: () => ask('How much was fed?') },
  {
    says: ['@fed ~ {number}', '?@fed ~ {number} of? ~ ({feed}|syrup)'],
    means: ({ number, feed }) =>
      ask(
        `${number} of which measure?`,
        ...['kg', 'l', 'lb'].map(
          (unit) => `fed ${number} ${unit}${feed === undefined ? '' : ` ${nameOf(feed as Feed)}`}`,
        ),
      ),
  },
  {
    says: ['fed', 'feed'],
    means: () => ask('How much was fed, and of what?', 'fed 1 kg fondant', 'fed 1 l syrup 1:1'),
  },
  {
    says: ['honey'],
    means: () => ask('Honey is not fed here by itself: stores in the comb?', 'stores comb'),
  },
];

const askRatio = (typed: string): Said =>
  ask(
    'Which syrup: one part of sugar to one of water, or two?',
    ...['1:1', '2:1'].map((ratio) => typed.replace(/syrup/iu, (syrup) => `${syrup} ${ratio}`)),
  );
