/** Minutes as a person says them. */
export const inHours = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)}`;
