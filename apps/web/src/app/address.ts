let search: (() => string) | undefined;

/** Who knows the search of the address as it is at the moment. */
export const keptByAddress = (told: () => string): void => {
  search = told;
};

/**
 * The address's own parameters, to be changed. While what another day shows is still on its way, the screen bears
 * those of before; changing them would take the day back. `before` is what the screen bears, where nobody knows the
 * address.
 */
export const paramsNow = (before: URLSearchParams): URLSearchParams =>
  new URLSearchParams(search?.() ?? before);
