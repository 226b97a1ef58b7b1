/** How a number of colonies is likely to come out of winter, each by its own odds. */
export interface SpringCount {
  /** 5, 50 and 95 of a hundred winters have so many or fewer alive. */
  low: number;
  middle: number;
  high: number;
  /** Nuclei to winter beside them, so that there are as many in spring as there are now; none where that cannot be had. */
  spares: number | undefined;
}

/** More spares than this are no answer: the colonies themselves are to be wintered better. */
const MOST_SPARES = 500;

/**
 * What comes through of colonies with these odds (shares, 0 to 1), and the spares wanted for the losses expected
 * (requirement 91), each as likely to live as the mean of them, with `sure` (share) to have as many as now.
 */
export function springCount(through: readonly number[], sure: number): SpringCount {
  const alive = through.reduce((chances, share) => oneMore(chances, share), [1]);
  const at = (share: number): number => {
    let below = 0;
    return alive.findIndex((chance) => {
      below += chance;
      return below >= share - ROUNDING;
    });
  };
  const mean = through.reduce((sum, share) => sum + share, 0) / Math.max(1, through.length);
  return {
    low: at(0.05),
    middle: at(0.5),
    high: at(0.95),
    spares: sparesFor(alive, through.length, mean, sure),
  };
}
const ROUNDING = 1e-9;

/** Chances of 0, 1, 2… alive, once one more colony lives or does not. */
function oneMore(chances: readonly number[], share: number): number[] {
  return Array.from(
    { length: chances.length + 1 },
    (_, alive) => (chances[alive] ?? 0) * (1 - share) + (chances[alive - 1] ?? 0) * share,
  );
}

function sparesFor(alive: readonly number[], wanted: number, mean: number, sure: number): number | undefined {
  let chances = [...alive];
  for (let spares = 0; spares <= MOST_SPARES; spares++) {
    const enough = chances.slice(wanted).reduce((sum, chance) => sum + chance, 0);
    if (enough >= sure - ROUNDING) return spares;
    chances = oneMore(chances, mean);
  }
  return undefined;
}
