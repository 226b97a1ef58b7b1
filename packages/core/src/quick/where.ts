import type { QuickBox, QuickCompartment, QuickContext } from './context.ts';
import { editDistance, meaningsOf } from './words.ts';

export function boxIn(
  tokens: readonly string[],
  { boxes, chosen }: QuickContext,
): { box: QuickBox; rest: string[]; chosen: number | undefined; named: boolean } | undefined {
  for (const [index, token] of tokens.entries()) {
    const box = boxes.find(({ label }) => label.toLowerCase() === token.toLowerCase());
    if (box) return { box, rest: tokens.toSpliced(index, 1), chosen: undefined, named: true };
  }
  const box = boxes.find(({ id }) => id === chosen?.box);
  return box && { box, rest: [...tokens], chosen: chosen?.compartment, named: false };
}

export interface Where {
  compartment: QuickCompartment | undefined;
  /** A second one that is named, to combine with. */
  other: QuickCompartment | undefined;
  otherTyped: string | undefined;
  rest: string[];
  unsure: readonly string[];
}

/** A compartment by its name, or by as much of it as tells it from the others; the longest name is tried first. */
export function compartmentIn(tokens: readonly string[], box: QuickBox, chosen: number | undefined): Where {
  const found: { compartment: QuickCompartment; typed: string }[] = [];
  const rest: string[] = [];
  let unsure: readonly string[] = [];
  const longest = Math.max(1, ...box.compartments.map(({ name }) => name.split(' ').length));
  for (let index = 0; index < tokens.length; index++) {
    const runs = Array.from({ length: longest }, (_, shorter) =>
      tokens.slice(index, index + longest - shorter),
    );
    const run = runs.find((words) => box.compartments.some(({ name }) => isNamed(name, words)));
    if (!run) {
      rest.push(tokens[index] ?? '');
      continue;
    }
    index += run.length - 1;
    const named = box.compartments.filter(({ name }) => isNamed(name, run));
    const [compartment] = named;
    if (compartment && named.length === 1) found.push({ compartment, typed: run.join(' ') });
    else unsure = named.map(({ name }) => name);
  }
  const only = box.compartments.length === 1 ? box.compartments[0] : undefined;
  const usual = chosen === undefined ? only : box.compartments[chosen];
  const [first, second] = found;
  const into = first && usual && !second && rest.some((word) => meansCombine(word));
  const other = into ? first : second;
  return {
    compartment: into ? usual : (first?.compartment ?? usual),
    other: other?.compartment,
    otherTyped: other?.typed,
    rest,
    unsure,
  };
}
const meansCombine = (word: string): boolean =>
  meaningsOf(word.toLowerCase()).some(({ meaning }) => meaning.is === 'combine');

function isNamed(name: string, words: readonly string[]): boolean {
  const bare = (word: string): string => word.toLowerCase().replaceAll(/[-.]/g, '');
  const [full, said] = [bare(name), bare(words.join(' '))];
  if (full === said || (words.length > 1 && full.startsWith(`${said} `))) return true;
  const [typed = '', ...more] = words.map((word) => word.toLowerCase());
  if (more.length > 0 || meaningsOf(typed).some(({ word }) => word === typed)) return false;
  if (full.startsWith(said)) return true;
  return said.length >= 3 && editDistance(full, said) <= 1;
}
