import type { Family, PlaybookName, Role } from '@yellow-cell/contract';
import type { ConstantName } from '../constants/registry.ts';

/** Work led step by step: what the fold and the list of work read of it. What a person is told stands in `guidance`. */
export interface Playbook {
  title: string;
  /** What it is for, in a line. */
  why: string;
  /** Rooms and boxes that it is offered in. */
  roles: readonly Role[];
  families: readonly Family[];
  /** True where it is begun in a room without bees. */
  ofEmpty?: true;
  /** True where it says how many cells it is for. */
  ofCells?: true;
  /** What its last step is called where a day is wanted of it, from which it is reckoned back. */
  wanted?: string;
  source: string;
  steps: readonly Step[];
}

export interface Step {
  id: string;
  title: string;
  /** Not before, and not after, so long from the beginning or another step; figures of the registry in minutes, hours or days by their name. */
  clock?: { after: string; from?: ConstantName; to?: ConstantName };
  /** Done again and again while the playbook runs: so long after the last time. */
  every?: ConstantName;
  /** True where it waits for its occasion, and nobody is reminded of it. */
  waits?: true;
  /** True where being late hurts bees within hours. */
  pressing?: true;
}

/** In place of a step, in a clock: from when the playbook was begun. */
export const BEGUN = 'begun';

export type Playbooks = Readonly<Record<PlaybookName, Playbook>>;
