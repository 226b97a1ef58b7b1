import { fed, searched } from './facts.ts';
import type { Guide } from './guidance.ts';

/** Thin syrup, so much of it usually; none is no feed. */
export const syrup = (usual: number): Pick<Guide, 'amount' | 'facts'> => ({
  amount: { label: 'Syrup 1:1', weight: true, usual, least: usual === 0 ? 0 : 0.1, most: 20 },
  facts: fed('syrup11', usual),
});

/** Of a search for wild cells. */
export const WILD_CELLS = {
  amount: { label: 'Wild cells torn down', usual: 0, least: 0, most: 200 },
  facts: searched(({ amount = 0 }) => amount),
} as const satisfies Partial<Guide>;
