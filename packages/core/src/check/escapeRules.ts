import type { BayUse } from '@yellow-cell/contract';
import { withPart } from '../box/parts.ts';
import { sheetsOf } from '../box/stack.ts';
import { type Finding, namesOf, type Rule } from './finding.ts';

/** Uses that a room loses with its bees. */
const WANTS_BEES: readonly BayUse[] = ['colony', 'mating', 'held', 'grafts', 'bees', 'bank'];

/** A bee escape empties what is above it; where bees are to stay there it does harm. */
const escapes: Rule = ({ model, design }) =>
  sheetsOf(design)
    .flatMap(({ holes }) => holes)
    .filter(({ closedBy }) => closedBy === 'escape')
    .map(({ id }): Finding => {
      const way = model.passages.find(({ part, down }) => part === id && down);
      const [below, above] = way?.between ?? [];
      const upper = model.compartments.find(({ spaces }) => spaces.includes(above ?? ''));
      const harms = upper !== undefined && WANTS_BEES.includes(upper.use);
      return {
        kind: 'escapeClears',
        severity: 'danger',
        holds: way !== undefined && !harms,
        places: [id],
        sentence:
          way === undefined
            ? 'The bee escape leads nowhere: what lies over or under it closes it.'
            : harms
              ? `By the bee escape all bees of ${upper.name} go down to ${namesOf(model, [below ?? ''])} and do not come back: what they hold above is left, and a queen of theirs meets those below.`
              : `The bee escape lets bees down to ${namesOf(model, [below ?? ''])}, and not back: what is above it is empty in a day or two.`,
        ...(harms
          ? {
              fix: {
                label: 'Lay an excluder over it instead',
                apply: () => withPart(design, id, { closedBy: 'excluder' }),
              },
            }
          : {}),
      };
    });

export const escapeRules: readonly Rule[] = [escapes];
