import type { CalendarEntry } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { calendarFile } from './calendar.ts';

const entry: CalendarEntry = {
  id: 'yard giveCell 2026-05-31',
  title: 'Give a ripe cell: B1 West, B2 East; “these”',
  place: 'Quarry meadow',
  details: 'B1 West: ripe.',
  on: '2026-05-31',
};
const unfolded = (text: string) => text.replace(/\r\n[ \t]/g, '').split('\r\n');

describe('a calendar file', () => {
  it('tells whole days with an alarm at seven, and instants in UTC with one half an hour before', () => {
    const lines = unfolded(
      calendarFile([entry, { ...entry, id: 'b', by: '2026-05-31T17:00:00+02:00' }], 'Yards'),
    );
    expect(lines.filter((line) => line === 'BEGIN:VEVENT')).toHaveLength(2);
    expect(lines).toContain('DTSTART;VALUE=DATE:20260531');
    expect(lines).toContain('DTSTART:20260531T150000Z');
    expect(lines).toContain('DTEND;VALUE=DATE:20260601');
    expect(lines.filter((line) => line.startsWith('DURATION'))).toEqual(['DURATION:PT15M']);
    expect(lines).toContain('TRIGGER:PT7H');
    expect(lines).toContain('TRIGGER:-PT30M');
    expect(lines).toContain('UID:yard-giveCell-2026-05-31@yellow-cell');
    expect(lines).toContain('SUMMARY:Give a ripe cell: B1 West\\, B2 East\\; “these”');
    expect(lines).toContain('DESCRIPTION:Quarry meadow\\nB1 West: ripe.');
  });

  it('folds its lines, and is a calendar also with nothing in it', () => {
    const long = calendarFile([{ ...entry, details: 'ö'.repeat(400) }], 'Yards');
    for (const line of long.split('\r\n')) expect(line.length).toBeLessThanOrEqual(75);
    expect(unfolded(calendarFile([], 'Yards')).slice(0, 2)).toEqual(['BEGIN:VCALENDAR', 'VERSION:2.0']);
  });
});
