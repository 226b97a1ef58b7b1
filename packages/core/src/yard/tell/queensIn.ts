import type { Queen } from '@yellow-cell/contract';

/** Queens that live with a colony now; two at once are possible (supersedure). */
export const queensIn = (queens: ReadonlyMap<string, Queen>, colony: string): Queen[] =>
  [...queens.values()].filter((queen) => queen.colony === colony && !queen.gone);
