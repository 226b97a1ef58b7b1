import { capital, dayOf, phaseOf, type StepProgress, showDay, showTime } from '@yellow-cell/core';

const minutesTo = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / 60_000;

/** How long it still is, to the minute that has begun: `8 min`, `1 h 12 min`, `3 days`. */
export const spanWords = (from: string, to: string): string => said(Math.ceil(minutesTo(from, to)));
/** How late it is, in minutes that are over. */
export const lateWords = (to: string, now: string): string =>
  `late by ${said(Math.floor(minutesTo(to, now)))}`;

function said(whole: number): string {
  const minutes = Math.max(0, whole);
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours < 48) return minutes % 60 === 0 ? `${hours} h` : `${hours} h ${minutes % 60} min`;
  return `${Math.round(hours / 24)} days`;
}

/** An instant of today by its hour, of another day with that. */
export function whenWords(at: string, now: string, zone: string): string {
  const [day, today] = [dayOf(at, zone), dayOf(now, zone)];
  return day === today ? showTime(at, zone) : `${showTime(at, zone)}, ${showDay(day, today)}`;
}

/** Where the clock of a step stands; nothing where none runs. */
export function clockWords(progress: StepProgress, now: string, zone: string): string | undefined {
  const { from, to } = progress;
  if (progress.is === 'later')
    return [from && `from ${whenWords(from, now, zone)}`, to && `by ${whenWords(to, now, zone)}`]
      .filter(Boolean)
      .join(', ');
  const phase = phaseOf(progress, now);
  if (phase === 'early' && from !== undefined)
    return `In ${spanWords(now, from)}: from ${whenWords(from, now, zone)}${to ? ` to ${whenWords(to, now, zone)}` : ''}`;
  if (to === undefined) return from === undefined ? undefined : `Since ${whenWords(from, now, zone)}`;
  return phase === 'late'
    ? `${capital(lateWords(to, now))}: it was to be done by ${whenWords(to, now, zone)}`
    : `Now, for ${spanWords(now, to)} more: by ${whenWords(to, now, zone)}`;
}
