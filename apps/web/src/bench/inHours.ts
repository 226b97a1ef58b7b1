/** Minutes as a person says them. */
export const inHours = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)}`;

/** No closer than such figures are known, and rather too short. */
export const roughly = (minutes: number): string =>
  inHours(minutes < 20 ? Math.floor(minutes) : 5 * Math.floor(minutes / 5));
