/** A chance as far as it is known: never certain, and never none; dots until it is worked out. */
export const percent = (chance: number | undefined): string =>
  chance === undefined
    ? '…'
    : chance > 0.995
      ? 'over 99 %'
      : chance < 0.005
        ? 'under 1 %'
        : `${Math.round(chance * 100)} %`;
