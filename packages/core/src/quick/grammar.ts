import { volumeUnits, weightUnits } from './amounts.ts';
import { dayWords } from './days.ts';
import type { Phrase } from './fact.ts';
import { numberWords } from './numbers.ts';
import { type Matcher, matcherOf, wordsOf } from './pattern.ts';
import { carePhrases } from './phrases/care.ts';
import { feedPhrases } from './phrases/feeds.ts';
import { boxPhrases } from './phrases/ofBox.ts';
import { queenPhrases } from './phrases/queens.ts';
import { roundPhrases } from './phrases/rounds.ts';
import { seenPhrases } from './phrases/seen.ts';
import { placeWords } from './places.ts';
import { slotWords } from './slots.ts';
import { GROUPS } from './vocabulary.ts';

/** Every phrase that the quick line knows. */
export const phrases: readonly Phrase[] = [
  ...seenPhrases,
  ...roundPhrases,
  ...queenPhrases,
  ...feedPhrases,
  ...carePhrases,
  ...boxPhrases,
];

export const matchers: readonly { phrase: Phrase; matcher: Matcher }[] = phrases.flatMap((phrase) =>
  phrase.says.map((pattern) => ({ phrase, matcher: matcherOf(pattern) })),
);

const vocabulary = new Set([
  ...phrases.flatMap(({ says }) => says.flatMap(wordsOf)),
  ...slotWords,
  ...dayWords,
  ...numberWords,
  ...placeWords,
  ...weightUnits,
  ...volumeUnits,
  ...(GROUPS.and ?? []),
]);
export const words: readonly string[] = [...vocabulary];
export const isWord = (text: string): boolean => vocabulary.has(text);
