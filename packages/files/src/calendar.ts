import { type CalendarEntry, plusDays } from '@yellow-cell/core';
import { type Alarm, createEvents, type DateArray, type EventAttributes } from 'ics';

/** Days begin with a word at seven; what has an hour is told half an hour before. */
const AT_SEVEN: Alarm = { action: 'display', trigger: { hours: 7, before: false } };
const BEFORE: Alarm = { action: 'display', trigger: { minutes: 30, before: true } };
const PRODUCT = '-//Yellow Cell//EN';

/**
 * A calendar file (iCalendar, RFC 5545) of these entries, each with its alarm: whole days for windows, instants where
 * hours count. The same entry has the same id in every file, so that one that is read again is changed and not doubled.
 */
export function calendarFile(entries: readonly CalendarEntry[], name: string): string {
  if (entries.length === 0) return EMPTY;
  const { value, error } = createEvents(
    entries.map((entry) => eventOf(entry)),
    { productId: PRODUCT, calName: name },
  );
  if (error || !value) throw error ?? new Error('The calendar could not be written.');
  return value;
}
const EMPTY = ['BEGIN:VCALENDAR', 'VERSION:2.0', `PRODID:${PRODUCT}`, 'END:VCALENDAR', ''].join('\r\n');

function eventOf({ id, title, place, details, on, by }: CalendarEntry): EventAttributes {
  const what = {
    uid: `${id.replace(/\s+/g, '-')}@yellow-cell`,
    title,
    description: place === undefined ? details : `${place}\n${details}`,
    busyStatus: 'FREE' as const,
    alarms: [{ ...(by === undefined ? AT_SEVEN : BEFORE), description: title }],
  };
  return by === undefined
    ? { ...what, start: dateOf(on), end: dateOf(plusDays(on, 1)) }
    : {
        ...what,
        start: instantOf(by),
        duration: { minutes: 15 },
        startInputType: 'utc',
        startOutputType: 'utc',
      };
}

const dateOf = (day: string): DateArray => day.split('-').map(Number) as [number, number, number];
function instantOf(instant: string): DateArray {
  const at = new Date(instant);
  return [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate(), at.getUTCHours(), at.getUTCMinutes()];
}
