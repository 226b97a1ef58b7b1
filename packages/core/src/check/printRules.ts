import { bodiesOf } from '../box/stack.ts';
import { withPrinted } from '../box/withPrinted.ts';
import type { Finding, Rule } from './finding.ts';

/** What is printed is reckoned as what it is: its warmth, its weight and its parts. */
const ofPlastic: Rule = ({ design }) => {
  const { bed, folding } = design;
  if (!bed || folding) return [];
  const others = bodiesOf(design).filter(({ material }) => material !== 'plastic');
  return [
    {
      kind: 'printedStuff',
      severity: 'care',
      holds: others.length === 0,
      places: others.map(({ id }) => id),
      sentence:
        others.length === 0
          ? 'What is printed is drawn of plastic.'
          : 'Its parts are printed, and a body is drawn of another material: warmth and weight are reckoned with that.',
      ...(others.length > 0
        ? { fix: { label: 'Draw it of plastic', apply: () => withPrinted(design, bed) } }
        : {}),
    } satisfies Finding,
  ];
};

export const printRules: readonly Rule[] = [ofPlastic];
