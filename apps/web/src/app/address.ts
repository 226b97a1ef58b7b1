let latest: string | undefined;

/** The search of the address, told by the router whenever it moves. */
export const keepSearch = (search: string): void => {
  latest = search;
};

/**
 * The address's own parameters, to be changed. While what another day shows is still on its way, the screen bears
 * those of before; changing them would take the day back. `before` is what the screen bears, where no router tells.
 */
export const paramsNow = (before: URLSearchParams): URLSearchParams => new URLSearchParams(latest ?? before);
