// Made once: it takes as long as drawing a button.
const format = new Intl.DateTimeFormat('en', { weekday: 'short', timeZone: 'UTC' });

/** `Sun`, of a day. */
export const weekday = (day: string): string => format.format(new Date(day));
