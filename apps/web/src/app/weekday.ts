/** `Sun`, of a day. */
export const weekday = (day: string): string =>
  new Intl.DateTimeFormat('en', { weekday: 'short', timeZone: 'UTC' }).format(new Date(day));
