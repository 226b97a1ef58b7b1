import { type Day, dayOf, timeAt } from './days.ts';
import { monthShort } from './months.ts';

/** A day as people write it: `17 May`, or with its year where `reference` lies in another. */
export function showDay(day: Day, reference?: Day): string {
  const year = day.slice(0, 4);
  const date = `${Number(day.slice(8, 10))} ${monthShort(day)}`;
  return reference?.slice(0, 4) === year ? date : `${date} ${year}`;
}

/** A window as people write it: `29 May – 2 June`. */
export function showWindow(from: Day, to: Day, reference?: Day): string {
  return from === to ? showDay(from, reference) : `${showDay(from, reference)} – ${showDay(to, reference)}`;
}

/** The time of day of an instant as clocks in a zone show it: `17:05`. */
export const showTime = (instant: string, zone: string): string => timeAt(Date.parse(instant), zone);

/** Day and time of an instant as clocks in a zone show them: `31 May, 08:53`. */
export const showInstant = (instant: string, zone: string, reference?: Day): string =>
  `${showDay(dayOf(instant, zone), reference)}, ${showTime(instant, zone)}`;

/** A sentence with days of the year of a reference shown without it: “30 May 2026” is “30 May” in 2026. */
export const withoutYear = (sentence: string, reference: Day): string =>
  sentence.replaceAll(new RegExp(`(\\d{1,2} [A-Z][a-z]{2}) ${reference.slice(0, 4)}\\b`, 'g'), '$1');
