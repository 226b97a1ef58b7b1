import { DueKind } from '@yellow-cell/contract';
import { type Constant, constant } from './constant.ts';

type Switch = `rule_${DueKind}`;
export const switchOf = (kind: DueKind): Switch => `rule_${kind}`;

/** Every rule that raises work can be off: a figure of 1 or 0 like any other, so that each yard has its own. */
export const ruleSwitches = Object.fromEntries(
  DueKind.options.map((kind) => [
    switchOf(kind),
    constant(1, 'on or off', 'Handbook 12, requirement 104', [0, 1], `Rule “${kind}” raises work`),
  ]),
) as Record<Switch, Constant>;
