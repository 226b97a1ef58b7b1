/** A chance as far as it is known: never certain, and never none. */
export const percent = (chance: number): string =>
  chance > 0.995 ? 'over 99 %' : chance < 0.005 ? 'under 1 %' : `${Math.round(chance * 100)} %`;
