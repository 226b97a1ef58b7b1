import { inGrams, KG_PER } from '../units/weight.ts';
import { ask, type QuickAnswer } from './answer.ts';
import type { Read } from './readWords.ts';

/** The weight that a line gives, within a range, or what must be asked: a bare number may be kilograms or pounds. */
export function weightIn(
  { numbers }: Read,
  { missing, most_kg, absurd }: { missing: string; most_kg: number; absurd: (typed: string) => string },
): number | QuickAnswer {
  const amount = numbers.find(({ unit }) => unit in KG_PER);
  const bare = numbers[0];
  if (!amount)
    return bare
      ? ask(
          `${bare.value} of which: kg or lb?`,
          ['kg', 'lb'].map((unit) => `${bare.value} ${unit}`),
          bare.typed,
        )
      : ask(missing);
  const kg = inGrams(amount.value * (KG_PER[amount.unit] ?? 1));
  return kg > 0 && kg <= most_kg ? kg : ask(absurd(`${amount.value} ${amount.unit}`));
}
